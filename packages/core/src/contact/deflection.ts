import { sectionHeightMm } from '../tires/tire';
import { pressureForStiffnessKpa, stiffnessKgPerMm, type TireBuild } from './stiffness';

/**
 * How far a wheel settles under its load, mm. Rolling radius and clearance fall by as much.
 *
 * @param loadKg load on this wheel, above 0
 * @param pressureKpa gauge pressure, 0 or more
 * @example a standard 245/75R16 under 500 kg at 310 kPa: 14.0 mm
 */
export const deflectionMm = (build: TireBuild, loadKg: number, pressureKpa: number): number =>
  loadKg / stiffnessKgPerMm(build, pressureKpa);

/** The same as a share of the sidewall's height: what carries a rule of thumb from one rig to another. */
export const deflectionShare = (build: TireBuild, loadKg: number, pressureKpa: number): number =>
  deflectionMm(build, loadKg, pressureKpa) / sectionHeightMm(build.tire);

/**
 * The gauge pressure at which the wheel settles by a share of its sidewall height, kPa.
 * Zero or less means that the carcass holds the load up further than that without any air.
 */
export const pressureForShareKpa = (build: TireBuild, loadKg: number, share: number): number =>
  pressureForStiffnessKpa(build, loadKg / (share * sectionHeightMm(build.tire)));
