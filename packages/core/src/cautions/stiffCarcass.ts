import { equalDeflection } from '../schools/equalDeflection';
import { carcassFactor } from '../tires/loadRange';
import { assumption } from '../sources/source';
import type { Caution } from './caution';

/** Heavy plies under a light load hardly flatten. */
export const stiffCarcass = {
  code: 'stiffCarcass',
  severity: 'care',
  source: assumption,
  applies: ({ axles }) =>
    axles.some(({ axle, plan }) => {
      const asked = plan.schools.find(({ code }) => code === equalDeflection.code);
      return carcassFactor(axle.loadRange) > 1 && asked?.ok === true && asked.targetKpa < plan.floor.pressureKpa;
    }),
} as const satisfies Caution;
