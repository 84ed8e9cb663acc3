import type { Figure } from '../grounds/figure';
import { commonPractice } from '../sources/source';
import type { School } from './school';

/** Twice down, back, twice up: the bracket of a trial. */
const STEPS: Record<Figure, number> = { start: 0, low: -2, high: 2 };

/**
 * One's own trial: begin with what is in it, go down a step twice, back, up a step twice, and keep what feels and
 * measures best. Motorcycles begin with the maker's figure and step by 5 psi, bicycles by 2.
 */
export const ownTrial = {
  code: 'ownTrial',
  kinds: ['motorcycle', 'bicycle'],
  source: commonPractice,
  counted: false,
  targetKpa: ({ axle, family }, end) =>
    axle.roadKpa === null ? 'roadPressure' : axle.roadKpa + STEPS[end] * family.trialStepKpa,
  trace: ({ axle, family }, end, targetKpa) => [
    {
      code: 'trialSteps',
      inputs: { roadKpa: axle.roadKpa!, steps: STEPS[end], stepKpa: family.trialStepKpa },
      result: { name: 'targetKpa', value: targetKpa },
      source: commonPractice,
    },
  ],
} as const satisfies School;
