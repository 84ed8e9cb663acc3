import { usualRigOf, splitLoads, type Laden, type UsualRigCode } from '../families/usualRigs';
import type { FamilyCode } from '../families/registry';
import type { FloorCode } from '../limits/floors';
import { isTrailer } from '../loads/geometry';
import { success, type Result } from '../result/result';
import type { SchoolCode } from '../schools/registry';
import type { PlanAxle, UnweighedAxle } from '../axle/planAxle';
import type { GroundPlan, PlanInput, PlanProblem } from './plan';
import { planGround } from './planGround';

export interface FirstInput extends Omit<PlanInput, 'axles' | 'stuckAccepted' | 'unweighed'> {
  readonly axles: readonly UnweighedAxle[];
  /** The whole rig as it stands, kg; null where nobody knows it. */
  readonly totalKg: number | null;
  readonly laden: Laden;
  /** Which usual rig it is like; null takes the first of its family. */
  readonly like: UsualRigCode | null;
}

export interface FirstAxle {
  readonly position: PlanAxle['position'];
  readonly startKpa: number;
  readonly lowKpa: number;
  readonly highKpa: number;
  /** The floor that binds without knowing the load. */
  readonly floor: { readonly code: FloorCode; readonly pressureKpa: number };
  /** What each school that needs no load asks for, limits counted. */
  readonly schools: readonly { readonly code: SchoolCode; readonly startKpa: number }[];
  /** What this wheel is taken to carry, kg; null for farm machines. */
  readonly takenKg: number | null;
  /** How far off the number may be until it is weighed, kPa; null where that is unknown. */
  readonly mayBeOffKpa: number | null;
}

export interface FirstNumbers {
  /** A rule of thumb that asks for no load, or the whole split by kind. */
  readonly basis: 'ruleOfThumb' | 'split';
  readonly school: SchoolCode | null;
  readonly speedGuideKmh: GroundPlan['speedGuideKmh'];
  readonly axles: readonly FirstAxle[];
  /** The plan that the numbers are of: unweighed, or of the split. */
  readonly plan: GroundPlan;
}

/** How far the usual total, and a split of a known one, may be off, as a share. Assumptions. */
const USUAL_MAY_BE = 0.35;
const SPLIT_MAY_BE = 0.12;

/**
 * Pressures before any scale: nobody knows axle loads by heart. Where the whole is known it is split by kind and planned;
 * else the same plan is made without what needs a load: by a rule of thumb, held at every floor and ceiling that needs none.
 * Each number says how far it may be off: what the plan comes to under loads that such a rig may have.
 *
 * @example a wagon on 36 psi, nothing weighed, soft sand: 16 psi, the share of its road pressure
 */
export function firstNumbers(input: FirstInput): Result<FirstNumbers, PlanProblem> {
  const { totalKg, laden, like, axles: bare, ...rest } = input;
  const usual = usualRigOf(input.family, like);
  const known = totalKg !== null && usual !== null;
  const wholeKg = totalKg ?? usual?.totalKg ?? null;
  const planAt = (times: number, unweighed: boolean): Result<GroundPlan, PlanProblem> =>
    planGround({
      ...rest,
      stuckAccepted: true,
      unweighed,
      axles: withLoads(bare, wheelLoadsKg(input.family, bare, { totalKg: wholeKg && wholeKg * times, laden, like })),
    });
  const plan = planAt(1, !known);
  if (!plan.ok) return plan;

  const spread = known ? SPLIT_MAY_BE : USUAL_MAY_BE;
  const others = usual ? [1 - spread, 1, 1 + spread].map((times) => planAt(times, false)) : [];
  const offBy = (axle: number, startKpa: number): number | null => {
    const off = others.flatMap((each) => (each.ok ? [Math.abs(each.value.axles[axle]!.startKpa - startKpa)] : []));
    return off.length === 0 ? null : Math.max(...off);
  };
  return success({
    basis: known ? 'split' : 'ruleOfThumb',
    plan: plan.value,
    school: plan.value.school,
    speedGuideKmh: plan.value.speedGuideKmh,
    axles: plan.value.axles.map(({ position, startKpa, window, floor, schools, wheelLoadKg }, axle) => ({
      position,
      startKpa,
      lowKpa: window.lowKpa,
      highKpa: window.highKpa,
      floor: { code: floor.code, pressureKpa: floor.pressureKpa },
      schools: schools.flatMap((each) => (each.ok ? [{ code: each.code, startKpa: each.startKpa }] : [])),
      takenKg: usual ? wheelLoadKg : null,
      mayBeOffKpa: offBy(axle, startKpa),
    })),
  });
}

/** Where no number of it is shown, and a ratio takes it out again, kg. */
const ANY_KG = 1000;

/**
 * What such a rig most likely has on one wheel of each axle, kg: the whole, else that of a usual rig, split by kind. A
 * trailer is no part of the whole: it is taken to stand as heavy on its wheels as the axle before it.
 */
export function wheelLoadsKg(
  family: FamilyCode,
  axles: readonly Pick<PlanAxle, 'position' | 'wheels'>[],
  { totalKg = null, laden = 'empty', like = null }: Partial<Pick<FirstInput, 'totalKg' | 'laden' | 'like'>> = {},
): readonly number[] {
  const usual = usualRigOf(family, like);
  if (!usual) return axles.map(() => ANY_KG);
  const own = axles.filter(({ position }) => !isTrailer(position));
  const loads = splitLoads(
    usual,
    totalKg ?? usual.totalKg,
    laden,
    own.map(({ wheels }) => wheels),
  );
  return axles.map((_, axle) => loads[axle] ?? loads.at(-1) ?? ANY_KG);
}

/** The axles with so much on each wheel. */
export const withLoads = (axles: readonly UnweighedAxle[], wheelKg: readonly number[]): PlanAxle[] =>
  axles.map((axle, index) => ({ ...axle, leftLoadKg: wheelKg[index]!, rightLoadKg: wheelKg[index]! }));
