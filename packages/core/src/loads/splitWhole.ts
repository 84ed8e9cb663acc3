/**
 * What stands on one wheel of each axle when a whole is split, kg: the front its share, what is left evenly on the axles
 * behind.
 *
 * @param frontShare 0 to 1
 * @param wheels on each axle, front first
 * @example splitWhole(2200, 0.52, [2, 2]) // [572, 528]
 */
export function splitWhole(wholeKg: number, frontShare: number, wheels: readonly number[]): number[] {
  const behind = Math.max(1, wheels.length - 1);
  return wheels.map((count, axle) => (wholeKg * (axle === 0 ? frontShare : (1 - frontShare) / behind)) / count);
}
