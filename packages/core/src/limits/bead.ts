import { commonPractice } from '../source';
import { psi } from '../units/units';
import type { Floor } from './limit';

/**
 * Floors that the trade holds without bead locks: some never go below 20 psi, most hold 12, some have run 10 on the
 * beach for years. Common practice, no source. The person holds one of them, or a figure of their own.
 */
export const NAMED_FLOORS = [
  { code: 'cautious', pressureKpa: psi(20) },
  { code: 'common', pressureKpa: psi(12) },
  { code: 'beach', pressureKpa: psi(10) },
] as const;

export type NamedFloor = (typeof NAMED_FLOORS)[number]['code'];

/** The lowest that anyone holds for any wheel: with bead locks, or stuck. Common practice, no source. */
export const LAST_FLOOR_KPA = psi(6);
const WITHOUT_LOCKS_KPA = psi(12);

/** What is held where the person has chosen nothing. */
export const defaultFloorKpa = (beadLocks: boolean): number => (beadLocks ? LAST_FLOOR_KPA : WITHOUT_LOCKS_KPA);

/**
 * The lowest before a tire may leave its rim: 12 psi, 6 with bead locks, or what the person holds. Stuck, straight and
 * at walking pace, the last step is 6 for all.
 */
export const bead = {
  code: 'bead',
  source: commonPractice,
  pressureKpa: ({ beadLocks, heldFloorKpa, stuck }) =>
    stuck ? LAST_FLOOR_KPA : (heldFloorKpa ?? defaultFloorKpa(beadLocks)),
} as const satisfies Floor;
