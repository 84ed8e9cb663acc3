import type { FieldProblem } from '@dunlinmoss/contract';
import type { MarkingProblem, Quantity } from '@dunlinmoss/core';

import type { Units } from '../settings/preferences';
import { quantity } from './format';
import { markingProblemText } from './marking';

/** What a field is of, by the unit at the end of its name. */
const QUANTITY_OF_NAME: readonly (readonly [end: RegExp, of: Quantity])[] = [
  [/Kpa$/, 'pressure'],
  [/Kg$/, 'mass'],
  [/Mm$/, 'length'],
  [/Kmh$/, 'speed'],
  [/Mm2$/, 'area'],
  [/Ml$/, 'pour'],
  [/M$/, 'distance'],
  [/litersPerMin$/, 'flow'],
  [/liters$/, 'volume'],
];

/** A number of a field in the person's unit, by the field's name; a bare number where that says no unit. */
export function inUnits(path: string, value: number, units: Units): string {
  const of = QUANTITY_OF_NAME.find(([end]) => end.test(path));
  return of ? quantity(of[1], value, units) : String(value);
}

/** What a number is expected to be, where both ends are known. */
export const expectedText = (of: Quantity | null, from: number, to: number, units: Units): string =>
  // The unit once, at the end.
  `Expected ${of ? quantity(of, from, units).split('\u00a0')[0] : from} to ${of ? quantity(of, to, units) : to}.`;

const isText = (path: string): boolean => /\/(name|title|note|tireMarking)$/.test(path);

/** What a refused field expects, in one sentence for beside the field. */
export function fieldText({ path, code, limit, params, message }: FieldProblem, units: Units): string {
  if (code === 'unreadableMarking') return markingProblemText(params!.problem as MarkingProblem);
  if (code === 'too_small' && limit !== undefined) {
    if (path.endsWith('/tireMarking')) return 'Expected the size on the sidewall, like 265/70R17.';
    if (isText(path)) return 'Expected at least a letter or two here.';
    if (path.endsWith('/readings')) return 'Expected at least one reading.';
    return `Expected ${inUnits(path, limit, units)} or more. Check the unit.`;
  }
  if (code === 'too_big' && limit !== undefined) {
    return isText(path)
      ? `Expected at most ${limit} letters.`
      : `Expected ${inUnits(path, limit, units)} or less. Check the unit.`;
  }
  if (code === 'invalid_type') return 'Expected a number, like 36 or 2.4.';
  if (code === 'nameTwice') return 'Another load case has this name. Expected one of its own.';
  if (code === 'scaleUpsideDown') return 'Expected the end of the scale above its beginning.';
  return message;
}
