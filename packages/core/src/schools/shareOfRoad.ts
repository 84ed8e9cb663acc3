import { commonPractice } from '../sources/source';
import { REFERENCE_ROAD_KPA, referenceKpa } from '../reference/referenceRig';
import type { School } from './school';

/**
 * The share of road pressure: halve it on soft sand, and so on. The shares are those that the table has on the
 * reference rig, whose road pressure is 36 psi: 16 of 36 on soft sand.
 */
export const shareOfRoad = {
  code: 'shareOfRoad',
  kinds: ['car', 'quad'],
  source: commonPractice,
  withoutLoad: true,
  targetKpa: (context, end) => {
    const { roadKpa } = context.axle;
    return roadKpa === null ? 'roadPressure' : (roadKpa * referenceKpa(context, end)) / REFERENCE_ROAD_KPA;
  },
  trace: (context, end, targetKpa) => [
    {
      code: 'shareOfRoad',
      inputs: {
        roadKpa: context.axle.roadKpa!,
        referencePressureKpa: referenceKpa(context, end),
        referenceRoadKpa: REFERENCE_ROAD_KPA,
      },
      result: { name: 'targetKpa', value: targetKpa },
      source: commonPractice,
    },
  ],
} as const satisfies School;
