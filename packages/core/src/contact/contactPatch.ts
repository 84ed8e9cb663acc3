import { assumption, type Source } from '../sources/source';
import { psi, STANDARD_GRAVITY } from '../units/units';
import { CASING_KPA } from './bicycleDrop';
import { chordMm } from './chord';
import { deflectionMm, deflectionShare, isBicycleTire, standingDiameterMm, widthOnRimMm } from './deflection';
import type { TireBuild } from './stiffness';

/**
 * Gross contact length over the chord of the flat. Assumption, set so that a 245/75R16 meets the trade's
 * ground-pressure figures; a rig's own tape test replaces it.
 */
export const DEFAULT_CONTACT_CONSTANT = 0.68;

/** Tread width over nominal section width. Assumption, set together with the contact constant. */
export const TREAD_WIDTH_SHARE = 0.75;

export const CONTACT_SOURCE: Source = assumption;

/**
 * Below this the print of a car's tire squares up and its shoulders come in: it grows faster than the chord, in width too.
 * Common practice, no source, kPa. How much is our assumption: a wagon near its limit was measured half again beyond the
 * chord's own step from 20 to 10 psi.
 */
export const SQUARES_UP_KPA = psi(15);
const SQUARES_UP_BY = 0.06;

/** How much longer and wider the print is than by the chord, as a factor; heavy plies hold their shape. */
export const squaredFactor = ({ carcass, tire }: TireBuild, pressureKpa: number): number =>
  tire.use === 'farm' || pressureKpa >= SQUARES_UP_KPA
    ? 1
    : 1 + (SQUARES_UP_BY * (SQUARES_UP_KPA - pressureKpa)) / SQUARES_UP_KPA / Math.max(1, carcass);

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
 * Answers null where the sidewall would be squeezed to nothing: the tire does not carry this load at this pressure.
 *
 * A bicycle tire is a thin skin round its air: it presses with its pressure and what the casing adds, in an ellipse as
 * long to wide as the chords along and across its round (assumption). What a rig's own tests gave is counted in.
 *
 * @param loadKg load on this wheel, above 0
 * @param pressureKpa gauge pressure, 0 or more
 * @example a standard 245/75R16, 500 kg, 310 kPa: 140 mm long, 184 mm wide, 190 kPa on the ground
 */
export function contactPatch(build: TireBuild, loadKg: number, pressureKpa: number): ContactPatch | null {
  const share = deflectionShare(build, loadKg, pressureKpa);
  if (share >= 1) return null;
  const depth = deflectionMm(build, loadKg, pressureKpa);
  const chord = chordMm(standingDiameterMm(build), depth);
  const { lengthMm, widthMm, grossAreaMm2 } = isBicycleTire(build)
    ? ellipse(build, loadKg, pressureKpa, chord, depth)
    : rectangle(build, chord, squaredFactor(build, pressureKpa));
  return {
    pressureKpa,
    stiffnessKgPerMm: loadKg / depth,
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

type Outline = Pick<ContactPatch, 'lengthMm' | 'widthMm' | 'grossAreaMm2'>;

function rectangle({ tire, contactFactor = 1, widthFactor = 1 }: TireBuild, chord: number, squared: number): Outline {
  const lengthMm = contactFactor * DEFAULT_CONTACT_CONSTANT * chord * squared;
  const widthMm = widthFactor * TREAD_WIDTH_SHARE * tire.sectionWidthMm * squared;
  return { lengthMm, widthMm, grossAreaMm2: lengthMm * widthMm };
}

function ellipse(build: TireBuild, loadKg: number, pressureKpa: number, chord: number, depth: number): Outline {
  const { contactFactor = 1, widthFactor = 1 } = build;
  const skinAreaMm2 = ((loadKg * STANDARD_GRAVITY) / (pressureKpa + CASING_KPA)) * 1000;
  const across = chordMm(widthOnRimMm(build), depth);
  const unitMm = Math.sqrt((4 * skinAreaMm2) / Math.PI);
  const lengthMm = contactFactor * unitMm * Math.sqrt(chord / across);
  const widthMm = widthFactor * unitMm * Math.sqrt(across / chord);
  return { lengthMm, widthMm, grossAreaMm2: (Math.PI / 4) * lengthMm * widthMm };
}
