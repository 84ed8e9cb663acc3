import { assumption } from '../sources/source';
import { psi } from '../units/units';
import type { Figure } from '../grounds/figure';
import type { AxleContext } from '../axle/axleContext';
import type { School } from './school';

const STEP_KPA = psi(5);
const HALF_A_STEP: Record<Figure, number> = { start: 0, low: 0.5, high: -0.5 };
const stepsDown = ({ ground }: AxleContext, end: Figure): number => Math.max(0, ground.makerSteps! + HALF_A_STEP[end]);

/**
 * The maker's figure, in steps of 5 psi down (common practice, no source): how many for which ground is our assumption,
 * and so is a window half a step to either side.
 */
export const makersFigure = {
  code: 'makersFigure',
  kinds: ['motorcycle'],
  source: assumption,
  targetKpa: (context, end) => {
    const { roadKpa } = context.axle;
    return roadKpa === null ? 'roadPressure' : roadKpa - STEP_KPA * stepsDown(context, end);
  },
  trace: (context, end, targetKpa) => [
    {
      code: 'makersSteps',
      inputs: { roadKpa: context.axle.roadKpa!, steps: stepsDown(context, end), stepKpa: STEP_KPA },
      result: { name: 'targetKpa', value: targetKpa },
      source: assumption,
    },
  ],
} as const satisfies School;
