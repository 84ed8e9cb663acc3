import { familyOf } from '../families/registry';
import { groundOf } from '../grounds/registry';
import { bindingCeiling, softCeilingKpa } from '../limits/ceilings';
import { FLOORS, type FloorCode } from '../limits/floors';
import type { Limit } from '../limits/limit';
import { isTrailer } from '../loads/geometry';
import { splitLoads, usualRigOf, type Laden, type UsualRigCode } from '../families/usualRigs';
import { failure, success, type Result } from '../result/result';
import { schoolOf, schoolsFor, type SchoolCode } from '../schools/registry';
import type { MissingInput } from '../schools/school';
import { placardRules, type AxleContext } from '../axle/axleContext';
import type { PlanAxle } from '../axle/planAxle';
import type { GroundPlan, PlanInput, PlanProblem } from './plan';
import { contextsOf, planGround } from './planGround';

/** An axle of which the load is not known. */
export type UnweighedAxle = Omit<PlanAxle, 'leftLoadKg' | 'rightLoadKg'>;

export interface FirstInput extends Omit<PlanInput, 'axles' | 'stuckAccepted'> {
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
  /** The plan that such a rig has as most of them weigh: for what to mind, not for its numbers. Null of farm machines. */
  readonly likely: GroundPlan | null;
}

/** How far the usual total, and a split of a known one, may be off, as a share. Assumptions. */
const USUAL_MAY_BE = 0.35;
const SPLIT_MAY_BE = 0.12;

/**
 * Pressures before any scale: nobody knows axle loads by heart. Where the whole is known it is split by kind and planned;
 * else a rule of thumb that asks for no load answers, held at the floors and ceilings that need none. Each number says how
 * far it may be off: what the plan comes to under loads that such a rig may have.
 *
 * @example a wagon on 36 psi, nothing weighed, soft sand: 16 psi, the share of its road pressure
 */
export function firstNumbers(input: FirstInput): Result<FirstNumbers, PlanProblem> {
  const family = familyOf(input.family);
  const ground = groundOf(input.ground);
  if (!ground.kinds.includes(family.kind)) return failure({ code: 'otherGround' });
  if (input.axles.every(({ position }) => isTrailer(position))) {
    return failure({ code: 'onlyTrailer', position: input.axles[0]!.position });
  }
  const usual = usualRigOf(input.family, input.like);
  const known = input.totalKg !== null && usual !== null;
  const totalKg = input.totalKg ?? usual?.totalKg ?? null;
  const loadsAt = (times: number): readonly number[] | null =>
    loadsOf(input, totalKg === null ? null : totalKg * times);
  const planAt = (times: number): Result<GroundPlan, PlanProblem> =>
    planGround(weighed(input, loadsAt(times) ?? input.axles.map(() => ANY_KG)));

  const spread = known ? SPLIT_MAY_BE : USUAL_MAY_BE;
  const others = usual ? [1 - spread, 1, 1 + spread].map(planAt) : [];
  const offBy = (axle: number, startKpa: number): number | null => {
    const off = others.flatMap((plan) => (plan.ok ? [Math.abs(plan.value.axles[axle]!.startKpa - startKpa)] : []));
    return off.length === 0 ? null : Math.max(...off);
  };

  if (known) {
    const plan = planAt(1);
    if (!plan.ok) return plan;
    return success({
      basis: 'split',
      likely: plan.value,
      school: plan.value.school,
      speedGuideKmh: plan.value.speedGuideKmh,
      axles: plan.value.axles.map(({ position, startKpa, window, floor, schools, wheelLoadKg }, axle) => ({
        position,
        startKpa,
        lowKpa: window.lowKpa,
        highKpa: window.highKpa,
        floor: { code: floor.code, pressureKpa: floor.pressureKpa },
        schools: schools.flatMap((each) => (each.ok ? [{ code: each.code, startKpa: each.startKpa }] : [])),
        takenKg: wheelLoadKg,
        mayBeOffKpa: offBy(axle, startKpa),
      })),
    });
  }

  const contexts = contextsOf(weighed(input, loadsAt(1) ?? input.axles.map(() => ANY_KG)));
  const chosen = chooseThumb(contexts, input.school);
  if (!chosen.ok) return chosen;
  const guide = planAt(1);
  return success({
    basis: 'ruleOfThumb',
    likely: usual && guide.ok ? guide.value : null,
    school: chosen.value,
    speedGuideKmh: family.speedGuide ? (guide.ok ? guide.value.speedGuideKmh : ground.speedGuideKmh) : null,
    axles: contexts.map((context, axle) => {
      const thumb = thumbOf(context, chosen.value);
      return {
        ...thumb,
        takenKg: usual ? context.wheelLoadKg : null,
        mayBeOffKpa: offBy(axle, thumb.startKpa),
      };
    }),
  });
}

/** Where no number of it is shown, and a ratio takes it out again, kg. */
const ANY_KG = 1000;

function loadsOf({ family, like, laden, axles }: FirstInput, totalKg: number | null): readonly number[] | null {
  const usual = usualRigOf(family, like);
  if (!usual || totalKg === null) return null;
  const own = axles.filter(({ position }) => !isTrailer(position));
  const loads = splitLoads(
    usual,
    totalKg,
    laden,
    own.map(({ wheels }) => wheels),
  );
  // A trailer is no part of the whole: it is taken to stand as heavy on its wheels as the axle before it.
  return axles.map((_, axle) => loads[axle] ?? loads.at(-1)!);
}

const weighed = ({ totalKg: _, laden: __, like: ___, ...rest }: FirstInput, loads: readonly number[]): PlanInput => ({
  ...rest,
  stuckAccepted: false,
  axles: rest.axles.map((axle, index) => ({ ...axle, leftLoadKg: loads[index]!, rightLoadKg: loads[index]! })),
});

/** The chosen school, or the first, that answers on every axle without a load; none where the placard rules. */
function chooseThumb(
  contexts: readonly AxleContext[],
  chosen: SchoolCode | null,
): Result<SchoolCode | null, PlanProblem> {
  const [first] = contexts as [AxleContext];
  if (placardRules(first)) {
    const bare = contexts.find(({ axle }) => axle.roadKpa === null);
    return bare ? failure({ code: 'roadMissing', position: bare.axle.position }) : success(null);
  }
  const own = schoolsFor(first.family.kind).filter((code) => schoolOf(code).withoutLoad);
  const needs: MissingInput[] = [];
  for (const code of chosen !== null && own.includes(chosen) ? [chosen, ...own] : own) {
    const wanted = contexts.map((context) => schoolOf(code).targetKpa(context, 'start'));
    const need = wanted.find((each) => typeof each === 'string');
    if (need === undefined) return success(code);
    needs.push(need);
  }
  return failure({ code: 'noSchoolAnswers', needs: [...new Set(needs)] });
}

function thumbOf(context: AxleContext, school: SchoolCode | null): Omit<FirstAxle, 'takenKg' | 'mayBeOffKpa'> {
  const { position, roadKpa } = context.axle;
  const floors = (FLOORS as readonly Limit[]).flatMap(({ code, withoutLoad, pressureKpa }) => {
    const value = withoutLoad ? pressureKpa(context) : null;
    return value === null ? [] : [{ code: code as FloorCode, pressureKpa: value }];
  });
  // Below the first row of a data sheet nothing is promised, whatever stands on the wheel.
  const { curve } = context.axle;
  if (curve?.from === 'rows') {
    const firstKpa = Math.min(...curve.speeds.map(({ points }) => points[0]!.pressureKpa));
    floors.push({ code: 'loadAtSpeed', pressureKpa: firstKpa });
  }
  const floor = floors.reduce((best, each) => (each.pressureKpa > best.pressureKpa ? each : best));
  const most = Math.min(
    bindingCeiling(context)?.pressureKpa ?? Number.POSITIVE_INFINITY,
    softCeilingKpa(context, floor.pressureKpa) ?? Number.POSITIVE_INFINITY,
  );
  const hold = (kpa: number): number => Math.max(Math.min(kpa, most), Math.min(floor.pressureKpa, most));
  const at = (code: SchoolCode, end: 'start' | 'low' | 'high'): number | null => {
    const wanted = schoolOf(code).targetKpa(context, end);
    return typeof wanted === 'number' ? hold(wanted) : null;
  };
  if (school === null) {
    return { position, startKpa: roadKpa!, lowKpa: roadKpa!, highKpa: roadKpa!, floor, schools: [] };
  }
  const startKpa = at(school, 'start')!;
  return {
    position,
    startKpa,
    lowKpa: Math.min(startKpa, at(school, 'low')!),
    highKpa: Math.max(startKpa, at(school, 'high')!),
    floor,
    schools: schoolsFor(context.family.kind).flatMap((code) => {
      const kpa = schoolOf(code).withoutLoad ? at(code, 'start') : null;
      return kpa === null ? [] : [{ code, startKpa: kpa }];
    }),
  };
}
