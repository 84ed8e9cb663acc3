import type { RigQuestion } from '@dunlinmoss/contract';
import {
  fromCanonical,
  type OtherReading,
  type PlausibilityCheck,
  type PressureDoubt,
  type PressureUnit,
  type Quantity,
} from '@dunlinmoss/core';

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

/** A pressure in a unit, fine enough to see the slip. */
const inUnit = (kpa: number, unit: PressureUnit): string => {
  const value = fromCanonical('pressure', unit, kpa);
  return `${Number(value.toFixed(value < 10 ? 2 : 0))}\u00a0${unitLabel(unit)}`;
};

/** Asks back about a pressure in the unit that it was typed in: what such rigs have. */
export const doubtText = ({ pressureKpa, usual }: PressureDoubt, unit: PressureUnit): string =>
  `${inUnit(pressureKpa, unit)}? Most such rigs have ${inUnit(usual.low, unit)} to ${inUnit(usual.high, unit)}.`;

/** Asks back about a reading: what was planned here. */
export const farReadingText = ({ pressureKpa, usual }: PressureDoubt, unit: PressureUnit): string =>
  `${inUnit(pressureKpa, unit)}? The plan here is ${inUnit(usual.low, unit)}. Look at the gauge and at its unit again.`;

/** Asks back about a reading that the tire should never have had. */
export const aboveSidewallText = (pressureKpa: number, mostKpa: number, unit: PressureUnit): string =>
  `${inUnit(pressureKpa, unit)}? The sidewall says at most ${inUnit(mostKpa, unit)}. Look at the gauge and at its unit again.`;

/** `35 psi (240 kPa)`: the same digits in another unit. */
export const readAsText = ({ unit, pressureKpa }: OtherReading, own: PressureUnit, digits: number): string =>
  `${inUnit(pressureKpa, own)} (${digits}\u00a0${unitLabel(unit)})`;

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
