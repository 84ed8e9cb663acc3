import { CASING_KPA, pressureForDropKpa } from '../contact/bicycleDrop';
import { widthOnRimMm } from '../contact/deflection';
import { alongLogRows } from '../numerics/alongLogRows';
import type { Rows } from '../numerics/alongRows';
import type { AxleContext } from '../axle/axleContext';
import { assumption, commonPractice, type Source } from '../sources/source';
import { inch, psi } from '../units/units';

/**
 * What a rider of 80 kg starts with on hardpack, medium casing, tubeless, 94 kg in all: front and rear in psi by
 * measured width. Common practice, no source, from 35 mm to 2.6 in; assumption outside.
 */
const POINTS: readonly (readonly [widthMm: number, frontPsi: number, rearPsi: number])[] = [
  [32, 44, 49],
  [35, 38, 42],
  [38, 35, 39],
  [42.5, 30, 35],
  [inch(2.2), 25, 26.5],
  [inch(2.4), 23, 24],
  [inch(2.6), 21.5, 23],
  [inch(2.8), 17.5, 19],
  [inch(3.0), 15, 16.5],
  [inch(3.8), 9.2, 10],
  [inch(4.0), 8.5, 9.3],
  [inch(4.8), 7, 7.6],
  [inch(5.0), 6.6, 7.2],
];
export const POINTS_SOURCE: Source = commonPractice;
/** The same for each wheel: width in mm, kPa. */
const POINTS_OF: Readonly<Record<BicycleWheel, Rows>> = {
  front: POINTS.map(([widthMm, frontPsi]) => [widthMm, psi(frontPsi)]),
  rear: POINTS.map(([widthMm, , rearPsi]) => [widthMm, psi(rearPsi)]),
};

/** The rider of the points with the bicycle, kg; an electric one has its motor and battery as well. Assumptions. */
const TOTAL_KG = 94;
const ELECTRIC_KG = 104;
/** What an electric bicycle has more behind, psi. Assumption. */
const ELECTRIC_REAR_PSI = 2;
/** The share of it on the front wheel, at the widths of gravel and of the trail. Common practice, no source. */
const GRAVEL_SHARE = [42.5, 0.4] as const;
const TRAIL_SHARE = [inch(2.2), 0.375] as const;
/** About 1 psi for each 4 to 5 kg of rider at trail widths: near proportion. Common practice, no source. */
const LOAD_COUNTS = 0.9;

/** The measured curve of a 15 % drop holds up to the first width, the trade's points from the second. Assumption. */
const NARROW_MM = 32;
const TRAIL_MM = 40;
const DROP_SHARE = 0.15;
/** Off pavement gravel, cross and trail kinds go by the points from the second width on, blended in from the first. Assumption. */
const LOOSE_FROM_MM = 25;
const LOOSE_MM = 30;
/** From the widest trail tire to the narrowest fat one. */
const FAT_FROM_MM = inch(2.6);
const FAT_MM = inch(3.8);

export type BicycleWheel = 'front' | 'rear';
export const bicycleWheelOf = ({ axle }: AxleContext): BicycleWheel => (axle.position === 'front' ? 'front' : 'rear');

/** How far a width is on the way from narrow (0, 32 mm) to trail (1, 40 mm). */
export const towardsTrail = (widthMm: number): number =>
  Math.min(1, Math.max(0, (widthMm - NARROW_MM) / (TRAIL_MM - NARROW_MM)));

/**
 * How much the trade's points count against a drop of 15 %, 0 to 1: by width between 32 and 40 mm; for other than road
 * kinds off pavement already from 30 mm.
 */
export function pointsShare({ family, ground, build }: AxleContext): number {
  const widthMm = widthOnRimMm(build);
  if (family.posture === 'road' || ground.bicycle?.hard) return towardsTrail(widthMm);
  return Math.min(1, Math.max(0, (widthMm - LOOSE_FROM_MM) / (LOOSE_MM - LOOSE_FROM_MM)));
}

/** How far a width is on the way from trail (0, 2.6 in) to fat (1, 3.8 in), in its logarithm. */
export const towardsFat = (widthMm: number): number =>
  Math.min(1, Math.max(0, Math.log(widthMm / FAT_FROM_MM) / Math.log(FAT_MM / FAT_FROM_MM)));

/**
 * The trade's figure for a width, kPa: straight in the logarithms between the points, on in the last line beyond them,
 * as 1/width below.
 */
export function tradePointKpa(widthMm: number, wheel: BicycleWheel): number {
  const points = POINTS_OF[wheel];
  const [narrowestMm, kpa] = points[0]!;
  return widthMm <= narrowestMm ? (kpa * narrowestMm) / widthMm : alongLogRows(points, widthMm);
}

/** Wheel load of the rider whom the points are for, kg. */
function pointLoadKg({ family }: AxleContext, widthMm: number, wheel: BicycleWheel): number {
  const [from, to] = [GRAVEL_SHARE, TRAIL_SHARE];
  const way = Math.min(1, Math.max(0, Math.log(widthMm / from[0]) / Math.log(to[0] / from[0])));
  const front = from[1] + (to[1] - from[1]) * way;
  return (family.electric ? ELECTRIC_KG : TOTAL_KG) * (wheel === 'front' ? front : 1 - front);
}

/** A measured tire that drops further than others of its width wants so much more for the same drop, kPa. */
const forOwnDrop = ({ build }: AxleContext, kpa: number): number =>
  (kpa + CASING_KPA) * (build.dropFactor ?? 1) - CASING_KPA;

/** The trade's points on this wheel under a load, kPa. */
function byPointsKpa(context: AxleContext, wheel: BicycleWheel, loadKg: number): number {
  const widthMm = widthOnRimMm(context.build);
  const share = (loadKg / pointLoadKg(context, widthMm, wheel)) ** LOAD_COUNTS;
  const more = wheel === 'rear' && context.family.electric ? psi(ELECTRIC_REAR_PSI) : 0;
  return forOwnDrop(context, (tradePointKpa(widthMm, wheel) + more) * share);
}

/** In a 15 % drop the front counts half way to an even split, because braking throws weight on it, kg. */
export const dropLoadKg = (context: AxleContext): number =>
  bicycleWheelOf(context) === 'front' ? (context.wheelLoadKg + context.totalKg / 2) / 2 : context.wheelLoadKg;

/** A drop of 15 % on this wheel, kPa. */
export const byDropKpa = (context: AxleContext, loadKg: number = dropLoadKg(context)): number =>
  pressureForDropKpa(widthOnRimMm(context.build), loadKg, DROP_SHARE / (context.build.dropFactor ?? 1));

/**
 * What a bicycle wheel starts with on hardpack, kPa: by a drop of 15 % where it is narrow, by the trade's points where it
 * is wide or rough ground is ridden, blended between (see `pointsShare`).
 */
export function bicycleStartKpa(context: AxleContext): {
  readonly kpa: number;
  /** Null where the drop does not count. */
  readonly byDropKpa: number | null;
  readonly byPointsKpa: number;
  readonly trailShare: number;
} {
  const trailShare = pointsShare(context);
  const points = byPointsKpa(context, bicycleWheelOf(context), context.wheelLoadKg);
  if (trailShare === 1) return { kpa: points, byDropKpa: null, byPointsKpa: points, trailShare };
  const drop = byDropKpa(context);
  return { kpa: drop + (points - drop) * trailShare, byDropKpa: drop, byPointsKpa: points, trailShare };
}

/**
 * What the harder worked wheel has on hardpack, kPa: the strike of a rim goes by each wheel's own load on narrow tires, by
 * the heavier wheel's on trail widths, where braking throws as much on the front.
 */
export function hardWorkedKpa(context: AxleContext): number {
  const byOwn = byPointsKpa(context, bicycleWheelOf(context), context.wheelLoadKg);
  const byHeaviest = byPointsKpa(context, 'rear', context.heaviestWheelKg);
  const points = byOwn + (byHeaviest - byOwn) * towardsTrail(widthOnRimMm(context.build));
  const trailShare = pointsShare(context);
  if (trailShare === 1) return points;
  const drop = byDropKpa(context, context.wheelLoadKg);
  return drop + (points - drop) * trailShare;
}

/** Where the points are common practice, mm. */
const PRACTICE_MM = { from: 35, to: inch(2.6) };

/** Whose the point of a width is. */
export const pointsSource = (widthMm: number): Source =>
  widthMm < PRACTICE_MM.from || widthMm > PRACTICE_MM.to ? assumption : POINTS_SOURCE;
