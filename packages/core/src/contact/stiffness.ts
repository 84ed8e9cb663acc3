import { published, type Source } from '../sources/source';
import { outerDiameterMm, type Tire } from '../tires/tire';

export const STIFFNESS_SOURCE: Source = published('Rhyne, Tire Science and Technology 33(3), 2005');

/** A tire with what its carcass adds: 1 is a standard carcass, more is stiffer (see `carcassFactor`). */
export interface TireBuild {
  readonly tire: Tire;
  readonly carcass: number;
  /** Measured on the rim, mm, where it was: no marking of a bicycle tire tells it. */
  readonly widthMm?: number;
  /** What a rig's own tests gave, as times the value that holds without any: contact length, tread width, drop of a bicycle tire. */
  readonly contactFactor?: number;
  readonly widthFactor?: number;
  readonly dropFactor?: number;
  /** How far the formula of stiffness is off, as times it; 1 without. */
  readonly formulaFactor?: number;
}

/** Stiffness that a standard carcass gives without any air, kg/mm. Published with the formula. */
const CARCASS_KG_PER_MM = 3.45;

/** Stiffness that each kPa of air adds, kg/mm per kPa. */
const airStiffness = ({ tire }: TireBuild): number =>
  0.00028 * Math.sqrt((1.03 - 0.004 * tire.aspectPercent) * tire.sectionWidthMm * outerDiameterMm(tire));

/**
 * Vertical stiffness, kg/mm: Kz = 0.00028·p·√((1.03 − 0.004·AR)·SN·OD) + 3.45·c.
 * Published: Rhyne, Tire Science and Technology 33(3), 2005 (from memory); c is an assumption.
 *
 * @param pressureKpa gauge pressure, 0 or more
 * @example a standard 245/75R16 at 310 kPa: 35.8 kg/mm
 */
export const stiffnessKgPerMm = (build: TireBuild, pressureKpa: number): number =>
  (build.formulaFactor ?? 1) * (airStiffness(build) * pressureKpa + CARCASS_KG_PER_MM * build.carcass);

/**
 * The gauge pressure that gives a vertical stiffness, kPa: `stiffnessKgPerMm` turned round.
 * Zero or less means that the carcass alone is already that stiff.
 */
export const pressureForStiffnessKpa = (build: TireBuild, kgPerMm: number): number =>
  (kgPerMm / (build.formulaFactor ?? 1) - CARCASS_KG_PER_MM * build.carcass) / airStiffness(build);
