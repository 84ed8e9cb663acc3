import { contactPatch, type ContactPatch } from '../contact/contactPatch';
import type { GroundCode } from '../grounds/registry';
import type { CeilingCode } from '../limits/ceilings';
import type { FloorCode } from '../limits/floors';
import type { AxlePosition } from '../loads/geometry';
import type { ModifierCode } from '../modifiers/registry';
import type { PlanAxle } from '../axle/planAxle';
import type { AxlePlan, GroundPlan, PlanInput, PlanProblem } from '../plan/plan';
import { contextsOf, planGround } from '../plan/planGround';
import { failure, success, type Result } from '../result/result';

/** One part of a day: its ground, its load, and how much of the day it is. */
export interface Leg {
  readonly ground: GroundCode;
  readonly modifiers: readonly ModifierCode[];
  readonly speedKmh: number | null;
  readonly axles: readonly PlanAxle[];
  /** What was proved on its ground; without it the rule alone. */
  readonly proved?: PlanInput['proved'];
  /** Against the other legs, above 0. */
  readonly weight: number;
}

/** What one pressure for the whole day means on one leg for one axle. */
export interface LegAxle {
  readonly position: AxlePosition;
  /** What this leg alone would have. */
  readonly ownKpa: number;
  /** How far the one pressure lies above it, kPa; less than zero below. */
  readonly aboveOwnKpa: number;
  readonly atOwn: ContactPatch;
  /** Null where there is no one pressure. */
  readonly atOne: ContactPatch | null;
}

export interface OnePressure {
  readonly position: AxlePosition;
  /** The best single compromise, kPa; null where no pressure is safe on every leg. */
  readonly pressureKpa: number | null;
  /** The highest of the floors, and the leg it is from. */
  readonly lowest: { readonly leg: number; readonly code: FloorCode | 'placardRules'; readonly pressureKpa: number };
  /** The lowest of the ceilings; null without any. */
  readonly highest: { readonly leg: number; readonly code: CeilingCode; readonly pressureKpa: number } | null;
  /** True where a floor, not the balance between the legs, sets it. */
  readonly held: boolean;
}

export interface Compromise {
  readonly axles: readonly OnePressure[];
  readonly legs: readonly { readonly plan: GroundPlan; readonly axles: readonly LegAxle[] }[];
  /** Stops to change when each leg has its own pressure. */
  readonly changes: number;
}

export type CompromiseProblem = PlanProblem & { readonly leg: number };

/** Legs whose pressures lie this close need no stop, kPa. Assumption: about what a gauge shows. */
const SAME_KPA = 5;

/**
 * One pressure for a day of several grounds and loads, beside what each leg would have. It must carry every leg: no
 * lower than the highest floor (on pavement the placard), no higher than the lowest ceiling. Between them it is the
 * weighted mean of what the legs ask for, of their logarithms, because what counts is how many times too hard a tire is
 * (assumption). Without any way to change on the go, the heaviest load at the highest speed rules by itself.
 */
export function compromise(base: PlanInput, legs: readonly Leg[]): Result<Compromise, CompromiseProblem> {
  const inputs = legs.map(({ weight: _, ...leg }): PlanInput => ({ ...base, ...leg }));
  const plans: GroundPlan[] = [];
  for (const [leg, input] of inputs.entries()) {
    const plan = planGround(input);
    if (!plan.ok) return failure({ ...plan.problem, leg });
    plans.push(plan.value);
  }
  const axles = base.axles.map((_, axle) => oneFor(axle, plans, legs));
  return success({
    axles,
    legs: plans.map((plan, leg) => ({
      plan,
      axles: contextsOf(inputs[leg]!).map(({ build, wheelLoadKg }, index): LegAxle => {
        const { position, startKpa, atStart } = plan.axles[index]!;
        const oneKpa = axles[index]!.pressureKpa;
        return {
          position,
          ownKpa: startKpa,
          aboveOwnKpa: oneKpa === null ? 0 : oneKpa - startKpa,
          atOwn: atStart,
          atOne: oneKpa === null ? null : (contactPatch(build, wheelLoadKg, oneKpa) ?? null),
        };
      }),
    })),
    changes: plans.filter((plan, leg) => leg > 0 && differs(plan, plans[leg - 1]!)).length,
  });
}

const differs = (one: GroundPlan, other: GroundPlan): boolean =>
  one.axles.some(({ startKpa }, index) => Math.abs(startKpa - other.axles[index]!.startKpa) > SAME_KPA);

function oneFor(axle: number, plans: readonly GroundPlan[], legs: readonly Leg[]): OnePressure {
  const own = plans.map((plan): AxlePlan => plan.axles[axle]!);
  const lowest = plans
    .map((plan, leg) => {
      const { floor, startKpa } = own[leg]!;
      // Where the placard rules there is no going below it.
      return plan.school === null
        ? { leg, code: 'placardRules' as const, pressureKpa: startKpa }
        : { leg, code: floor.code, pressureKpa: floor.pressureKpa };
    })
    .reduce((best, each) => (each.pressureKpa > best.pressureKpa ? each : best));
  const highest = own
    .flatMap(({ ceiling }, leg) => (ceiling ? [{ leg, code: ceiling.code, pressureKpa: ceiling.pressureKpa }] : []))
    .reduce<OnePressure['highest']>((best, each) => (best && best.pressureKpa <= each.pressureKpa ? best : each), null);
  const { position } = own[0]!;
  if (highest && lowest.pressureKpa > highest.pressureKpa) {
    return { position, pressureKpa: null, lowest, highest, held: true };
  }
  const total = legs.reduce((sum, { weight }) => sum + weight, 0);
  const balanced = Math.exp(
    own.reduce((sum, { startKpa }, leg) => sum + (legs[leg]!.weight / total) * Math.log(startKpa), 0),
  );
  const pressureKpa = Math.min(
    Math.max(balanced, lowest.pressureKpa),
    highest?.pressureKpa ?? Number.POSITIVE_INFINITY,
  );
  return { position, pressureKpa, lowest, highest, held: balanced < lowest.pressureKpa };
}
