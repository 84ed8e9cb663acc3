import type { RimTry } from '../axle/planAxle';
import type { Kind } from '../families/family';
import { bracket } from './bracket';
import { chalk } from './chalk';
import { climb } from './climb';
import { feel } from './feel';
import { infiltration } from './infiltration';
import { kerb } from './kerb';
import { obstacle } from './obstacle';
import { penetrometer } from './penetrometer';
import { print } from './print';
import { pullAway } from './pullAway';
import { rollOut } from './rollOut';
import type { Judgement, Routine, RoutineValues, TestedOn } from './routine';
import { rut } from './rut';
import { shake } from './shake';
import { split } from './split';
import { standingHeight } from './standingHeight';
import { steadyPower } from './steadyPower';
import { tape } from './tape';
import { familyLimits, heldInLimits } from './testLimits';
import { turnAndHit } from './turnAndHit';

/** Every test, in the order in which they are offered. */
export const ROUTINES = [
  tape,
  print,
  chalk,
  standingHeight,
  climb,
  pullAway,
  split,
  obstacle,
  turnAndHit,
  kerb,
  rollOut,
  steadyPower,
  shake,
  feel,
  bracket,
  rut,
  penetrometer,
  infiltration,
] as const;

export type RoutineCode = (typeof ROUTINES)[number]['code'];
export const ROUTINE_CODES = ROUTINES.map(({ code }) => code) as [RoutineCode, ...RoutineCode[]];

/** A routine as those know it who walk through any: values are checked against its fields where they come in. */
export const routineOf = (code: RoutineCode): Routine & { readonly code: RoutineCode } =>
  ROUTINES.find((routine) => routine.code === code) as unknown as Routine & { readonly code: RoutineCode };

export const routinesFor = (kind: Kind): readonly RoutineCode[] =>
  ROUTINES.filter(({ kinds }) => (kinds as readonly Kind[]).includes(kind)).map(({ code }) => code);

/** A test that was written down, readings corrected for their gauge. */
export interface RoutineTest {
  readonly code: RoutineCode;
  readonly setup: RoutineValues;
  readonly runs: readonly RoutineValues[];
  readonly on: TestedOn;
}

/** What a test says. It never proposes what the plan's own floors and ceilings forbid. */
export const judgeRoutine = ({ code, setup, runs, on }: RoutineTest): Judgement =>
  heldInLimits(routineOf(code).judge(runs as never, setup as never, on), on.limits ?? familyLimits(on.family));

/** How near an edge came to the rim in each run of a test; none without the load on the wheel. */
export function routineRim({ code, runs, on: { wheelLoadKg } }: RoutineTest): readonly RimTry[] {
  const { rim } = routineOf(code);
  if (!rim || wheelLoadKg === null) return [];
  return runs.flatMap((run): RimTry[] => {
    const seen = rim(run as never);
    return seen ? [{ ...seen, wheelLoadKg }] : [];
  });
}

export const routineEvidence = ({ code, setup, runs, on }: RoutineTest) =>
  routineOf(code).evidence?.(runs as never, setup as never, on) ?? [];
