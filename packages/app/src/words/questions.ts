import type { RigQuestion } from '@dunlinmoss/contract';
import { fromCanonical, type Quantity, type PlausibilityCheck } from '@dunlinmoss/core';

import type { Units } from '../settings/preferences';
import { TIRE_USE_WORDS } from './families';
import { unitLabel } from './units';

/** A value in the person's unit, fine enough to see the slip in a small one. */
function shown(quantity: Quantity, value: number, units: Units): string {
  const unit = units[quantity];
  const inUnit = fromCanonical(quantity, unit as never, value);
  const text = Math.abs(inUnit) < 10 ? String(Number(inUnit.toFixed(2))) : inUnit.toFixed(0);
  return `${text}\u00a0${unitLabel(unit)}`;
}

/** Asks about a number that hardly can be: what is likely, and what may have been meant. */
export function questionText(quantity: Quantity, question: PlausibilityCheck, units: Units): string {
  const { value, low, high, slip, meant } = question;
  const why = slip === 'unit' ? 'another unit' : 'the decimal point';
  const guess = meant === null ? 'Look again.' : `Did you mean ${shown(quantity, meant, units)}? Check ${why}.`;
  return `${shown(quantity, value, units)} here? Likely is ${shown(quantity, low, units)} to ${shown(quantity, high, units)}. ${guess}`;
}

/** The same for any question about a rig. */
export function rigQuestionText(question: RigQuestion, units: Units): string {
  if (question.kind === 'unlikely') return questionText(question.quantity, question, units);
  const expected = question.expected.map((use) => TIRE_USE_WORDS[use]).join(' or ');
  return `This reads as a ${TIRE_USE_WORDS[question.use]} tire; such a rig has ${expected} tires. Check the marking.`;
}
