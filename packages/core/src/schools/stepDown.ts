import { gravel } from '../grounds/gravel';
import { assumption } from '../source';
import { psi } from '../units/units';
import { equalDeflectionKpa } from './equalDeflection';
import type { School } from './school';

/**
 * Start high and step down on site: begin at what a gravel track asks for, and let out a step at a time until it goes.
 * That the beginning is the gravel pressure, carried over by equal deflection, is our assumption.
 */
export const stepDown = {
  code: 'stepDown',
  source: assumption,
  wantedKpa: ({ build, wheelLoadKg, referenceKpa }) =>
    equalDeflectionKpa(build, wheelLoadKg, Math.max(referenceKpa, psi(gravel.onReferenceRig.startPsi))),
} as const satisfies School;
