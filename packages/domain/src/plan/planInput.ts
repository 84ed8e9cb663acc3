import {
  curveOf,
  doubtfulLoads,
  isRoadDoubtful,
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
  wheelLoadsKg,
  withLoads,
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
  type RigLoads,
  type UnweighedAxle,
} from '@dunlinmoss/core';

import { axleOnGauge, type GaugeUnits } from '../gauge/onGauge';
import { ownTireOf, rimTriesOf } from '../evidence/evidence';
import { withTankLevel } from './tankLevel';

/** Why no pressure can be planned for a rig before anything else is known. */
export type NoPlan =
  | { readonly code: 'loads'; readonly problem: LoadProblem }
  | { readonly code: 'doubtfulLoad'; readonly position: AxlePosition; readonly question: PlausibilityCheck }
  /** A road pressure that hardly can be: it is asked back before any number stands on it. */
  | { readonly code: 'doubtfulRoad'; readonly position: AxlePosition; readonly pressureKpa: number };

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
    hookless: axle.hookless,
    treadWidthMm: axle.treadWidthMm,
    minKpa: axle.minKpa,
    maxKpa: axle.maxKpa,
    curve: curve.ok ? curve.value : null,
    ...(own && { own: own.estimate.tire }),
    ...(rimTries.length > 0 && { rimTries }),
  };
}

/** A rig's axles as a plan takes them. */
export interface LoadedAxles {
  readonly axles: readonly PlanAxle[];
  /** Nobody knows what stands on the wheels: loads are those of a usual rig. */
  readonly unweighed: boolean;
}

/**
 * A rig's axles as a plan takes them, in one load case, with what was measured on their tires; before anything was weighed
 * under the loads of a usual rig, and marked so.
 *
 * @param level how full its tanks are today, 0 to 1; null goes by the load case
 */
export function planAxles(
  rig: RigRow,
  tests: readonly ProofTestRow[],
  loadCaseId?: string | null,
  level: number | null = null,
): Result<LoadedAxles, NoPlan> {
  // What was found on one rig moves no other, whatever list it comes in.
  const own = tests.filter(({ rigId }) => rigId === rig.id);
  const bare = rig.axles.map((axle) => unweighedAxle(axle, own, rig.family));
  const doubtful = rig.axles.find((axle) => isRoadDoubtful(rig.family, axle));
  if (doubtful) {
    return failure({ code: 'doubtfulRoad', position: doubtful.position, pressureKpa: doubtful.roadKpa! });
  }
  const kept = loadCaseOf(rig, loadCaseId);
  if (!kept) return success({ axles: withLoads(bare, wheelLoadsKg(rig.family, bare)), unweighed: true });
  const loads = rigLoads(rig, level === null ? kept : withTankLevel(kept, level));
  if (!loads.ok) return failure({ code: 'loads', problem: loads.problem });
  const [unlikely] = doubtfulLoads(rig.family, loads.value);
  if (unlikely) return failure({ code: 'doubtfulLoad', ...unlikely });
  const road = roadLoads(rig);
  return success({
    unweighed: false,
    axles: bare.map((axle, index): PlanAxle => {
      const load = loads.value.axles[index]!;
      const roadLoad = road?.axles[index];
      return {
        ...axle,
        leftLoadKg: heaviestOn(load, 'left'),
        rightLoadKg: heaviestOn(load, 'right'),
        ...(roadLoad && { roadLoadKg: Math.max(heaviestOn(roadLoad, 'left'), heaviestOn(roadLoad, 'right')) }),
      };
    }),
  });
}

/**
 * The loads that a farm machine's road pressures are for: those of the load case that the person named, else of the heaviest
 * one, its tanks full. Null for other rigs, whose road pressure belongs to the placard.
 */
function roadLoads(rig: RigRow): RigLoads | null {
  if (familyOf(rig.family).kind !== 'farm') return null;
  const named = rig.loadCases.filter(({ id }) => id === rig.roadLoadCaseId);
  const known = (named.length > 0 ? named : rig.loadCases).flatMap((loadCase) => {
    const loads = rigLoads(rig, withTankLevel(loadCase, 1));
    return loads.ok ? [loads.value] : [];
  });
  return known.reduce<RigLoads | null>((most, each) => (!most || each.totalKg > most.totalKg ? each : most), null);
}

/** What is asked for beside the rig itself. */
export interface PlanRequest {
  readonly ground: GroundCode;
  readonly modifiers: readonly ModifierCode[];
  readonly speedKmh: number | null;
  readonly loadCaseId?: string | null | undefined;
  /** How full its tanks are today, 0 to 1; null goes by the load case. */
  readonly tankLevel?: number | null;
  readonly stuckAccepted?: boolean;
  /** What was proved there, cold, at today's load: the numbers stand on it. */
  readonly proved?: readonly { readonly position: AxlePosition; readonly pressureKpa: number }[];
}

/** Everything that a plan takes, of a rig as it stands on a day; before it was weighed, without what needs a load. */
export function planInput(
  rig: RigRow,
  tests: readonly ProofTestRow[],
  { loadCaseId, tankLevel = null, stuckAccepted = false, ...request }: PlanRequest,
): Result<PlanInput, NoPlan> {
  const loaded = planAxles(rig, tests, loadCaseId, tankLevel);
  if (!loaded.ok) return loaded;
  const loadCase = loadCaseOf(rig, loadCaseId);
  return success({
    ...request,
    ...loaded.value,
    family: rig.family,
    school: rig.school,
    roadSpeedKmh: rig.topSpeedKmh ?? familyOf(rig.family).roadSpeedKmh,
    riderKg: (loadCase?.method === 'posture' ? loadCase.posture?.riderKg : undefined) ?? null,
    ownFloorKpa: rig.beadFloorKpa,
    stuckAccepted,
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

/** Where a rig's pressures start on a ground, as a gauge shows them; weighed or not. */
export function startsOf(
  rig: RigRow,
  tests: readonly ProofTestRow[],
  request: PlanRequest,
  units: GaugeUnits,
): { readonly position: AxlePosition; readonly startKpa: number }[] | undefined {
  const input = planInput(rig, tests, request);
  const plan = input.ok ? planGround(input.value) : undefined;
  return plan?.ok
    ? plan.value.axles.map((axle) => ({ position: axle.position, startKpa: axleOnGauge(axle, units).startKpa }))
    : undefined;
}

/** What was said of the day of an outing, as a plan asks for it. */
export const askedOf = ({ groundCode, modifiers, speedKmh, loadCaseId, tankLevel }: OutingRow): PlanRequest => ({
  ground: groundCode,
  modifiers,
  speedKmh,
  loadCaseId,
  tankLevel,
});
