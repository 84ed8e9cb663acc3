import {
  curveOf,
  doubtfulLoads,
  loadCaseOf,
  rigLoads,
  tireOf,
  type OutingRow,
  type ProofTestRow,
  type Rig,
  type RigAxle,
  type RigRow,
} from '@dunlinmoss/contract';
import {
  failure,
  familyOf,
  firstNumbers,
  planGround,
  sideOf,
  success,
  type AxleLoad,
  type AxlePosition,
  type FamilyCode,
  type FirstNumbers,
  type GroundCode,
  type LoadProblem,
  type ModifierCode,
  type PlanAxle,
  type PlanInput,
  type PlanProblem,
  type PlausibilityCheck,
  type Result,
  type UnweighedAxle,
} from '@dunlinmoss/core';

import { axleOnGauge, firstOnGauge, type GaugeUnits } from '../gauge/onGauge';
import { ownTireOf, rimTriesOf } from '../evidence/evidence';

/** Why no pressure can be planned for a rig before anything else is known. */
export type NoPlan =
  | { readonly code: 'noLoadCase' }
  | { readonly code: 'loads'; readonly problem: LoadProblem }
  | { readonly code: 'doubtfulLoad'; readonly position: AxlePosition; readonly question: PlausibilityCheck }
  | { readonly code: 'roadMissing'; readonly position: AxlePosition };

/** The heaviest tire on each side of an axle; one wheel alone stands for both. */
function heaviestOn({ wheels }: AxleLoad, side: 'left' | 'right'): number {
  const own = wheels.filter(({ wheel }) => sideOf(wheel) === side || sideOf(wheel) === 'middle');
  return Math.max(...own.map(({ loadKg }) => loadKg));
}

/** An axle as a plan takes it but for its load, with what was measured on its tires. */
function unweighedAxle(axle: RigAxle, tests: readonly ProofTestRow[], family: FamilyCode): UnweighedAxle {
  const own = ownTireOf(axle, tests, family);
  const rimTries = rimTriesOf(axle, tests, family);
  const curve = curveOf(axle);
  return {
    position: axle.position,
    wheels: axle.wheels,
    tire: tireOf(axle.tireMarking),
    loadRange: axle.loadRange,
    roadKpa: axle.roadKpa || null,
    beadHold: axle.beadHold,
    tube: axle.tube,
    insert: axle.insert,
    casing: axle.casing,
    rimInnerMm: axle.rimInnerMm,
    widthMm: axle.measuredWidthMm,
    treadWidthMm: axle.treadWidthMm,
    minKpa: axle.minKpa,
    maxKpa: axle.maxKpa,
    curve: curve.ok ? curve.value : null,
    ...(own && { own: own.estimate.tire }),
    ...(rimTries.length > 0 && { rimTries }),
  };
}

/** A rig's axles as a plan takes them, in one load case, with what was measured on their tires. */
export function planAxles(
  rig: RigRow,
  tests: readonly ProofTestRow[],
  loadCaseId?: string | null,
): Result<PlanAxle[], NoPlan> {
  const loadCase = loadCaseOf(rig, loadCaseId);
  if (!loadCase) return failure({ code: 'noLoadCase' });
  // What was found on one rig moves no other, whatever list it comes in.
  const own = tests.filter(({ rigId }) => rigId === rig.id);
  const loads = rigLoads(rig, loadCase);
  if (!loads.ok) return failure({ code: 'loads', problem: loads.problem });
  const [doubtful] = doubtfulLoads(rig.family, loads.value);
  if (doubtful) return failure({ code: 'doubtfulLoad', ...doubtful });
  const bare = familyOf(rig.family).placardRules && rig.axles.find(({ roadKpa }) => roadKpa === null || roadKpa === 0);
  if (bare) return failure({ code: 'roadMissing', position: bare.position });
  return success(
    rig.axles.map((axle, index): PlanAxle => {
      const load = loads.value.axles[index]!;
      return {
        ...unweighedAxle(axle, own, rig.family),
        leftLoadKg: heaviestOn(load, 'left'),
        rightLoadKg: heaviestOn(load, 'right'),
      };
    }),
  );
}

/** What is asked for beside the rig itself. */
export interface PlanRequest {
  readonly ground: GroundCode;
  readonly modifiers: readonly ModifierCode[];
  readonly speedKmh: number | null;
  readonly loadCaseId?: string | null | undefined;
  readonly stuckAccepted?: boolean;
  /** What was proved there, cold, at today's load: the numbers stand on it. */
  readonly proved?: readonly { readonly position: AxlePosition; readonly pressureKpa: number }[];
}

/** Everything that a plan takes, of a rig as it stands on a day. */
export function planInput(
  rig: RigRow,
  tests: readonly ProofTestRow[],
  { loadCaseId, stuckAccepted = false, ...asked }: PlanRequest,
): Result<PlanInput, NoPlan> {
  const axles = planAxles(rig, tests, loadCaseId);
  if (!axles.ok) return axles;
  const loadCase = loadCaseOf(rig, loadCaseId);
  return success({
    ...asked,
    family: rig.family,
    school: rig.school,
    roadSpeedKmh: rig.topSpeedKmh ?? familyOf(rig.family).roadSpeedKmh,
    riderKg: (loadCase?.method === 'posture' ? loadCase.posture?.riderKg : undefined) ?? null,
    ownFloorKpa: rig.beadFloorKpa,
    stuckAccepted,
    axles: axles.value,
  });
}

/** What is enough of a rig for a first number. */
export type FirstRig = Pick<Rig, 'family' | 'axles' | 'topSpeedKmh' | 'beadFloorKpa' | 'school'>;

/** Pressures of a rig of which no load is known: rules of thumb that need none, each with how far it may be off. */
export function firstNumbersOf(
  rig: FirstRig,
  tests: readonly ProofTestRow[],
  { ground, modifiers, speedKmh }: PlanRequest,
): Result<FirstNumbers, PlanProblem> {
  return firstNumbers({
    ground,
    modifiers,
    speedKmh,
    family: rig.family,
    school: rig.school,
    roadSpeedKmh: rig.topSpeedKmh ?? familyOf(rig.family).roadSpeedKmh,
    riderKg: null,
    ownFloorKpa: rig.beadFloorKpa,
    axles: rig.axles.map((axle) => unweighedAxle(axle, tests, rig.family)),
    totalKg: null,
    laden: 'empty',
    like: null,
  });
}

/** Where a rig's pressures start on a ground, as a gauge shows them: by its plan, or unweighed by the rule of thumb. */
export function startsOf(
  rig: RigRow,
  tests: readonly ProofTestRow[],
  asked: PlanRequest,
  units: GaugeUnits,
): { readonly position: AxlePosition; readonly startKpa: number }[] | undefined {
  const input = planInput(rig, tests, asked);
  if (input.ok) {
    const plan = planGround(input.value);
    return plan.ok
      ? plan.value.axles.map((axle) => ({ position: axle.position, startKpa: axleOnGauge(axle, units).startKpa }))
      : undefined;
  }
  if (input.problem.code !== 'noLoadCase') return undefined;
  const first = firstNumbersOf(rig, tests, asked);
  return first.ok
    ? first.value.axles.map((axle) => ({
        position: axle.position,
        startKpa: firstOnGauge(axle, null, units).startKpa,
      }))
    : undefined;
}

/** What was said of the day of an outing, as a plan asks for it. */
export const askedOf = ({ groundCode, modifiers, speedKmh, loadCaseId }: OutingRow): PlanRequest => ({
  ground: groundCode,
  modifiers,
  speedKmh,
  loadCaseId,
});
