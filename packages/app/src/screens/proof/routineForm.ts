import { fieldProblems, proofTest, type FieldProblem, type ProofTest, type ProofTestRow } from '@dunlinmoss/contract';
import {
  isAskedOf,
  routineOf,
  type Fields,
  type Kind,
  type RoutineCode,
  type RoutineValue,
  type RoutineValues,
} from '@dunlinmoss/core';
import type { WrittenDown } from '@dunlinmoss/domain';

import type { Units } from '../../settings/preferences';
import { fieldText } from '../../words/problems';
import { type RunText, type FieldText, isQuantity, textsOf, blanks, valueOf } from './fieldText';

export interface RoutineFormValues {
  /** The revision that these values began from: a draft may be older than the row. */
  readonly revision: number;
  /** `wheelKey` of the wheel it is made on. */
  readonly wheel: string;
  /** The gauge of the readings; empty for one that is taken as true. */
  readonly gaugeId: string;
  readonly note: string;
  /** When clocks were started, ISO; empty where none runs. */
  readonly clockFrom: string;
  readonly setup: RunText;
  readonly runs: RunText[];
}

/** What a run may have in it before anybody has done anything: the pressure it is to be made at, and what is likely. */
const FILLED_IN: readonly string[] = ['pressureKpa', 'otherKpa', 'wheel', 'how', 'track'];

/** Stands in a run that was saved before: it is one, however little is in it. */
const SAVED = 'saved';

/** A run with nothing in it yet but what was filled in for the person. */
export const isPendingRun = (fields: Fields, run: RunText): boolean =>
  run[SAVED] === undefined &&
  Object.keys(fields).every((name) => FILLED_IN.includes(name) || isEmpty(run[name] ?? null));

const isEmpty = (typed: FieldText): boolean =>
  typed === null || typed === '' || (isQuantity(typed) && typed.text.trim() === '');

/**
 * The fields that still have to be filled in before a test can say anything, by name, in the order on the screen: those
 * of the setup, and those of the first run.
 */
export function missingFields(
  code: RoutineCode,
  kind: Kind,
  { setup, runs }: Pick<RoutineFormValues, 'setup' | 'runs'>,
): string[] {
  const routine = routineOf(code);
  const missing = (fields: Fields, typed: RunText): string[] =>
    Object.keys(fields).filter((name) => {
      const field = fields[name]!;
      return field.optional !== true && isAskedOf(field, kind) && isEmpty(typed[name] ?? null);
    });
  return [...missing(routine.setup, setup), ...missing(routine.run, runs[0] ?? {})];
}

export interface NewRoutine {
  readonly wheel: string;
  readonly gaugeId?: string;
  readonly setup?: RoutineValues;
  readonly runs: readonly RoutineValues[];
}

export const newRoutine = (
  code: RoutineCode,
  { wheel, gaugeId = '', setup = {}, runs }: NewRoutine,
  units: Units,
): RoutineFormValues => {
  const routine = routineOf(code);
  return {
    revision: 0,
    wheel,
    gaugeId,
    note: '',
    clockFrom: '',
    setup: textsOf(routine.setup, setup, units),
    runs: runs.map((values) => textsOf(routine.run, values, units)),
  };
};

export const routineValues = ({ kind, details, revision }: ProofTestRow, units: Units): RoutineFormValues => ({
  ...newRoutine(
    kind,
    { wheel: details.wheel, gaugeId: details.gauge?.gaugeId ?? '', setup: details.setup, runs: details.runs },
    units,
  ),
  revision,
  note: details.note,
  runs: details.runs.map((values) => ({ ...textsOf(routineOf(kind).run, values, units), [SAVED]: '' })),
});

/** Another run: at the pressure that is to be tried next, with nothing measured yet. */
export const anotherRun = (code: RoutineCode, filledIn: RoutineValues, units: Units): RunText => ({
  ...blanks(routineOf(code).run),
  ...textsOf(
    Object.fromEntries(Object.entries(routineOf(code).run).filter(([name]) => filledIn[name] !== undefined)),
    filledIn,
    units,
  ),
});

const valuesOf = (fields: Fields, texts: RunText): Record<string, RoutineValue | undefined> =>
  Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, valueOf(field, texts[name] ?? null)]));

/** Every value that has to be there is, and lies in its range: it can be judged. */
const isWhole = (fields: Fields, values: Record<string, RoutineValue | undefined>): values is RoutineValues =>
  Object.entries(fields).every(([name, field]) => {
    const value = values[name];
    if (value === undefined) return false;
    if (value === null) return field.optional === true;
    return field.type !== 'number' || (typeof value === 'number' && value >= field.min && value <= field.max);
  });

/** The tire and load that a test is held against. */
export type TestedTire = Pick<WrittenDown, 'tireMarking' | 'loadRange' | 'wheelLoadKg' | 'widthMm'>;

/** What can be judged already, while the rest is being typed; undefined until the setup is whole. */
export function writtenDown(
  code: RoutineCode,
  form: RoutineFormValues,
  tire: TestedTire,
  gauge: WrittenDown['gauge'],
): { readonly details: WrittenDown; readonly places: readonly number[] } | undefined {
  const { setup, run } = routineOf(code);
  const setupValues = valuesOf(setup, form.setup);
  if (!isWhole(setup, setupValues)) return undefined;
  const runs = form.runs.flatMap((texts, place) => {
    const values = valuesOf(run, texts);
    return !isPendingRun(run, texts) && isWhole(run, values) ? [{ values, place }] : [];
  });
  return {
    details: { ...tire, gauge, setup: setupValues, runs: runs.map(({ values }) => values) },
    places: runs.map(({ place }) => place),
  };
}

export type RoutineFormResult =
  | { readonly ok: true; readonly test: ProofTest }
  | { readonly ok: false; readonly problems: Readonly<Record<string, string>> };

/** What the form says, checked by the contract's own schema. Runs with nothing in them are left out. */
export function toRoutineTest(
  code: RoutineCode,
  form: RoutineFormValues,
  identity: Pick<ProofTest, 'id' | 'rigId' | 'outingId' | 'performedAt' | 'counts'>,
  tire: TestedTire,
  gauge: WrittenDown['gauge'],
  units: Units,
): RoutineFormResult {
  const { setup, run } = routineOf(code);
  const kept = form.runs.flatMap((texts, place) => (isPendingRun(run, texts) ? [] : [{ texts, place }]));
  const checked = proofTest.safeParse({
    ...identity,
    revision: form.revision,
    kind: code,
    details: {
      ...tire,
      wheel: form.wheel,
      gauge,
      note: form.note,
      // What is no number is reported as missing.
      setup: valuesOf(setup, form.setup),
      runs: kept.map(({ texts }) => valuesOf(run, texts)),
    },
  });
  if (checked.success) return { ok: true, test: checked.data };
  const places = kept.map(({ place }) => place);
  return { ok: false, problems: problemsOf(fieldProblems(checked.error), places, units) };
}

/** Sentences by form field: `setup.slopeDeg`, `runs.2.distanceM`. */
function problemsOf(
  problems: readonly FieldProblem[],
  places: readonly number[],
  units: Units,
): Readonly<Record<string, string>> {
  const byField: Record<string, string> = {};
  for (const problem of problems) {
    const [, , part, at, field] = problem.path.split('/');
    const name =
      part === 'setup'
        ? `setup.${at}`
        : part === 'runs' && field !== undefined
          ? `runs.${places[Number(at)]}.${field}`
          : part === 'note'
            ? 'note'
            : 'runs';
    byField[name] ??= problem.path.endsWith('/runs')
      ? 'Expected at least one run with a result.'
      : sentence(problem, units);
  }
  return byField;
}

/** A choice that was not made is reported as a missing choice. */
const sentence = (problem: FieldProblem, units: Units): string =>
  problem.code === 'invalid_value' || problem.code === 'invalid_format'
    ? 'Expected one of these.'
    : fieldText(problem, units);
