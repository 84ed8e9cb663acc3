import type { AxleContext } from '../axle/axleContext';
import { pressureForShareKpa } from '../contact/deflection';
import { sectionHeightMm } from '../tires/tire';
import { stiffnessInputs } from '../working/stiffnessInputs';
import { MOST_BEND, MOST_BEND_SOURCE } from './heatAndSpeed';
import type { Limit } from './limit';

/** The rows of a tire's own data sheet beat every formula. */
const value = ({ build, wheelLoadKg, axle }: AxleContext): number | null =>
  build.tire.use === 'farm' && axle.curve?.from !== 'rows'
    ? Math.max(0, pressureForShareKpa(build, wheelLoadKg, MOST_BEND))
    : null;

/** No farm tire is sent out bent further than any tire is, whatever a road pressure that was typed comes to by ratio. */
export const farmBend = {
  code: 'farmBend',
  source: MOST_BEND_SOURCE,
  pressureKpa: value,
  trace: ({ build, wheelLoadKg }, pressureKpa) => [
    {
      code: 'farmBend',
      inputs: {
        wheelLoadKg,
        mostShare: MOST_BEND,
        sectionHeightMm: sectionHeightMm(build.tire),
        ...stiffnessInputs(build),
      },
      result: { name: 'lowestKpa', value: pressureKpa },
      source: MOST_BEND_SOURCE,
    },
  ],
} as const satisfies Limit;
