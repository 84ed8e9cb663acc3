import { loadCaseOf, rigLoads, type OutingRow, type ProofTestRow, type RigRow } from '@dunlinmoss/contract';
import {
  contextsOf,
  familyOf,
  nextTime,
  planGround,
  PROOF_COUNTS,
  routineOf,
  sidewallMostKpa,
  type AxlePosition,
  type GroundCode,
  type GroundPlan,
  type NextTime,
  type Proved,
  type TireBuild,
} from '@dunlinmoss/core';

import { axleOfTest, isOfTire, judgementOf, routineTestOf } from '../evidence/evidence';
import { planInput, type PlanRequest } from '../plan/planInput';

/** The heaviest wheel of an axle in a load case, kg; undefined where nobody knows it. */
function axleWheelKg(rig: RigRow, position: AxlePosition, loadCaseId: string | null): number | undefined {
  const loadCase = loadCaseOf(rig, loadCaseId);
  const loads = loadCase && rigLoads(rig, loadCase);
  const axle = loads?.ok ? loads.value.axles[rig.axles.findIndex((each) => each.position === position)] : undefined;
  return axle && Math.max(...axle.wheels.map(({ loadKg }) => loadKg));
}

/** A proof, with whether the person struck it from those that count. */
export interface ProofOfAxle extends Proved {
  readonly counts: boolean;
}

/** What each axle would have by the rule, kPa: how a climb of the whole rig is carried from one axle to another. */
export type RuleOf = (position: AxlePosition) => number | undefined;

/**
 * Every pressure of an axle that was proved on a ground, struck ones too: set on an outing and decided on, found by a
 * trial, climbed with, or proposed by another test there. A climb is of the whole rig: an axle that it was not written
 * down for has its share of it, as the rule has the axles to each other (assumption).
 */
export function provedOn(
  rig: RigRow,
  position: AxlePosition,
  ground: GroundCode,
  outings: readonly OutingRow[],
  tests: readonly ProofTestRow[],
  ruleOf: RuleOf = () => undefined,
): ProofOfAxle[] {
  const axle = rig.axles.find((each) => each.position === position);
  if (!axle) return [];
  const here = outings.filter(({ rigId, groundCode }) => rigId === rig.id && groundCode === ground);
  const sinceFitted = (at: string): boolean => axle.fittedAt === null || at >= axle.fittedAt;
  const driven = here.flatMap(({ id, decision, pressures, loadCaseId, startedAt: at }): ProofOfAxle[] => {
    const set = pressures.find((each) => each.position === position);
    const wheelLoadKg = axleWheelKg(rig, position, loadCaseId);
    if (!decision || !set || wheelLoadKg === undefined || !sinceFitted(at)) return [];
    const decided = decision.code === 'keep' ? 'keep' : decision.code === 'higher' ? 'higher' : 'lower';
    const counts = decision.counts;
    return [{ id, at, pressureKpa: set.pressureKpa, wheelLoadKg, decided, by: 'drive', carriedFrom: null, counts }];
  });
  const tried = tests.flatMap((test): ProofOfAxle[] => {
    const on = here.find(({ id }) => id === test.outingId);
    const wheelLoadKg = on && axleWheelKg(rig, position, on.loadCaseId);
    if (test.rigId !== rig.id || wheelLoadKg === undefined || !isOfTire(test, axle)) return [];
    const found = pressureOf(test, rig, position, ruleOf);
    return found
      ? [{ id: test.id, at: test.performedAt, wheelLoadKg, decided: 'keep', counts: test.counts, ...found }]
      : [];
  });
  return [...driven, ...tried];
}

/** What a test says of an axle's pressure; nothing where it says nothing, or not of this axle. */
function pressureOf(
  test: ProofTestRow,
  rig: RigRow,
  position: AxlePosition,
  ruleOf: RuleOf,
): Pick<Proved, 'pressureKpa' | 'by' | 'carriedFrom'> | undefined {
  const judged = judgementOf(test, rig.family);
  const { proves } = routineOf(test.kind);
  const own = axleOfTest(test);
  if (proves) {
    const pressureKpa = proves.pressureKpa(judged);
    if (pressureKpa === null) return undefined;
    if (own === position) return { pressureKpa, by: proves.by, carriedFrom: null };
    const otherKpa =
      rig.axles.length === 2
        ? proves.otherKpa?.(routineTestOf(test.kind, test.details, rig.family).runs as never, pressureKpa)
        : null;
    if (otherKpa != null) return { pressureKpa: otherKpa, by: proves.by, carriedFrom: null };
    const [there, here] = [ruleOf(own), ruleOf(position)];
    if (!proves.rolls || !there || here === undefined) return undefined;
    const carriedFrom = { position: own, pressureKpa };
    return { pressureKpa: (pressureKpa * here) / there, by: proves.by, carriedFrom };
  }
  const proposes = judged.move === 'softer' || judged.move === 'firmer' || judged.move === 'keep';
  return own === position && proposes && judged.tryKpa !== null
    ? { pressureKpa: judged.tryKpa, by: 'test', carriedFrom: null }
    : undefined;
}

/** Until when a proof counts, ms since 1970; new tires end it at once. */
export const countsUntilMs = ({ at, by }: Pick<Proved, 'at' | 'by'>): number =>
  Date.parse(at) + PROOF_COUNTS[by].days * 86_400_000;

/** What was proved is asked back outside half to double of the rule: a slip of the pen or of the unit. Assumption. */
const CREDIBLE = { low: 0.5, high: 2 };

/** Why a proof does not count, though nobody struck it. */
export type ProofDoubt = 'datedAhead' | 'aboveSidewall' | 'farFromRule';

/** Clocks of two devices may differ by so much, ms. Assumption. */
const CLOCKS_APART_MS = 3_600_000;

/** What speaks against a proof: it is of a day to come, or a pressure that this tire can hardly have had. */
export function proofDoubt(
  { at, pressureKpa }: Pick<Proved, 'at' | 'pressureKpa'>,
  { maxKpa, ruleKpa }: { readonly maxKpa: number | null; readonly ruleKpa: number },
  nowMs: number,
): ProofDoubt | null {
  if (Date.parse(at) > nowMs + CLOCKS_APART_MS) return 'datedAhead';
  if (maxKpa !== null && pressureKpa > maxKpa * 1.02) return 'aboveSidewall';
  return pressureKpa < CREDIBLE.low * ruleKpa || pressureKpa > CREDIBLE.high * ruleKpa ? 'farFromRule' : null;
}

/** Where to begin next time with an axle on a ground, by what was proved there and counts. */
export function nextTimeOf(
  rig: Pick<RigRow, 'family'>,
  axle: { readonly wheelLoadKg: number; readonly startKpa: number; readonly maxKpa?: number | null },
  build: TireBuild,
  proved: readonly ProofOfAxle[],
  nowMs = Number.POSITIVE_INFINITY,
): NextTime | null {
  const fresh = proved.filter(
    (each) =>
      each.counts &&
      proofDoubt(each, { maxKpa: axle.maxKpa ?? null, ruleKpa: axle.startKpa }, nowMs) === null &&
      (nowMs === Number.POSITIVE_INFINITY || nowMs < countsUntilMs(each)),
  );
  return nextTime(fresh, build, axle.wheelLoadKg, familyOf(rig.family).trialStepKpa, axle.startKpa);
}

/** What was proved of an axle, and what that makes of today. */
export interface ProvedAxle {
  readonly position: AxlePosition;
  /** Cold, at today's load, before any limit, kPa. */
  readonly pressureKpa: number;
  readonly next: NextTime;
}

/** Everything that was done with a rig and tells of its pressures. */
export interface ProofHistory {
  readonly tests: readonly ProofTestRow[];
  readonly outings: readonly OutingRow[];
}

/**
 * The question with what was proved on this ground, so that every plan made of it stands on it. As it was where nothing
 * was, or where there is no plan to hold it against.
 */
export function withProof<Asked extends PlanRequest>(
  rig: RigRow,
  { tests, outings }: ProofHistory,
  asked: Asked,
  nowMs: number,
): Asked & { readonly proved: readonly ProvedAxle[] } {
  // What the rule has there is reckoned once something was proved there: mostly nothing was.
  let rule: { readonly plan: GroundPlan; readonly contexts: ReturnType<typeof contextsOf> } | null | undefined;
  const byRule = (): typeof rule => {
    if (rule !== undefined) return rule;
    const input = planInput(rig, tests, { ...asked, proved: [] });
    const plan = input.ok ? planGround(input.value) : undefined;
    return (rule = input.ok && plan?.ok ? { plan: plan.value, contexts: contextsOf(input.value) } : null);
  };
  const ruleOf: RuleOf = (position) => byRule()?.plan.axles.find((axle) => axle.position === position)?.ruleKpa;
  const proved = rig.axles.flatMap(({ position }, index): ProvedAxle[] => {
    const all = provedOn(rig, position, asked.ground, outings, tests, ruleOf);
    const axle = all.length > 0 ? byRule()?.plan.axles[index] : undefined;
    const context = axle && byRule()!.contexts[index]!;
    const held = axle && { ...axle, startKpa: axle.ruleKpa, maxKpa: sidewallMostKpa(context!.axle) };
    const next = held && nextTimeOf(rig, held, context!.build, all, nowMs);
    return next ? [{ position, pressureKpa: next.pressureKpa, next }] : [];
  });
  return { ...asked, proved };
}
