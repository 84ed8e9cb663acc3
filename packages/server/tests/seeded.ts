/** A seeded walk over whole numbers below a bound (Lehmer's generator), so that a failure comes again. */
export function seeded(seed: number): (below: number) => number {
  let at = seed;
  return (below) => (at = (at * 48_271) % 2_147_483_647) % below;
}
