import { LOAD_RANGES } from './loadRange';
import type { Tire } from './tire';

/** A star on a quad's sidewall stands for two plies. Common practice, no source. */
const PLIES_PER_QUAD_STAR = 2;

/**
 * The ply rating of a tire: as marked, or what its load range letter or a quad's stars stand for. Null where the
 * marking says none of them.
 *
 * @example a quad tire with three stars: 6
 */
export function plyRatingOf({ plyRating, loadRange, stars, use }: Tire): number | null {
  if (plyRating !== undefined) return plyRating;
  if (loadRange !== undefined) return LOAD_RANGES[loadRange].plyRating ?? null;
  return use === 'quad' && stars !== undefined ? stars * PLIES_PER_QUAD_STAR : null;
}
