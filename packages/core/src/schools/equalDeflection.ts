import { equalDeflectionKpa, equalDeflectionSteps } from '../reference/equalShare';
import { referenceKpa } from '../reference/referenceRig';
import { published } from '../sources/source';
import type { School } from './school';

/** Equal deflection: a lighter wheel goes lower, a heavier one stays higher, until both bend alike. */
export const equalDeflection = {
  code: 'equalDeflection',
  kinds: ['car'],
  source: published('US Forest Service and military central tire inflation reports'),
  targetKpa: (context, end) => equalDeflectionKpa(context.build, context.wheelLoadKg, referenceKpa(context, end)),
  trace: (context, end, targetKpa) =>
    equalDeflectionSteps(context.build, context.wheelLoadKg, referenceKpa(context, end), targetKpa),
} as const satisfies School;
