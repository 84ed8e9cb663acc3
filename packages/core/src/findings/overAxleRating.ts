import { marked } from '../sources/source';
import type { Check } from './finding';

/** More stands on an axle than its maker rates it for. */
export const overAxleRating = {
  severity: 'danger',
  source: marked,
  find: ({ axles }) =>
    axles.flatMap(({ position, load, ratingKg }) =>
      load && ratingKg !== null && load.loadKg > ratingKg
        ? [{ code: 'overAxleRating', position, loadKg: load.loadKg, ratingKg }]
        : [],
    ),
} as const satisfies Check;
