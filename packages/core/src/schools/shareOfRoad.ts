import { commonPractice } from '../source';
import { REFERENCE_ROAD_KPA } from './referenceRig';
import type { School } from './school';

/**
 * The share of road pressure: halve it on soft sand, and so on. The shares are those that the table has on the
 * reference rig, whose road pressure is 36 psi: 16 of 36 on soft sand.
 */
export const shareOfRoad = {
  code: 'shareOfRoad',
  source: commonPractice,
  wantedKpa: ({ roadKpa, referenceKpa }) => (roadKpa * referenceKpa) / REFERENCE_ROAD_KPA,
} as const satisfies School;
