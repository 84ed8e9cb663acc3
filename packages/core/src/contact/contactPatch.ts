import { assumption, type Source } from '../source';
import { outerDiameterMm } from '../tires/tire';
import { STANDARD_GRAVITY } from '../units/units';
import { chordMm } from './chord';
import { deflectionMm, deflectionShare } from './deflection';
import { stiffnessKgPerMm, type TireBuild } from './stiffness';

/**
 * Gross contact length over the chord of the flat. Assumption, set so that a 245/75R16 meets the trade's
 * ground-pressure figures; a rig's own tape test replaces it.
 */
export const DEFAULT_CONTACT_CONSTANT = 0.68;

/** Tread width over nominal section width. Assumption, set together with the contact constant. */
export const TREAD_WIDTH_SHARE = 0.75;

export const CONTACT_SOURCE: Source = assumption;

/** A contact constant that a person's own tape test gave, with the standard error of the estimate where there is one. */
export interface MeasuredContact {
  readonly contactConstant: number;
  readonly standardError: number | null;
}

export interface ContactPatch {
  readonly pressureKpa: number;
  readonly stiffnessKgPerMm: number;
  readonly deflectionMm: number;
  /** Deflection over sidewall height, 0 to 1. */
  readonly deflectionShare: number;
  readonly chordMm: number;
  readonly lengthMm: number;
  readonly widthMm: number;
  /** Outline area, voids of the tread included. */
  readonly grossAreaMm2: number;
  /** Load over gross area. */
  readonly groundPressureKpa: number;
}

/**
 * What one wheel does on firm ground: how far it settles, how long and wide it stands, how hard it presses.
 * Answers undefined where the sidewall would be squeezed to nothing: the tire does not carry this load at this pressure.
 *
 * @param loadKg load on this wheel, above 0
 * @param pressureKpa gauge pressure, 0 or more
 * @param contactConstant contact length over chord
 * @example a standard 245/75R16, 500 kg, 310 kPa: 140 mm long, 184 mm wide, 190 kPa on the ground
 */
export function contactPatch(
  build: TireBuild,
  loadKg: number,
  pressureKpa: number,
  contactConstant = DEFAULT_CONTACT_CONSTANT,
): ContactPatch | undefined {
  const share = deflectionShare(build, loadKg, pressureKpa);
  if (share >= 1) return undefined;
  const depth = deflectionMm(build, loadKg, pressureKpa);
  const chord = chordMm(outerDiameterMm(build.tire), depth);
  const lengthMm = contactConstant * chord;
  const widthMm = TREAD_WIDTH_SHARE * build.tire.sectionWidthMm;
  const grossAreaMm2 = lengthMm * widthMm;
  return {
    pressureKpa,
    stiffnessKgPerMm: stiffnessKgPerMm(build, pressureKpa),
    deflectionMm: depth,
    deflectionShare: share,
    chordMm: chord,
    lengthMm,
    widthMm,
    grossAreaMm2,
    // N/mm² is MPa.
    groundPressureKpa: ((loadKg * STANDARD_GRAVITY) / grossAreaMm2) * 1000,
  };
}
