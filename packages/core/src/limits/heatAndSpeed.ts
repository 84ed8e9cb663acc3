import { alongRows } from '../numerics/alongRows';
import { isBicycleTire, pressureForShareKpa } from '../contact/deflection';
import { STIFFNESS_SOURCE, stiffnessKgPerMm } from '../contact/stiffness';
import { placardRules, type AxleContext } from '../axle/axleContext';
import { stiffnessInputs } from '../working/stiffnessInputs';
import { equalDeflectionKpa, referenceShare } from '../reference/equalShare';
import { defaultFigureKpa, loadForDefaultFigureKg } from '../reference/defaultFigure';
import { published } from '../sources/source';
import { sectionHeightMm } from '../tires/tire';
import type { Limit } from './limit';
import { ALL_BACK_KMH, BELOW_ROAD, BELOW_ROAD_KMH, OFF_PAVEMENT, SPEED_PAIRS, SPEED_PAIRS_SOURCE } from './speedPairs';

/** The tires whose bend sets a speed: bicycle tires drop by a curve of their own, farm tires carry by their speed. */
export const bendsByHeat = ({ build }: AxleContext): boolean => !isBicycleTire(build) && build.tire.use !== 'farm';

/**
 * No sidewall is bent further than this, as deflection over section height, however slow and whatever a school says.
 * Published: US Forest Service and military central-tire-inflation reports (from memory): 30 to 35 % on sand, mud and snow.
 */
export const MOST_BEND = 0.35;
/** Stuck, for one attempt. Assumption: just past where the reference rig stands at the trade's last step, 6 psi. */
export const MOST_BEND_STUCK = 0.45;
export const MOST_BEND_SOURCE = published('US Forest Service, central tire inflation reports');

export const mostBendOf = ({ stuck }: AxleContext): number => (stuck ? MOST_BEND_STUCK : MOST_BEND);

/** The pressure that keeps a sidewall from that, kPa. */
const mostBendKpa = (context: AxleContext): number =>
  pressureForShareKpa(context.build, context.wheelLoadKg, mostBendOf(context));

/** What the trade runs on the reference rig at a speed, kPa. */
export const figureForSpeedKpa = (speedKmh: number): number => alongRows(SPEED_PAIRS, speedKmh);

/** What a wheel may have less of off pavement, as a share. */
export const shareWhere = (paved: boolean): number => (paved ? 1 : OFF_PAVEMENT);

/**
 * What the bend of the sidewall asks for at a speed, kPa: the trade's pair carried to this wheel by equal deflection, off
 * pavement a fifth less. Never more than the default school gives this wheel for that figure, nor than 0.95 of its road
 * pressure, but always so much that the sidewall is not bent past the most; from 80 km/h on in a straight line to the road pressure. Null for tires that it does not hold for.
 */
export function bendNeedKpa(context: AxleContext, speedKmh: number, paved: boolean): number | null {
  if (!bendsByHeat(context)) return null;
  const { axle, build, wheelLoadKg } = context;
  const figureKpa = figureForSpeedKpa(Math.min(speedKmh, BELOW_ROAD_KMH));
  const byBend = shareWhere(paved) * equalDeflectionKpa(build, wheelLoadKg, figureKpa);
  const most = Math.min(
    defaultFigureKpa(context, figureKpa) ?? Number.POSITIVE_INFINITY,
    BELOW_ROAD * (axle.roadKpa ?? Number.POSITIVE_INFINITY),
  );
  return towardsRoad(context, Math.max(0, mostBendKpa(context), Math.min(byBend, most)), speedKmh, paved);
}

/** From 80 km/h on what is asked for goes in a straight line to the road pressure; on pavement it is there at once. */
export function towardsRoad({ axle }: AxleContext, needKpa: number, speedKmh: number, paved: boolean): number {
  if (speedKmh <= BELOW_ROAD_KMH || axle.roadKpa === null) return needKpa;
  const share = paved ? 1 : Math.min(1, (speedKmh - BELOW_ROAD_KMH) / (ALL_BACK_KMH - BELOW_ROAD_KMH));
  return Math.max(needKpa, needKpa + share * (axle.roadKpa - needKpa));
}

/**
 * The load that the bend of the sidewall lets a wheel carry at a pressure and speed, kg: `bendNeedKpa` turned round. Near
 * the road pressure only the most that it may bend at all. Infinite for tires that it does not hold for.
 */
export function bendCarriesKg(context: AxleContext, pressureKpa: number, speedKmh: number, paved: boolean): number {
  const { axle, build } = context;
  const roadKpa = axle.roadKpa ?? Number.POSITIVE_INFINITY;
  if (!bendsByHeat(context)) return Number.POSITIVE_INFINITY;
  const mostKg = stiffnessKgPerMm(build, pressureKpa) * mostBendOf(context) * sectionHeightMm(build.tire);
  if (pressureKpa >= BELOW_ROAD * roadKpa) return mostKg;
  const figureKpa = figureForSpeedKpa(Math.min(speedKmh, BELOW_ROAD_KMH));
  const share = referenceShare(figureKpa);
  const byBend = stiffnessKgPerMm(build, pressureKpa / shareWhere(paved)) * share * sectionHeightMm(build.tire);
  return Math.min(mostKg, Math.max(byBend, loadForDefaultFigureKg(context, figureKpa, pressureKpa) ?? 0));
}

/** What a speed asks for here, kPa; null where nothing sets a speed, or nothing asks for any. */
export const needHereKpa = (
  { ground, speedKmh }: AxleContext,
  need: (speedKmh: number, paved: boolean) => number | null,
): number | null => (speedKmh === null ? null : need(speedKmh, ground.paved === true));

/**
 * The floor that rises with load and speed: a heavy wheel bends its sidewall too far long before the bead lets go, and
 * a fast one cooks it. On the road the placard is trusted.
 */
export const heatAndSpeed = {
  code: 'heatAndSpeed',
  source: SPEED_PAIRS_SOURCE,
  pressureKpa: (context) =>
    placardRules(context) ? null : needHereKpa(context, (kmh, paved) => bendNeedKpa(context, kmh, paved)),
  trace: (context, pressureKpa) => {
    const { build, wheelLoadKg, axle, ground } = context;
    const speedKmh = context.speedKmh!;
    const figureKpa = figureForSpeedKpa(speedKmh);
    const share = referenceShare(figureKpa);
    const schoolKpa = defaultFigureKpa(context, figureKpa);
    return [
      {
        code: 'figureForSpeed',
        inputs: { speedKmh },
        result: { name: 'referencePressureKpa', value: figureKpa },
        source: SPEED_PAIRS_SOURCE,
      },
      {
        code: 'flexFloor',
        inputs: {
          wheelLoadKg,
          flexShare: share,
          sectionHeightMm: sectionHeightMm(build.tire),
          ...stiffnessInputs(build),
          mostShare: mostBendOf(context),
          groundShare: shareWhere(ground.paved === true),
          ...(schoolKpa !== null && { schoolKpa }),
          ...(axle.roadKpa !== null && { highestKpa: BELOW_ROAD * axle.roadKpa }),
        },
        result: { name: 'flexFloorKpa', value: pressureKpa },
        source: STIFFNESS_SOURCE,
      },
    ];
  },
} as const satisfies Limit;
