/** A place on a track: degrees, and meters above the sea where that is known. */
export interface TrackPoint {
  readonly lonDeg: number;
  readonly latDeg: number;
  readonly elevationM: number | null;
}

/** Mean radius of the earth, m. Published: IUGG, 1980 (from memory). */
export const EARTH_M = 6_371_008.8;

const radians = (degrees: number): number => (degrees * Math.PI) / 180;

/**
 * Distance between two places on a round earth, m, by haversines. Exact for a sphere; half a percent off the real earth at
 * the most.
 */
export function distanceM(a: TrackPoint, b: TrackPoint): number {
  const [phiA, phiB] = [radians(a.latDeg), radians(b.latDeg)];
  const half = (angle: number): number => Math.sin(angle / 2) ** 2;
  const h = half(phiB - phiA) + Math.cos(phiA) * Math.cos(phiB) * half(radians(b.lonDeg - a.lonDeg));
  return 2 * EARTH_M * Math.asin(Math.min(1, Math.sqrt(h)));
}
