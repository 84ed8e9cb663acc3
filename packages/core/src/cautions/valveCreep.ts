import { commonPractice } from '../sources/source';
import { lowered, type Caution } from './caution';

/** A tube without a rim lock can creep and tear out its valve. */
export const valveCreep = {
  code: 'valveCreep',
  severity: 'danger',
  source: commonPractice,
  applies: (context) =>
    context.family.kind === 'motorcycle' &&
    lowered(context) &&
    context.axles.some(({ axle }) => axle.tube && axle.beadHold !== 'rimLock'),
} as const satisfies Caution;
