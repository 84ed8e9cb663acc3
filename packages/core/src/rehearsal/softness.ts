/** How far apart places are whose softness has nothing to do with each other, m. Assumption. */
const PATCH_M = 2.5;

/** A number from 0 up to 1 for a whole number, the same for the same two every time. */
function hashed(seed: number, n: number): number {
  let h = Math.imul(seed ^ 0x9e3779b9, 0x85ebca6b) ^ Math.imul(n + 0x7f4a7c15, 0xc2b2ae35);
  h = Math.imul(h ^ (h >>> 15), 0x2c1b3c6d);
  h = Math.imul(h ^ (h >>> 12), 0x297a2d39);
  return ((h ^ (h >>> 15)) >>> 0) / 2 ** 32;
}

/** A draw from the normal distribution, for a seed and a place in its row. Exact: Box and Muller. */
export const normalDraw = (seed: number, n: number): number =>
  Math.sqrt(-2 * Math.log(1 - hashed(seed, 2 * n))) * Math.cos(2 * Math.PI * hashed(seed, 2 * n + 1));

/**
 * How much softer than meant a ground is at a place, as a natural logarithm: patches of a few meters, the same for the
 * same seed every time.
 *
 * @param scatter standard deviation from patch to patch
 */
export function patches(seed: number, scatter: number): (atM: number) => number {
  const known = new Map<number, number>();
  const at = (patch: number): number => {
    const before = known.get(patch);
    if (before !== undefined) return before;
    const value = scatter * normalDraw(seed, patch + 1000);
    known.set(patch, value);
    return value;
  };
  return (atM) => {
    const place = atM / PATCH_M;
    const patch = Math.floor(place);
    const share = place - patch;
    const blend = share * share * (3 - 2 * share);
    return at(patch) * (1 - blend) + at(patch + 1) * blend;
  };
}
