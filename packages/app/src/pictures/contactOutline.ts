import { polyline } from './polyline';

const POINTS = 64;
/** A contact patch is squarer than an ellipse and rounder than a box. For drawing only. */
const SQUARENESS = 4;

const rounded = (cosine: number): number => Math.sign(cosine) * Math.abs(cosine) ** (2 / SQUARENESS);

/** The outline of a contact patch of this length (along y) and width (along x) about a centre, as an SVG path. */
export function contactOutline(centreX: number, centreY: number, length: number, width: number): string {
  const points = Array.from({ length: POINTS }, (_, index): [number, number] => {
    const angle = (2 * Math.PI * index) / POINTS;
    return [centreX + (width / 2) * rounded(Math.cos(angle)), centreY + (length / 2) * rounded(Math.sin(angle))];
  });
  return `${polyline(points)}Z`;
}
