import { commonPractice } from '../source';
import { psi } from '../units/units';
import type { Floor } from './limit';

/**
 * What the trade holds as the lowest before a tire may leave its rim: 12 psi, 6 with bead locks. Stuck, straight and
 * at walking pace, the last step is 6 for both.
 */
export const bead = {
  code: 'bead',
  source: commonPractice,
  pressureKpa: ({ beadLocks, stuck }) => psi(beadLocks || stuck ? 6 : 12),
} as const satisfies Floor;
