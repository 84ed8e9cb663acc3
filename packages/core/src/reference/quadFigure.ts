import type { AxleContext } from '../axle/axleContext';
import { sidewallMostKpa } from '../axle/planAxle';
import { gravel } from '../grounds/gravel';
import { snow } from '../grounds/snow';
import { psi } from '../units/units';
import { REFERENCE_ROAD_KPA } from './referenceRig';

/**
 * What quads run on snow by the pressure their sidewall is rated for, psi. Common practice, no source: stiff tires
 * rated 8 near 5, those rated 22 near 15, those rated 44 went to 25 and wanted less.
 */
const ON_SNOW: readonly (readonly [ratedPsi: number, snowPsi: number])[] = [
  [0, 0],
  [8, 5],
  [22, 15],
  [44, 25],
];

/** Between the rated pressures of the trade in a straight line, beyond the last as from the one before, kPa. */
export function onSnowKpa(ratedKpa: number): number {
  const above = ON_SNOW.findIndex(([rated]) => psi(rated) >= ratedKpa);
  const upper = above <= 0 ? ON_SNOW.length - 1 : above;
  const [[softRated, soft], [firmRated, firm]] = [ON_SNOW[upper - 1]!, ON_SNOW[upper]!];
  return psi(soft) + ((ratedKpa - psi(softRated)) * (firm - soft)) / (firmRated - softRated);
}

/** Load counts gently: pressure goes with it to this power. Assumption. */
export const LOAD_COUNTS = 0.4;
/** On snow no more than this share of the road pressure, or every ground would stand on it. Assumption. */
export const SNOW_OF_ROAD = 0.8;
export const SNOW_FIGURE_KPA = psi(snow.onReferenceRig.start);
const GRAVEL_FIGURE_KPA = psi(gravel.onReferenceRig.start);

/** Wheel load over that of the class, to its power. */
export const loadShareOf = ({ family, axle, wheelLoadKg }: AxleContext): number => {
  const usual = family.classWheelKg;
  return usual ? (wheelLoadKg / (axle.position === 'front' ? usual.frontKg : usual.rearKg)) ** LOAD_COUNTS : 1;
};

/** What this quad runs on snow, kPa; null where its sidewall was not read. */
export function ownSnowKpa(context: AxleContext): number | null {
  const ratedKpa = sidewallMostKpa(context.axle);
  if (ratedKpa === null) return null;
  const { roadKpa } = context.axle;
  return Math.min(
    onSnowKpa(ratedKpa) * loadShareOf(context),
    roadKpa === null ? Number.POSITIVE_INFINITY : SNOW_OF_ROAD * roadKpa,
  );
}

/** On gravel half way, in proportion, between what snow's figure would come to and the share of the road pressure. */
export const gravelKpa = ({ axle: { roadKpa } }: AxleContext, snowKpa: number): number => {
  const bySnow = (snowKpa * GRAVEL_FIGURE_KPA) / SNOW_FIGURE_KPA;
  return roadKpa === null ? bySnow : Math.sqrt(bySnow * (GRAVEL_FIGURE_KPA / REFERENCE_ROAD_KPA) * roadKpa);
};

/**
 * What a figure of the reference rig is on this quad, kPa: snow by its sidewall and load; softer ground in the proportion
 * it has to snow on the reference rig; firmer ground between snow and gravel. Null where its sidewall was not read.
 */
export function quadFigureKpa(context: AxleContext, figureKpa: number): number | null {
  const snowKpa = ownSnowKpa(context);
  if (snowKpa === null) return null;
  if (figureKpa <= SNOW_FIGURE_KPA) return (snowKpa * figureKpa) / SNOW_FIGURE_KPA;
  const way = Math.log(figureKpa / SNOW_FIGURE_KPA) / Math.log(GRAVEL_FIGURE_KPA / SNOW_FIGURE_KPA);
  return snowKpa * (gravelKpa(context, snowKpa) / snowKpa) ** way;
}
