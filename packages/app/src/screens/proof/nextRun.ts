import type { OutingRow } from '@dunlinmoss/contract';
import { routineOf, type RoutineCode, type RoutineValues } from '@dunlinmoss/core';
import type { TestedWheel } from '@dunlinmoss/domain';

import { EMPTY_QUANTITY } from '../../components/quantityText';
import type { Units } from '../../settings/preferences';
import { asQuantityText, textOf, type RunText } from './fieldText';
import { anotherRun } from './routineForm';

/** Pressures of a run: both sides of an axle where a test sets them apart. */
const PRESSURES: readonly string[] = ['pressureKpa', 'otherKpa'];
export const isPressureOfRun = (name: string): boolean => PRESSURES.includes(name);

/** What somebody set on a wheel's axle on an outing, kPa; null where nobody did. What is run on the road is no reading. */
export const setOn = (outing: OutingRow | undefined, { position }: Pick<TestedWheel, 'position'>): number | null =>
  outing?.pressures.find((each) => each.position === position)?.pressureKpa ?? null;

/** Marks the pressures of a run as filled in: nobody has read them yet. */
export const filledIn = (run: RunText): RunText => {
  const marked = { ...run };
  for (const name of PRESSURES) {
    const typed = asQuantityText(run[name]);
    if (run[name] !== undefined && typed.text !== '') marked[name] = { ...typed, filledIn: true };
  }
  return marked;
};

/** Whether nobody typed this pressure of a run. */
export const isUnread = (run: RunText, name: string = 'pressureKpa'): boolean => {
  const { text, filledIn: isFilledIn } = asQuantityText(run[name]);
  return text.trim() === '' || isFilledIn === true;
};

export interface RunsSoFar {
  readonly code: RoutineCode;
  readonly runs: readonly RunText[];
  readonly wheels: readonly TestedWheel[];
  readonly outing: OutingRow | undefined;
  readonly units: Units;
}

/**
 * What is filled in for a wheel's pressure: as in the newest run on its axle, else as it was set on the outing, else
 * nothing. Another axle's pressure says nothing of this one.
 */
export function pressureFor({ code, runs, wheels, outing, units }: RunsSoFar, key: string): RunText[string] {
  const wheel = wheels.find((each) => each.key === key);
  if (!wheel) return EMPTY_QUANTITY;
  const ofAxle = wheels.filter(({ position }) => position === wheel.position).map((each) => each.key);
  const newest = runs.findLast((run) => ofAxle.includes(run.wheel as string) && !isUnread(run))?.pressureKpa;
  const typed = newest ?? textOf(routineOf(code).run.pressureKpa!, setOn(outing, wheel), units);
  return filledIn({ pressureKpa: typed }).pressureKpa!;
}

/**
 * What the next run begins with: the same again or the pressure to be tried, the sides changed over, the next wheel at
 * what its own axle has. All pressures of it are marked as filled in. `also` is known already.
 */
export function nextRun(soFar: RunsSoFar, tryKpa: number | null, also: RoutineValues = {}): RunText {
  const { code, runs, wheels, units } = soFar;
  const { run: fields } = routineOf(code);
  const given = anotherRun(code, also, units);
  const last = runs.at(-1);
  if (last && fields.pressureKpa) {
    given.pressureKpa =
      tryKpa === null ? asQuantityText(last.otherKpa ?? last.pressureKpa) : textOf(fields.pressureKpa, tryKpa, units);
  }
  if (last && fields.otherKpa) given.otherKpa = asQuantityText(last.pressureKpa);
  if (last && fields.track && also.track === undefined) given.track = last.track ?? '';
  if (fields.wheel) {
    const keys = wheels.map(({ key }) => key);
    // Round and round: after one wheel comes the next.
    const key = keys[(keys.indexOf(String(last?.wheel)) + 1) % keys.length] ?? '';
    given.wheel = key;
    const isTurn = runs.some(({ wheel }) => wheel === key);
    if (tryKpa === null || !isTurn) given.pressureKpa = pressureFor(soFar, key);
  }
  return filledIn(given);
}
