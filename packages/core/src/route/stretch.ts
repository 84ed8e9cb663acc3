import type { AxleContext } from '../axle/axleContext';
import { placardRules } from '../axle/axleContext';
import type { PlanAxle } from '../axle/planAxle';
import type { Kind } from '../families/family';
import { familyOf } from '../families/registry';
import { isLike, type Ground } from '../grounds/ground';
import { groundOf } from '../grounds/registry';
import { bindingCeiling } from '../limits/ceilings';
import { bindingFloor, floorsKpa } from '../limits/floors';
import { speedForPressureKmh } from '../limits/speedAtPressure';
import { WALKING_KMH } from '../limits/speedPairs';
import type { PlanInput, PlanProblem } from '../plan/plan';
import { contextsOf, planGround } from '../plan/planGround';
import { failure, success, type Result } from '../result/result';
import { assumption, type Source } from '../sources/source';
import { canBog, chanceOfBogging, type Softness, type Sureness } from '../grounds/bogging';
import type { Setting } from './routeStops';

/** One stretch of a day, as the planner takes it. */
export interface RouteStretch {
  /** Ground, load and limits as it is begun; its speed is the fastest that the person would drive here, null goes by the guide. */
  readonly input: PlanInput;
  /** Loads at its end, where a tank empties on it; null where they stay. */
  readonly endAxles: readonly PlanAxle[] | null;
  readonly lengthKm: number;
  /** The steepest climb on it, degrees, 0 or more. */
  readonly climbDeg: number;
  readonly sureness: Sureness;
  /** Found softer than thought, as a natural logarithm; less than 0 where firmer. */
  readonly softnessShift: number;
  /** One can't stop on it. */
  readonly noStopping: boolean;
  /** Air is to be had for nothing where it begins. */
  readonly freeAir: boolean;
  /** Minutes since the day began: not before, and through it by. */
  readonly opensMin: number | null;
  readonly closesMin: number | null;
}

/** How fast people drive where neither guide nor rig sets it, km/h, on pavement and off it. Assumption. */
const CRUISE_KMH: Readonly<Record<Kind, { readonly paved: number; readonly off: number }>> = {
  car: { paved: 80, off: 40 },
  quad: { paved: 50, off: 30 },
  motorcycle: { paved: 80, off: 40 },
  bicycle: { paved: 24, off: 15 },
  farm: { paved: 40, off: 15 },
};
/** Harder than a rough ground asks for, one drives slower by this power of it; a bicycle that is too soft likewise. Assumption. */
const HARSH_POWER = 0.5;
const SLUGGISH_POWER = 0.3;

export const PACE_SOURCE: Source = assumption;

/** What one setting means on a stretch. */
export interface OnStretch {
  readonly kmh: number;
  /** Pressure over what the ground asks for, of the axle that is furthest above it, and furthest below. */
  readonly mostRatio: number;
  readonly leastRatio: number;
}

/** A stretch with all that hangs on ground and load alone: alike for every stretch with the same. */
export interface StretchKind {
  readonly ground: Ground;
  readonly kind: Kind;
  /** What the plan of the ground would have there. */
  readonly ownKpa: readonly number[];
  /** How low and how high each axle may be, however slow; Infinity where no ceiling is known. */
  readonly lowestKpa: readonly number[];
  readonly highestKpa: readonly number[];
  /** How low the ground's own plan goes at its own speed: lower is slower than that, and is told. */
  readonly groundFloorKpa: readonly number[];
  readonly at: (setting: Setting) => OnStretch | null;
}

/** What no gauge shows, kPa. */
const DUST_KPA = 0.05;

/**
 * How low an axle may be on pavement where there is no air to put back: as low as its bead, rim and sidewall allow, at the
 * speed that goes with it. Limping home is a stretch like any other.
 */
const limpFloorKpa = (context: AxleContext): number => Math.max(0, floorsKpa(context).letsGoKpa);

/**
 * The limits, own pressures and speeds of a ground and load, each end of the stretch looked at.
 *
 * @param limps pavement may be driven below the road's pressure, as slowly as that takes
 */
export function stretchKind(
  input: PlanInput,
  endAxles: readonly PlanAxle[] | null,
  limps = false,
): Result<StretchKind, PlanProblem> {
  const ends = endAxles ? [input, { ...input, axles: endAxles }] : [input];
  const ground = groundOf(input.ground) as Ground;
  const paved = ground.paved === true;
  const { kind } = familyOf(input.family);
  const plans: (readonly number[])[] = [];
  const floors: (readonly number[])[] = [];
  for (const end of ends) {
    // How fast it has to go is no limit here: slower is an answer.
    const plan = planGround({ ...end, speedKmh: null });
    const slow = plan.ok ? plan : planGround({ ...end, speedKmh: WALKING_KMH });
    if (!slow.ok) return slow;
    plans.push(slow.value.axles.map(({ startKpa }) => startKpa));
    floors.push(slow.value.axles.map(({ floor }) => floor.pressureKpa));
  }
  const slowly = ends.map((end) => contextsOf({ ...end, speedKmh: WALKING_KMH }));
  const eachAxle = <Value>(of: (contexts: readonly AxleContext[]) => Value): Value[] =>
    input.axles.map((_, axle) => of(slowly.map((contexts) => contexts[axle]!)));
  const lowestKpa = eachAxle((contexts) =>
    Math.max(
      ...contexts.map((context) =>
        limps && paved
          ? limpFloorKpa(context)
          : placardRules(context)
            ? Math.max(context.axle.roadKpa ?? 0, bindingFloor(context).pressureKpa)
            : bindingFloor(context).pressureKpa,
      ),
    ),
  );
  const highestKpa = eachAxle((contexts) =>
    Math.min(...contexts.map((context) => bindingCeiling(context)?.pressureKpa ?? Number.POSITIVE_INFINITY)),
  );
  const blocked = input.axles.findIndex((_, axle) => lowestKpa[axle]! > highestKpa[axle]! + DUST_KPA);
  if (blocked !== -1) {
    const context = slowly[0]![blocked]!;
    const [floor, ceiling] = [bindingFloor(context), bindingCeiling(context)!];
    return failure({
      code: 'floorAboveCeiling',
      position: context.axle.position,
      wheelLoadKg: context.wheelLoadKg,
      floor: floor.code,
      floorKpa: lowestKpa[blocked]!,
      ceiling: ceiling.code,
      ceilingKpa: ceiling.pressureKpa,
    });
  }
  const ownKpa = input.axles.map((_, axle) => Math.exp(mean(plans.map((plan) => Math.log(plan[axle]!)))));
  const smooth = paved || ground.bicycle?.hard === true;
  const cruiseKmh =
    input.speedKmh ??
    ground.speedGuideKmh?.high ??
    (paved ? (input.roadSpeedKmh ?? CRUISE_KMH[kind].paved) : smooth ? CRUISE_KMH[kind].paved : CRUISE_KMH[kind].off);

  const at = (setting: Setting): OnStretch | null => {
    const pressures = setting.map(({ pressureKpa }) => pressureKpa);
    if (pressures.some((kpa, axle) => kpa < lowestKpa[axle]! - DUST_KPA || kpa > highestKpa[axle]! + DUST_KPA)) {
      return null;
    }
    const allowed = slowly.flatMap((contexts) =>
      contexts.map((context, axle) =>
        placardRules(context) && !limps
          ? Number.POSITIVE_INFINITY
          : (speedForPressureKmh(context, pressures[axle]!, paved) ?? Number.POSITIVE_INFINITY),
      ),
    );
    const ratios = pressures.map((kpa, axle) => kpa / ownKpa[axle]!);
    const mostRatio = Math.max(...ratios);
    const leastRatio = Math.min(...ratios);
    // Soil is soft enough to ride on, however hard the tire.
    const harsh = smooth || isLike(ground, 'field') ? 1 : Math.min(1, mostRatio ** -HARSH_POWER);
    const sluggish = kind === 'bicycle' ? Math.min(1, leastRatio ** SLUGGISH_POWER) : 1;
    return { kmh: Math.min(cruiseKmh * harsh * sluggish, ...allowed), mostRatio, leastRatio };
  };
  const groundFloorKpa = input.axles.map((_, axle) => Math.max(...floors.map((each) => each[axle]!)));
  return success({ ground, kind, ownKpa, lowestKpa, highestKpa, groundFloorKpa, at });
}

/** What a setting costs a stretch beside minutes, each in kilometers times how far it is from what the ground asks for. */
export interface Wear {
  /** Softer than the ground asks for: sidewalls bend and warm. */
  readonly softKm: number;
  /** Harder than rough ground asks for: it shakes. */
  readonly harshKm: number;
  /** Harder than a field asks for: it is pressed. */
  readonly pressedKm: number;
}

export function wearOf({ ground }: StretchKind, { mostRatio, leastRatio }: OnStretch, lengthKm: number): Wear {
  const above = lengthKm * Math.max(0, mostRatio - 1);
  const field = isLike(ground, 'field');
  const smooth = ground.paved === true || ground.bicycle?.hard === true;
  return {
    softKm: lengthKm * Math.max(0, 1 - leastRatio),
    harshKm: field || smooth ? 0 : above,
    pressedKm: field ? above : 0,
  };
}

/** The chance to be stuck on a stretch, 0 to 1. */
export const bogChance = (
  { ground }: StretchKind,
  { mostRatio }: OnStretch,
  climbDeg: number,
  softness: Softness,
): number => (canBog(ground) ? chanceOfBogging(mostRatio, climbDeg, softness) : 0);

const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;
