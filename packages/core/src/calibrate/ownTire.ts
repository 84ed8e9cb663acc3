import { contactPatch } from '../contact/contactPatch';
import { deflectionMm, isBicycleTire } from '../contact/deflection';
import type { OwnFactor, OwnTire } from '../contact/ownTire';
import type { TireBuild } from '../contact/stiffness';
import type { Observation } from './observation';
import { inverseOf, times } from '../numerics/solve';

/**
 * How far the handbook's values may be off on one rig, before anything is measured: standard deviations, of the
 * logarithm for factors, of the reading for a gauge. Assumptions.
 */
export const PRIOR = { contact: 0.2, width: 0.12, carcass: 0.35, drop: 0.2, gaugeKpa: 3.5, offsetMm: 150 } as const;

/** Student's t with so many degrees of freedom stands for readings of which one in many is wild. Assumption. */
const FREEDOM = 4;
/** A reading that counts for less than this share of an ordinary one is called an outlier. Assumption. */
const WILD = 0.35;
/** Two readings that lie further apart than this, in what such readings spread, can't both be right. Assumption. */
const CONTRADICTS = 3.5;
/** Nine chances in ten, two-sided, of a normal spread. Exact. */
const NINE_IN_TEN = 1.6449;
/**
 * Such weights leave the estimate a little less sure than the curvature says where readings spread normally: by this much.
 * Exact: √E[ψ²]/E[ψ′] over the curvature's 1/√E[w], by quadrature.
 */
const LESS_SURE = 1.07;
const ROUNDS = 60;
const STILL = 1e-7;

export interface OwnEstimate {
  readonly tire: OwnTire;
  /** What the gauge of these readings shows above the truth, kPa, with nine chances in ten. */
  readonly gauge: { readonly biasKpa: number; readonly lowKpa: number; readonly highKpa: number };
  /** Observations that fit nothing else, by their place in the list. */
  readonly wild: readonly number[];
  /** Pairs that can't both be right, by their places in the list, worst first. */
  readonly contradictions: readonly (readonly [number, number])[];
}

/** contact, width, stiffness (carcass or drop), gauge, then one for each offset. */
type Unknowns = readonly number[];
const [CONTACT, WIDTH, STIFF, GAUGE, OFFSETS] = [0, 1, 2, 3, 4] as const;

/**
 * What a tire's own tests make of the handbook's values, all readings at once: contact length, tread width, carcass or
 * drop, and the bias of the gauge, with nine chances in ten between low and high. The most likely values under Student's
 * t for the readings and a normal prior about the handbook's, found by Gauss and Newton's steps with weights (each
 * round a least-squares fit); the interval from the curvature there.
 *
 * With no observation every factor is 1 and as uncertain as the prior.
 *
 * @param build the tire as the handbook has it
 */
export function ownTire(build: TireBuild, observations: readonly Observation[]): OwnEstimate {
  const offsets = [...new Set(observations.flatMap(({ offset }) => (offset === null ? [] : [offset])))];
  const size = OFFSETS + offsets.length;
  const stiffPrior = isBicycleTire(build) ? PRIOR.drop : PRIOR.carcass;
  const prior = [PRIOR.contact, PRIOR.width, stiffPrior, PRIOR.gaugeKpa, ...offsets.map(() => PRIOR.offsetMm)];
  const columnOf = observations.map(({ offset }) => (offset === null ? null : OFFSETS + offsets.indexOf(offset)));

  const residuals = (at: Unknowns): number[] => {
    const own = withFactors(build, at);
    return observations.map((each, index) => {
      const offset = columnOf[index] === null ? 0 : at[columnOf[index]!]!;
      return (each.valueMm - offset - predictedMm(own, each, at[GAUGE]!)) / each.deviationMm;
    });
  };
  const weightsOf = (r: readonly number[]): number[] => r.map((each) => (FREEDOM + 1) / (FREEDOM + each * each));
  const lossOf = (at: Unknowns, r: readonly number[]): number =>
    r.reduce((sum, each) => sum + (FREEDOM + 1) * Math.log1p((each * each) / FREEDOM), 0) +
    at.reduce((sum, each, index) => sum + (each / prior[index]!) ** 2, 0);

  let at: Unknowns = Array.from({ length: size }, () => 0);
  let r = residuals(at);
  let loss = lossOf(at, r);
  let inverse = prior.map((deviation, i) => prior.map((_, j) => (i === j ? deviation ** 2 : 0)));
  for (let round = 0; round < ROUNDS; round += 1) {
    const slopes = slopesAt(residuals, at, r, prior);
    const weights = weightsOf(r);
    inverse = inverseOf(
      prior.map((deviation, i) =>
        prior.map(
          (_, j) =>
            slopes[i]!.reduce((sum, slope, k) => sum + weights[k]! * slope * slopes[j]![k]!, 0) +
            (i === j ? 1 / deviation ** 2 : 0),
        ),
      ),
    );
    const uphill = prior.map(
      (deviation, i) =>
        slopes[i]!.reduce((sum, slope, k) => sum + weights[k]! * slope * r[k]!, 0) + at[i]! / deviation ** 2,
    );
    const step = times(inverse, uphill);
    // Half as far, and half again, until it is better.
    let share = 1;
    let next = at;
    let better = false;
    while (share > 1e-4 && !better) {
      next = at.map((value, index) => value - share * step[index]!);
      const nextR = residuals(next);
      const nextLoss = lossOf(next, nextR);
      better = nextLoss <= loss;
      if (better) [r, loss] = [nextR, nextLoss];
      else share /= 2;
    }
    if (!better) break;
    const moved = Math.max(...next.map((value, index) => Math.abs(value - at[index]!) / prior[index]!));
    at = next;
    if (moved < STILL) break;
  }

  const countOf = (...kinds: readonly Observation['of'][]): number =>
    observations.filter((each) => kinds.includes(each.of)).length;
  const factor = (index: number, readings: number): OwnFactor => {
    const spread = NINE_IN_TEN * LESS_SURE * Math.sqrt(inverse[index]![index]!);
    return {
      factor: Math.exp(at[index]!),
      low: Math.exp(at[index]! - spread),
      high: Math.exp(at[index]! + spread),
      readings,
    };
  };
  const stiff = factor(STIFF, countOf('length', 'settles'));
  const gaugeSpread = NINE_IN_TEN * LESS_SURE * Math.sqrt(inverse[GAUGE]![GAUGE]!);
  return {
    tire: {
      contact: factor(CONTACT, countOf('length')),
      width: factor(WIDTH, countOf('width')),
      carcass: isBicycleTire(build) ? UNTOUCHED : stiff,
      drop: isBicycleTire(build) ? stiff : UNTOUCHED,
    },
    gauge: { biasKpa: at[GAUGE]!, lowKpa: at[GAUGE]! - gaugeSpread, highKpa: at[GAUGE]! + gaugeSpread },
    wild: weightsOf(r).flatMap((weight, index) => (weight < WILD ? [index] : [])),
    contradictions: contradictionsIn(observations, r),
  };
}

const UNTOUCHED: OwnFactor = { factor: 1, low: 1, high: 1, readings: 0 };

/** A build as these unknowns would have it. */
function withFactors(build: TireBuild, at: Unknowns): TireBuild {
  const stiff = Math.exp(at[STIFF]!);
  return {
    ...build,
    contactFactor: Math.exp(at[CONTACT]!),
    widthFactor: Math.exp(at[WIDTH]!),
    ...(isBicycleTire(build) ? { dropFactor: stiff } : { carcass: build.carcass * stiff }),
  };
}

/** What the model says that such a reading should be, mm. */
function predictedMm(own: TireBuild, { of, pressureKpa, loadKg }: Observation, biasKpa: number): number {
  const trueKpa = Math.max(0, pressureKpa - biasKpa);
  if (of === 'settles') return deflectionMm(own, loadKg, trueKpa);
  const patch = contactPatch(own, loadKg, trueKpa);
  // A tire that would be flat has no print that a reading could be near.
  if (!patch) return 0;
  return of === 'length' ? patch.lengthMm : patch.widthMm;
}

/** How each residual moves with each unknown, by small steps. */
function slopesAt(
  residuals: (at: Unknowns) => number[],
  at: Unknowns,
  r: readonly number[],
  prior: readonly number[],
): number[][] {
  return at.map((_, index) => {
    const by = 1e-5 * prior[index]!;
    const moved = residuals(at.map((value, each) => (each === index ? value + by : value)));
    return moved.map((value, row) => (value - r[row]!) / by);
  });
}

/** Readings of the same thing that lie too far apart for both to be right. */
function contradictionsIn(observations: readonly Observation[], r: readonly number[]): (readonly [number, number])[] {
  const found: { pair: readonly [number, number]; apart: number }[] = [];
  observations.forEach((a, i) =>
    observations.slice(i + 1).forEach((b, after) => {
      const j = i + 1 + after;
      const apart = Math.abs(r[i]! - r[j]!) / Math.SQRT2;
      if (a.of === b.of && a.offset === b.offset && apart > CONTRADICTS) found.push({ pair: [i, j], apart });
    }),
  );
  return found.sort((a, b) => b.apart - a.apart).map(({ pair }) => pair);
}
