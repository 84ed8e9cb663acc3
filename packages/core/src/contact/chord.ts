/**
 * Length of the flat that a plane cuts off a circle, mm: 2·√(D·δ − δ²). Exact.
 *
 * @param diameterMm diameter of the circle
 * @param depthMm how deep the plane lies inside the circle, from 0 to the diameter
 * @example chordMm(773.9, 14) // 206.3…
 */
export function chordMm(diameterMm: number, depthMm: number): number {
  if (!(depthMm >= 0 && depthMm <= diameterMm)) {
    throw new RangeError(`chordMm: depth must lie from 0 to ${diameterMm} mm, got ${depthMm} mm`);
  }
  return 2 * Math.sqrt(depthMm * (diameterMm - depthMm));
}
