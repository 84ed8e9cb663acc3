import type { NextStep } from '@dunlinmoss/contract';
import type { Kind } from '@dunlinmoss/core';

const NAMES: Record<NextStep, string> = {
  start: '',
  backUp: '',
  setPressures: 'Let air out',
  test: 'Prove it',
  decide: 'Decide',
  airUp: 'Put air back',
};
const ON_A_BICYCLE: Partial<Record<NextStep, string>> = { setPressures: 'Set the pressure', airUp: 'End the ride' };

/** What a step of an outing is called on the path. */
export const stepName = (step: NextStep, kind: Kind): string =>
  (kind === 'bicycle' ? ON_A_BICYCLE[step] : undefined) ?? NAMES[step];
