import type { FieldProblem } from '@dunlinmoss/contract';
import type { MarkingProblem } from '@dunlinmoss/core';

import type { Units } from '../settings/preferences';
import { length, mass, pressure } from './format';
import { markingProblemText } from './marking';

/** A bound in the person's unit; the unit stands at the end of the field's name. */
function bound(path: string, limit: number, units: Units): string {
  if (path.endsWith('Kpa')) return pressure(limit, units);
  if (path.endsWith('Kg')) return mass(limit, units);
  if (path.endsWith('Mm')) return length(limit, units);
  return String(limit);
}

const isText = (path: string): boolean => /\/(name|title|note|tireMarking)$/.test(path);

/** What a refused field expects, in one sentence for beside the field. */
export function fieldText({ path, code, limit, params, message }: FieldProblem, units: Units): string {
  if (code === 'unreadableMarking') return markingProblemText(params!.problem as MarkingProblem);
  if (code === 'too_small' && limit !== undefined) {
    if (isText(path)) return 'Expected at least a letter or two here.';
    if (path.endsWith('/readings')) return 'Expected at least one reading.';
    return `Expected ${bound(path, limit, units)} or more. Check the unit.`;
  }
  if (code === 'too_big' && limit !== undefined) {
    return isText(path)
      ? `Expected at most ${limit} letters.`
      : `Expected ${bound(path, limit, units)} or less. Check the unit.`;
  }
  if (code === 'invalid_type') return 'Expected a number, like 36 or 2.4.';
  if (code === 'nameTwice') return 'Another load case has this name. Expected one of its own.';
  if (code === 'scaleUpsideDown') return 'Expected the end of the scale above its beginning.';
  return message;
}
