/**
 * What two supports carry of a mass that stands between or beyond them, kg: the lever law, exact. A support that the
 * mass lifts carries less than nothing.
 *
 * @param atMm where the mass stands, measured as the supports are
 * @example balance(100, 0, 2800, 3500) // [−25, 125]: behind the rear axle it takes load off the front
 */
export function balance(massKg: number, firstMm: number, secondMm: number, atMm: number): readonly [number, number] {
  const second = (massKg * (atMm - firstMm)) / (secondMm - firstMm);
  return [massKg - second, second];
}

/**
 * What left and right carry of a load on an axle, kg, when it acts so far right of the middle. Exact for a rigid axle.
 *
 * @example sides(100, 1500, 150) // [40, 60]
 */
export function sides(loadKg: number, trackMm: number | null, rightMm: number | null): readonly [number, number] {
  const right = loadKg * (0.5 + (trackMm && rightMm ? rightMm / trackMm : 0));
  return [loadKg - right, right];
}
