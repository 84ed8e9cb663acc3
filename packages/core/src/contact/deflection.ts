import { outerDiameterMm, sectionHeightMm } from '../tires/tire';
import { dropShare, pressureForDropKpa } from './bicycleDrop';
import { pressureForStiffnessKpa, stiffnessKgPerMm, type TireBuild } from './stiffness';

/** The round casing of a bicycle tire drops by its own curve; all else is a carcass and a spring of air. */
export const isBicycleTire = ({ tire }: TireBuild): boolean => tire.use === 'bicycle';

/** Width on the rim: measured where it was, else that of the marking, mm. */
export const widthOnRimMm = ({ tire, widthMm }: TireBuild): number => widthMm ?? tire.sectionWidthMm;

/** The height that a deflection is a share of, mm: the sidewall's, of a bicycle tire its width. */
export const standingHeightMm = (build: TireBuild): number =>
  isBicycleTire(build) ? widthOnRimMm(build) : sectionHeightMm(build.tire);

/** Outer diameter as the tire stands on its rim, mm. */
export const standingDiameterMm = (build: TireBuild): number =>
  isBicycleTire(build) ? build.tire.rimDiameterMm + 2 * widthOnRimMm(build) : outerDiameterMm(build.tire);

/**
 * How far a wheel settles under its load, mm. Rolling radius and clearance fall by as much.
 *
 * @param loadKg load on this wheel, above 0
 * @param pressureKpa gauge pressure, 0 or more
 * @example a standard 245/75R16 under 500 kg at 310 kPa: 14.0 mm
 */
export const deflectionMm = (build: TireBuild, loadKg: number, pressureKpa: number): number =>
  isBicycleTire(build)
    ? (build.dropFactor ?? 1) * dropShare(widthOnRimMm(build), loadKg, pressureKpa) * widthOnRimMm(build)
    : loadKg / stiffnessKgPerMm(build, pressureKpa);

/** The same as a share of the sidewall's height: what carries a rule of thumb from one rig to another. */
export const deflectionShare = (build: TireBuild, loadKg: number, pressureKpa: number): number =>
  deflectionMm(build, loadKg, pressureKpa) / standingHeightMm(build);

/**
 * The gauge pressure at which the wheel settles by a share of its sidewall height, kPa.
 * Zero or less means that the carcass holds the load up further than that without any air.
 */
export const pressureForShareKpa = (build: TireBuild, loadKg: number, share: number): number =>
  isBicycleTire(build)
    ? pressureForDropKpa(widthOnRimMm(build), loadKg, share / (build.dropFactor ?? 1))
    : pressureForStiffnessKpa(build, loadKg / (share * standingHeightMm(build)));
