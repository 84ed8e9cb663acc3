import { normalBelow } from '../numerics/normal';
import type { SoilCode } from '../soil/soils';
import { soilOf } from '../soil/soils';
import { atStart, driveOn, rollingSinkM } from './drive';
import { drivenRig, standingOf, type DrivenAxle, type DrivenRig, type RehearsedKind } from './drivenRig';
import { softened, wayOf, type Lie } from './lie';
import { lessonOf, type LessonCode } from './lessons/registry';

/** How soft a person expects a place to be: against what the trade calls by that name, and how sure. */
export interface ExpectedSoftness {
  /** Natural logarithm; more is softer. */
  readonly shift: number;
  readonly scatter: number;
}

/** Nothing known of one's own. Assumption. */
export const USUAL_SOFTNESS: ExpectedSoftness = { shift: 0, scatter: 0.15 };

/** What a person wrote down of a ground. Pressures by axle. */
export type GroundAttempt =
  | {
      readonly code: 'climb';
      readonly pressuresKpa: readonly number[];
      readonly slopeDeg: number;
      readonly depthM: number | null;
      readonly result: 'reached' | 'nearly' | 'stopped';
    }
  | { readonly code: 'rut'; readonly pressuresKpa: readonly number[]; readonly rutM: number };

/** What a person saw of a ground, in terms of how soft it can have been. Softness is a natural logarithm over the book's soil. */
export type SoftnessSeen =
  /** It went up, or did not: softer than this it would have stopped. */
  | { readonly code: 'climb'; readonly shift: number; readonly result: 'reached' | 'nearly' | 'stopped' }
  /** A rut as deep as one of this softness would be. */
  | { readonly code: 'rut'; readonly shift: number };

/** How far softness is looked for. Assumption: wider than anything that is called by one name. */
const SOFTEST = 1.5;
const STEPS = 12;
/** A climb and a rut are told no better than this. Assumptions. */
const CLIMB_SCATTER = 0.12;
const RUT_SCATTER = 0.2;
/** How long a slope is where somebody climbs it, and how it steepens, m. Assumptions. */
const SLOPE = { foot: 3, steepens: 8, steep: 4 };

/** Between a softness that holds and one that does not. */
function edgeOf(holds: (shift: number) => boolean): number {
  let [low, high] = [-SOFTEST, SOFTEST];
  for (let step = 0; step < STEPS; step++) {
    const middle = (low + high) / 2;
    if (holds(middle)) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** The softest that a rig still climbs: same slope, same gear, idle, no run-up. */
export function softestClimbed(
  rig: DrivenRig,
  pressuresKpa: readonly number[],
  slopeDeg: number,
  soil: SoilCode,
  depthM: number | null,
): number {
  const lie: Lie = {
    soil,
    depthM,
    legs: [
      { lengthM: rig.axles.at(-1)!.behindM + SLOPE.foot, fromDeg: 0, toDeg: 0, soft: true },
      { lengthM: SLOPE.steepens, fromDeg: 0.2 * slopeDeg, toDeg: slopeDeg, soft: true },
      { lengthM: SLOPE.steep, fromDeg: slopeDeg, toDeg: slopeDeg, soft: true },
    ],
  };
  const from = atStart(rig, rig.axles.at(-1)!.behindM + SLOPE.foot);
  return edgeOf((shift) => {
    const way = wayOf(lie, { seed: 0, shift, scatter: 0 });
    const order = { pressuresKpa, pace: 'idle' as const, keepsOn: true, pushedShare: undefined };
    return driveOn(from, rig, way, order)?.end === 'through';
  });
}

/** How soft a soil is in which the deepest wheel of a rig leaves such a rut, m. */
export function softnessOfRut(
  rig: DrivenRig,
  pressuresKpa: readonly number[],
  rutM: number,
  soil: SoilCode,
  depthM: number | null,
): number {
  const standing = standingOf(rig, pressuresKpa);
  return edgeOf((shift) =>
    rig.axles.every(({ wheelLoadKg }, index) => {
      const stands = standing(index, wheelLoadKg);
      return stands !== null && rollingSinkM(softened(soilOf(soil), shift), stands, depthM) <= rutM;
    }),
  );
}

/** How finely softness is summed over. */
const GRID = 121;

/**
 * How soft a person may expect such ground, after what they saw of it: Bayes' rule on a grid.
 *
 * @param before what is expected of a ground of that name
 */
export function softnessAfter(before: ExpectedSoftness, seen: readonly SoftnessSeen[]): ExpectedSoftness {
  let [sum, mean, square] = [0, 0, 0];
  for (let step = 0; step < GRID; step++) {
    const shift = -SOFTEST + (2 * SOFTEST * step) / (GRID - 1);
    let weight = Math.exp(-0.5 * ((shift - before.shift) / before.scatter) ** 2);
    for (const each of seen) {
      const off = each.shift - shift;
      if (each.code === 'rut') weight *= Math.exp(-0.5 * (off / RUT_SCATTER) ** 2);
      else if (each.result === 'nearly') weight *= Math.exp(-0.5 * (off / CLIMB_SCATTER) ** 2);
      else weight *= normalBelow((each.result === 'reached' ? off : -off) / CLIMB_SCATTER);
    }
    sum += weight;
    mean += weight * shift;
    square += weight * shift * shift;
  }
  // Two that can't both be true leave what was expected.
  if (sum < 1e-12) return before;
  return { shift: mean / sum, scatter: Math.sqrt(Math.max(0.03 ** 2, square / sum - (mean / sum) ** 2)) };
}

/** How soft a person may expect the ground of a lesson, and from how many of their own attempts and ruts. */
export interface OwnSoftness {
  readonly softness: ExpectedSoftness;
  readonly climbs: number;
  readonly ruts: number;
}

/** More of them tell nothing new, and each is worked out by driving. */
const MOST_ATTEMPTS = 12;

/** What a person's own attempts, the newest first, say of the ground of a lesson. Each is driven through to find out. */
export function softnessSeen({
  lesson,
  kind,
  axles,
  attempts,
}: {
  readonly lesson: LessonCode;
  readonly kind: RehearsedKind;
  readonly axles: readonly DrivenAxle[];
  readonly attempts: readonly GroundAttempt[];
}): OwnSoftness {
  const rig = drivenRig(kind, axles);
  const { shift, lie } = lessonOf(lesson);
  const counted = attempts.slice(0, MOST_ATTEMPTS);
  // The lesson's own softness is on top of the book's: what was seen is told against that.
  const seen = counted.map((attempt): SoftnessSeen => {
    const { pressuresKpa } = attempt;
    if (attempt.code === 'rut') {
      return { code: 'rut', shift: softnessOfRut(rig, pressuresKpa, attempt.rutM, lie.soil, lie.depthM) - shift };
    }
    const { slopeDeg, depthM, result } = attempt;
    const softest = softestClimbed(rig, pressuresKpa, slopeDeg, lie.soil, depthM ?? lie.depthM);
    return { code: 'climb', shift: softest - shift, result };
  });
  const climbs = counted.filter(({ code }) => code === 'climb').length;
  return {
    softness: seen.length === 0 ? USUAL_SOFTNESS : softnessAfter(USUAL_SOFTNESS, seen),
    climbs,
    ruts: counted.length - climbs,
  };
}
