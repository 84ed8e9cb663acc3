import { assumption, commonPractice } from '../sources/source';
import { DEFLECTION_COUNTS, defaultFigureKpa, SHARE_COUNTS, twoSides } from '../reference/defaultFigure';
import { equalDeflectionSteps } from '../reference/equalShare';
import { REFERENCE_ROAD_KPA, referenceKpa } from '../reference/referenceRig';
import type { School } from './school';

/**
 * By load, tire and road pressure: between equal deflection and the share of road pressure. Equal deflection alone sends
 * tall tires under a light truck to the bead's floor everywhere and lets nothing out of a low-profile one; the share
 * alone ignores the tire. p = ED^0.4 · share^0.6; on the reference rig all three agree. Assumption.
 *
 * @example 35x12.50R17 of load range E under 550 kg, 35 psi on the road, on gravel (28): 19.9 psi
 */
export const deflectionAndShare = {
  code: 'deflectionAndShare',
  kinds: ['car'],
  source: assumption,
  targetKpa: (context, end) => defaultFigureKpa(context, referenceKpa(context, end)) ?? 'roadPressure',
  trace: (context, end, targetKpa) => {
    const figureKpa = referenceKpa(context, end);
    const { byDeflectionKpa, byShareKpa } = twoSides(context, figureKpa);
    return [
      ...equalDeflectionSteps(context.build, context.wheelLoadKg, figureKpa, byDeflectionKpa, 'deflectionKpa'),
      {
        code: 'shareOfRoad',
        inputs: {
          roadKpa: context.axle.roadKpa!,
          referencePressureKpa: figureKpa,
          referenceRoadKpa: REFERENCE_ROAD_KPA,
        },
        result: { name: 'shareKpa', value: byShareKpa },
        source: commonPractice,
      },
      {
        code: 'betweenTheTwo',
        inputs: {
          deflectionKpa: byDeflectionKpa,
          deflectionCounts: DEFLECTION_COUNTS,
          shareKpa: byShareKpa,
          shareCounts: SHARE_COUNTS,
        },
        result: { name: 'targetKpa', value: targetKpa },
        source: assumption,
      },
    ];
  },
} as const satisfies School;
