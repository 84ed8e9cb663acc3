import { stiffnessKgPerMm } from '../contact/stiffness';
import type { AxleContext } from '../axle/axleContext';
import { sectionHeightMm } from '../tires/tire';
import { psi } from '../units/units';
import { equalDeflectionKpa, referenceShare } from './equalShare';
import { REFERENCE_ROAD_KPA } from './referenceRig';
import { quadFigureKpa } from './quadFigure';

/** How much equal deflection and the share of road pressure count: exponents that sum to one. Assumption. */
export const DEFLECTION_COUNTS = 0.4;
export const SHARE_COUNTS = 0.6;
/** Where a carcass is so stiff that equal deflection asks for less, this stands in, kPa. Assumption. */
export const LEAST_DEFLECTION_KPA = psi(2);

/** The two that the default of four-wheelers lies between, kPa: by equal deflection, at least 2 psi, and by the share. */
export const twoSides = (
  { axle, build, wheelLoadKg }: AxleContext,
  figureKpa: number,
): { readonly byDeflectionKpa: number; readonly byShareKpa: number } => ({
  byDeflectionKpa: Math.max(LEAST_DEFLECTION_KPA, equalDeflectionKpa(build, wheelLoadKg, figureKpa)),
  byShareKpa: (axle.roadKpa! * figureKpa) / REFERENCE_ROAD_KPA,
});

/**
 * What the default school of a kind makes of a figure of the reference rig on this wheel, before any limit, kPa; null
 * where it has no answer, or does not go by that table.
 *
 * @param figureKpa what the trade runs on the reference rig
 */
export function defaultFigureKpa(context: AxleContext, figureKpa: number): number | null {
  if (context.family.kind === 'quad') return quadFigureKpa(context, figureKpa);
  if (context.family.kind !== 'car' || context.axle.roadKpa === null) return null;
  const { byDeflectionKpa, byShareKpa } = twoSides(context, figureKpa);
  // As the exponents sum to one.
  return byShareKpa * (byDeflectionKpa / byShareKpa) ** DEFLECTION_COUNTS;
}

/** Halvings for a load, and how many times its own a wheel may be asked about. */
const HALVINGS = 40;
const MOST_TIMES = 50;

/** By halving: the school's caps have no closed form. */
function loadForQuadKg(context: AxleContext, figureKpa: number, pressureKpa: number): number | null {
  const asks = (wheelLoadKg: number): number | null => quadFigureKpa({ ...context, wheelLoadKg }, figureKpa);
  const most = context.wheelLoadKg * MOST_TIMES;
  const atMost = asks(most);
  if (atMost === null) return null;
  if (atMost <= pressureKpa) return Number.POSITIVE_INFINITY;
  let [light, heavy] = [0, most];
  for (let round = 0; round < HALVINGS; round += 1) {
    const middle = (light + heavy) / 2;
    if (asks(middle)! <= pressureKpa) light = middle;
    else heavy = middle;
  }
  return light;
}

/** The load at which the default school makes so much of a figure, kg: `defaultFigureKpa` turned round; null as there. */
export function loadForDefaultFigureKg(context: AxleContext, figureKpa: number, pressureKpa: number): number | null {
  const { family, axle, build } = context;
  if (family.kind === 'quad') return loadForQuadKg(context, figureKpa, pressureKpa);
  if (family.kind !== 'car' || axle.roadKpa === null) return null;
  const { byShareKpa } = twoSides(context, figureKpa);
  const byDeflectionKpa = (pressureKpa / byShareKpa ** SHARE_COUNTS) ** (1 / DEFLECTION_COUNTS);
  if (byDeflectionKpa < LEAST_DEFLECTION_KPA) return 0;
  return stiffnessKgPerMm(build, byDeflectionKpa) * referenceShare(figureKpa) * sectionHeightMm(build.tire);
}
