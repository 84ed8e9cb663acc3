import type { RigRow } from '@dunlinmoss/contract';
import {
  canRehearse,
  contextsOf,
  familyOf,
  failure,
  isTrailer,
  lessonOf,
  planGround,
  success,
  type DrivenAxle,
  type GroundCode,
  type LessonCode,
  type PlanProblem,
  type RehearsalInput,
  type Result,
} from '@dunlinmoss/core';

import { planInput, type NoPlan } from '../plan/planInput';
import { groundAttempts } from './groundAttempts';
import { routeTools, type RouteContext } from '../route/dayRoute';

export type NoRehearsal =
  | NoPlan
  | PlanProblem
  /** A trailer by itself is pulled. */
  | { readonly code: 'notDriven' }
  /** On two wheels none of it holds. */
  | { readonly code: 'otherKind' }
  /** Nobody said what is in its tires on the road. */
  | { readonly code: 'roadUnknown' };

/** A coupling sits so far behind the last axle, where nobody measured it, m. Assumption. */
const COUPLING_M = 1.1;

/** How far an axle stands behind the first one, m. */
function behindM(rig: RigRow, index: number): number {
  const axle = rig.axles[index]!;
  if (!isTrailer(axle.position)) return axle.behindMm / 1000;
  const own = rig.axles.filter(({ position }) => !isTrailer(position)).at(-1)!;
  return ((rig.hitchMm ?? own.behindMm + 1000 * COUPLING_M) + axle.behindMm) / 1000;
}

/** A lesson on this rig, as it is loaded and with the person's own tools. */
export function rehearsalInput(
  code: LessonCode,
  context: Omit<RouteContext, 'known' | 'stepKpa'>,
): Result<RehearsalInput, NoRehearsal> {
  const { rig, tests, withProof } = context;
  const { kind } = familyOf(rig.family);
  const lesson = lessonOf(code);
  if (!canRehearse(kind)) return failure({ code: 'otherKind' });
  if (!rig.axles.some(({ driven, position }) => driven && !isTrailer(position))) return failure({ code: 'notDriven' });
  const planned = (ground: GroundCode) => {
    const input = planInput(rig, tests, withProof({ ground, modifiers: [], speedKmh: null, loadCaseId: null }));
    if (!input.ok) return input;
    const plan = planGround(input.value);
    return plan.ok ? success({ plan: plan.value, contexts: contextsOf(input.value) }) : plan;
  };
  const asked = planned(lesson.ground);
  if (!asked.ok) return asked;
  const { plan, contexts } = asked.value;
  const roadKpa = plan.axles.map((axle) => axle.roadKpa ?? 0);
  if (roadKpa.some((kpa) => kpa <= 0)) return failure({ code: 'roadUnknown' });
  let fromKpa: readonly number[] = roadKpa;
  if (lesson.from !== 'road') {
    const before = planned(lesson.from);
    if (!before.ok) return before;
    fromKpa = before.value.plan.axles.map(({ startKpa }) => startKpa);
  }
  const axles = rig.axles.map(({ position, wheels, driven }, index): DrivenAxle => ({
    position,
    build: contexts[index]!.build,
    wheels,
    wheelLoadKg: contexts[index]!.wheelLoadKg,
    driven,
    behindM: behindM(rig, index),
  }));
  const askedKpa = plan.axles.map(({ startKpa }) => startKpa);
  return success({
    lesson: code,
    kind,
    axles,
    tools: routeTools({ central: false, pullOverMin: null }, { ...context, known: () => undefined, stepKpa: 1 }),
    roadKpa,
    fromKpa,
    askedKpa,
    lowKpa: plan.axles.map(({ floor, startKpa }) => Math.min(startKpa, floor.pressureKpa)),
    attempts: groundAttempts(code, kind, rig, tests, askedKpa),
  });
}
