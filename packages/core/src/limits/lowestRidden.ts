import type { AxleContext } from '../axle/axleContext';
import { isBicycleTire, widthOnRimMm } from '../contact/deflection';
import { rimBandMm } from '../findings/rimWidth';
import { alongLogRows } from '../numerics/alongLogRows';
import type { Rows } from '../numerics/alongRows';
import { assumption } from '../sources/source';
import type { Casing } from '../tires/fitting';
import { inch, psi } from '../units/units';
import type { Limit } from './limit';

/**
 * The lowest that a bicycle tire of a width can be ridden on: below it folds, or leaves its rim. Assumption. Measured
 * width in mm, kPa.
 */
const LOWEST_BY_WIDTH: Rows = [
  [25, psi(55)],
  [28, psi(40)],
  [32, psi(26)],
  [35, psi(22)],
  [40, psi(18)],
  [45, psi(16)],
  [inch(2.2), psi(12)],
  [inch(2.4), psi(10)],
  [inch(2.6), psi(9)],
  [inch(2.8), psi(8)],
  [inch(3), psi(7)],
  [inch(3.8), psi(4)],
  [inch(4.8), psi(3)],
];

/** What a casing does to it: 1 psi more and 2 psi less on a 2.4 in tire, elsewhere in proportion. Assumption. */
const BY_CASING: Readonly<Record<Casing, number>> = { thin: 1.1, medium: 1, downhill: 0.8 };

/** Narrower than the first of the table it goes as 1/width; the line there is too steep to be carried on. */
function byWidthKpa(widthMm: number): number {
  const [narrowest, kpa] = LOWEST_BY_WIDTH[0]!;
  return widthMm <= narrowest ? (kpa * narrowest) / widthMm : alongLogRows(LOWEST_BY_WIDTH, widthMm);
}

/** A rim narrower than suits a tire lets it fold sooner, a wider one later: by so much of it a mm, a tenth at most. Assumption. */
const BY_RIM_MM = 0.02;
const MOST_BY_RIM = 0.1;

/** What the rim makes of it, as a share; 1 where it is not known or the trade has no rim for such a width. */
function rimShare(tireMm: number, rimInnerMm: number | null): number {
  const band = rimInnerMm === null ? null : rimBandMm(tireMm);
  if (rimInnerMm === null || !band) return 1;
  const apart = (band.lowMm + band.highMm) / 2 - rimInnerMm;
  return 1 + Math.min(MOST_BY_RIM, Math.max(-MOST_BY_RIM, BY_RIM_MM * apart));
}

/**
 * The lowest on which a bicycle tire can be ridden, kPa.
 *
 * @example lowestRiddenKpa(61, 'medium', null) // a 2.4 in tire: 69 kPa, 10 psi
 */
export const lowestRiddenKpa = (widthMm: number, casing: Casing | null, rimInnerMm: number | null): number =>
  byWidthKpa(widthMm) * BY_CASING[casing ?? 'medium'] * rimShare(widthMm, rimInnerMm);

const value = ({ axle, build }: AxleContext): number | null =>
  isBicycleTire(build) ? lowestRiddenKpa(widthOnRimMm(build), axle.casing, axle.rimInnerMm) : null;

/** By width and casing alone: no test on an edge opens it. */
export const lowestRidden = {
  code: 'lowestRidden',
  withoutLoad: true,
  source: assumption,
  pressureKpa: value,
  trace: ({ build }, pressureKpa) => [
    {
      code: 'lowestRidden',
      inputs: { tireWidthMm: widthOnRimMm(build) },
      result: { name: 'lowestKpa', value: pressureKpa },
      source: assumption,
    },
  ],
} as const satisfies Limit;
