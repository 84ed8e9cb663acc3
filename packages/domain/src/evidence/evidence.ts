import { buildOf, type ProofTestRow, type RigAxle } from '@dunlinmoss/contract';
import {
  correctedKpa,
  familyOf,
  judgeRoutine,
  ownTire,
  routineEvidence,
  routineOf,
  routineRim,
  sameSize,
  type AxlePosition,
  type FamilyCode,
  type Judgement,
  type Observation,
  type OwnEstimate,
  type RimTry,
  type RoutineCode,
  type RoutineTest,
  type RoutineValues,
  type TestLimits,
} from '@dunlinmoss/core';

/** What was written down with pressures as they truly were: a gauge's offset is taken off wherever it was read. */
function corrected(
  fields: ReturnType<typeof routineOf>['run'],
  values: RoutineValues,
  offsetKpa: number,
): RoutineValues {
  if (offsetKpa === 0) return values;
  return Object.fromEntries(
    Object.entries(values).map(([name, value]) => {
      const field = fields[name];
      const read = field?.type === 'number' && field.gauge === true && typeof value === 'number';
      return [name, read ? correctedKpa(value, offsetKpa) : value];
    }),
  );
}

/** What is judged of a routine: as saved, or as it is being typed. */
export type WrittenDown = Pick<
  ProofTestRow['details'],
  'setup' | 'runs' | 'tireMarking' | 'loadRange' | 'wheelLoadKg' | 'widthMm' | 'gauge'
>;

/** A test of the registry as the core judges it. */
export function routineTestOf(
  code: RoutineCode,
  details: WrittenDown,
  family: FamilyCode,
  limits?: TestLimits,
): RoutineTest {
  const { setup, run } = routineOf(code);
  const offsetKpa = details.gauge?.offsetKpa ?? 0;
  return {
    code,
    setup: corrected(setup, details.setup, offsetKpa),
    runs: details.runs.map((values) => corrected(run, values, offsetKpa)),
    on: {
      family: familyOf(family),
      build: { ...buildOf(details), ...(details.widthMm !== null && { widthMm: details.widthMm }) },
      wheelLoadKg: details.wheelLoadKg,
      ...(limits && { limits }),
    },
  };
}

export const judgementOf = (row: ProofTestRow, family: FamilyCode): Judgement =>
  judgeRoutine(routineTestOf(row.kind, row.details, family));

/** Everything that one test tells of the constants of its tire. */
function observationsOf(test: ProofTestRow, family: FamilyCode): Observation[] {
  const evidence = routineEvidence(routineTestOf(test.kind, test.details, family));
  // What reads long reads long by the same within one test alone.
  return evidence.map((each) => ({ ...each, test: test.id, offset: each.offset && `${test.id} ${each.offset}` }));
}

type TestedAxle = Pick<RigAxle, 'tireMarking' | 'loadRange' | 'fittedAt' | 'measuredWidthMm'>;

/** Of the same marking and carcass, made since these tires are on. */
export const isOfTire = (test: ProofTestRow, axle: TestedAxle): boolean =>
  sameSize(buildOf(test.details).tire, buildOf(axle).tire) &&
  test.details.loadRange === axle.loadRange &&
  (axle.fittedAt === null || test.performedAt >= axle.fittedAt);

export interface OwnOfAxle {
  readonly estimate: OwnEstimate;
  readonly observations: readonly Observation[];
}

/** What an axle's tire has been found to be, by every test of it that counts; undefined before there is one. */
export function ownTireOf(axle: TestedAxle, tests: readonly ProofTestRow[], family: FamilyCode): OwnOfAxle | undefined {
  const observations = tests
    .filter((test) => test.counts && isOfTire(test, axle))
    .flatMap((test) => observationsOf(test, family));
  if (observations.length === 0) return undefined;
  const build = { ...buildOf(axle), ...(axle.measuredWidthMm !== null && { widthMm: axle.measuredWidthMm }) };
  return { observations, estimate: remembered(build, observations) };
}

/** How near an edge came to the rim of an axle, by every test of its wheels that counts. */
export const rimTriesOf = (
  axle: TestedAxle & Pick<RigAxle, 'position'>,
  tests: readonly ProofTestRow[],
  family: FamilyCode,
): RimTry[] =>
  tests
    .filter((test) => test.counts && isOfTire(test, axle) && axleOfTest(test) === axle.position)
    .flatMap((test) => routineRim(routineTestOf(test.kind, test.details, family)));

/** The axle of the wheel that a test is written down for. */
export const axleOfTest = ({ kind, details }: ProofTestRow): AxlePosition =>
  routineOf(kind).speaksOf?.(details.setup as never) ?? (details.wheel.split(' ')[0] as AxlePosition);

/** The estimate takes milliseconds and a screen asks for it at every stroke: the last few are kept by what went in. */
const known = new Map<string, OwnEstimate>();
const KEPT = 40;

function remembered(build: Parameters<typeof ownTire>[0], observations: readonly Observation[]): OwnEstimate {
  const key = JSON.stringify([build, observations]);
  const before = known.get(key);
  if (before) return before;
  const estimate = ownTire(build, observations);
  if (known.size >= KEPT) known.delete(known.keys().next().value!);
  known.set(key, estimate);
  return estimate;
}
