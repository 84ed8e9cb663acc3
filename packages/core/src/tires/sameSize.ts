import type { Tire } from './tire';

/** Nominal widths of one bicycle size in inches and in mm differ by rounding: 2.40 in is sold as 61 and as 62 mm. Assumption. */
const BICYCLE_WIDTH_MM = 1.1;
/** The inch sizes of farm tires and the metric ones that replace them differ this much: 18.4 in is 467 mm, its successor 460. Assumption. */
const WIDTH_SHARE = 0.025;
const ASPECT_POINTS = 3;
const RIM_MM = 1;

/**
 * Whether two markings mean one size and build, in whatever notation each is written. Load index, plies and load
 * range don't count: they do not make another size.
 *
 * @example 27.5x2.25 and 57-584; 18.4R38 and 460/85R38
 */
export function sameSize(a: Tire, b: Tire): boolean {
  if (Math.abs(a.rimDiameterMm - b.rimDiameterMm) > RIM_MM) return false;
  if (a.construction !== b.construction || a.flexion !== b.flexion) return false;
  if ((a.use === 'bicycle') !== (b.use === 'bicycle')) return false;
  const apart = Math.abs(a.sectionWidthMm - b.sectionWidthMm);
  if (a.use === 'bicycle') return apart <= BICYCLE_WIDTH_MM;
  return (
    apart <= WIDTH_SHARE * Math.max(a.sectionWidthMm, b.sectionWidthMm) &&
    Math.abs(a.aspectPercent - b.aspectPercent) <= ASPECT_POINTS
  );
}
