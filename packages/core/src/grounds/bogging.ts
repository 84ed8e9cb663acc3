import { isLike, type Ground } from './ground';
import { normalBelow } from '../numerics/normal';
import { assumption, type Source } from '../sources/source';

/** How well a person knows a ground before they are on it. */
export const SURENESS = ['known', 'usual', 'doubtful'] as const;
export type Sureness = (typeof SURENESS)[number];

/** Scatter of how soft it is, of its natural logarithm. Assumption. */
const SCATTER: Readonly<Record<Sureness, number>> = { known: 0.15, usual: 0.25, doubtful: 0.4 };
/** What is left of it where the softness of the day is known. Assumption. */
const PLACE_SCATTER = 0.15;

/**
 * Half of all such places hold a rig at this many times the pressure that its ground asks for. Common practice, no source,
 * for the points (36 psi fails at once on soft sand, 26 nearly gets there, 16 goes with ease); the curve is our assumption.
 */
const HALF_BOG_AT = 1.6;
/** Each degree of climb takes so much of it away, as a share. Assumption. */
const PER_DEGREE = 0.05;

export const BOGGING_SOURCE: Source = assumption;

/** Ground that can hold a rig. A field is pressed long before it holds a farm's tires: there the soil has the price. */
export const canBog = (ground: Ground): boolean =>
  (['loose', 'deep', 'mud', 'snow'] as const).some((trait) => isLike(ground, trait));

export interface Softness {
  /** Softer than thought, as a natural logarithm; less than 0 where firmer. */
  readonly shift: number;
  /** How sure that is; `drawn` once a day's softness is given. */
  readonly sureness: Sureness | 'drawn';
}

/** A quantile of how soft a ground may turn out, as a shift. */
export const softnessAt = (sureness: Sureness, z: number): number => z * SCATTER[sureness];

/**
 * The chance to be stuck on a stretch, 0 to 1. How long it is does not count: one soft place is enough.
 *
 * @param ratio the pressure over what the ground asks for, of the axle that is furthest above it
 * @param climbDeg the steepest climb on it, 0 or more
 * @example chanceOfBogging(26 / 16, 0, { shift: 0, sureness: 'usual' }) = 0.52
 */
export function chanceOfBogging(ratio: number, climbDeg: number, { shift, sureness }: Softness): number {
  const scatter = sureness === 'drawn' ? PLACE_SCATTER : SCATTER[sureness];
  return normalBelow((Math.log(ratio / HALF_BOG_AT) + PER_DEGREE * Math.max(0, climbDeg) + shift) / scatter);
}

/** Beyond this nobody tries again. Assumption. */
const MOST_TIMES = 8;

/** How often one is stuck on the way, on average: whoever has got out tries again, at the same pressure. */
export const timesStuck = (chance: number): number =>
  chance >= 1 ? MOST_TIMES : Math.min(MOST_TIMES, chance / (1 - chance));
