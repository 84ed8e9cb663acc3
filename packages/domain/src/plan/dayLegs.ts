import type { ProofTestRow, RigRow } from '@dunlinmoss/contract';
import {
  compromise,
  failure,
  success,
  type Compromise,
  type CompromiseProblem,
  type GroundCode,
  type Kind,
  type Leg,
  type PlanInput,
  type Result,
} from '@dunlinmoss/core';

import { planInput, type NoPlan, type PlanRequest } from './planInput';

/** One part of a day as it is put in. */
export interface DayLeg {
  readonly ground: GroundCode;
  /** Null goes by the load case that stands. */
  readonly loadCaseId: string | null;
  /** Parts of the day. */
  readonly parts: number;
}

const leg = (ground: GroundCode, parts = 1): DayLeg => ({ ground, loadCaseId: null, parts });

/** A day as each kind most often has it: where the question begins. */
export const USUAL_DAY: Record<Kind, readonly DayLeg[]> = {
  car: [leg('pavement'), leg('gravel', 2), leg('softSand')],
  quad: [leg('gravel'), leg('snow', 2)],
  motorcycle: [leg('pavement'), leg('dirtRoad', 2), leg('mud')],
  bicycle: [leg('climb'), leg('rock')],
  farm: [leg('pavement'), leg('fieldMoist', 3), leg('pavement')],
};

/** What one stop to change takes, minutes, all wheels out or in. Assumptions: until the person says what it takes them. */
export const MINUTES_A_STOP: Record<Kind, number> = { car: 10, quad: 8, motorcycle: 6, bicycle: 4, farm: 30 };

export type DayProblem = (NoPlan & { readonly leg: number }) | CompromiseProblem;

/** The day as the core takes it, and what comes of it. */
export function workOutDay(
  rig: RigRow,
  tests: readonly ProofTestRow[],
  legs: readonly DayLeg[],
  /** Fills in what was proved on each ground. */
  withProof: <Asked extends PlanRequest>(asked: Asked) => Asked = (asked) => asked,
): Result<Compromise, DayProblem> {
  const inputs: PlanInput[] = [];
  for (const [index, { ground, loadCaseId }] of legs.entries()) {
    const input = planInput(rig, tests, withProof({ ground, modifiers: [], speedKmh: null, loadCaseId }));
    if (!input.ok) return failure({ ...input.problem, leg: index });
    inputs.push(input.value);
  }
  const parts = inputs.map(({ ground, modifiers, speedKmh, axles, proved = [] }, index): Leg => ({
    ground,
    modifiers,
    speedKmh,
    axles,
    proved,
    weight: legs[index]!.parts,
  }));
  const result = compromise(inputs[0]!, parts);
  return result.ok ? success(result.value) : failure(result.problem);
}
