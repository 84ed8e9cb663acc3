import { gravel } from '../grounds/gravel';
import type { End } from '../modifiers/modifier';
import type { AxleContext } from '../plan/axleContext';
import { assumption } from '../source';
import { psi } from '../units/units';
import { equalDeflectionKpa, equalDeflectionSteps } from './equalDeflection';
import { referenceKpa } from './referenceRig';
import type { School } from './school';

const beginKpa = (context: AxleContext, end: End): number =>
  Math.max(referenceKpa(context, end), psi(gravel.onReferenceRig.start));

/**
 * Start high and step down on site: begin at what a gravel track asks for, and let out a step at a time until it goes.
 * That the beginning is the gravel pressure, carried over by equal deflection, is our assumption.
 */
export const stepDown = {
  code: 'stepDown',
  kinds: ['car'],
  source: assumption,
  wants: (context, end) => equalDeflectionKpa(context.build, context.wheelLoadKg, beginKpa(context, end)),
  steps: (context, end, wantedKpa) =>
    equalDeflectionSteps(context.build, context.wheelLoadKg, beginKpa(context, end), wantedKpa),
} as const satisfies School;
