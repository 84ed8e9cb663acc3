import { assumption, type Source } from '../source';
import { STANDARD_GRAVITY } from '../units/units';
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
 * A bicycle tire is a thin skin round its air: it presses with its pressure and what the casing adds, in an ellipse as
 * long to wide as the chords along and across its round (assumption).
 *
 * @param loadKg load on this wheel, above 0
 * @param pressureKpa gauge pressure, 0 or more
 * @param contactConstant contact length over chord, where it was measured
 * @example a standard 245/75R16, 500 kg, 310 kPa: 140 mm long, 184 mm wide, 190 kPa on the ground
 */
export function contactPatch(
  build: TireBuild,
  loadKg: number,
  pressureKpa: number,
  contactConstant?: number,
): ContactPatch | undefined {
  const share = deflectionShare(build, loadKg, pressureKpa);
  if (share >= 1) return undefined;
  const depth = deflectionMm(build, loadKg, pressureKpa);
  const chord = chordMm(standingDiameterMm(build), depth);
  const { lengthMm, widthMm, grossAreaMm2 } = isBicycleTire(build)
    ? ellipse(build, loadKg, pressureKpa, chord, depth, contactConstant)
    : rectangle(build, chord, contactConstant ?? DEFAULT_CONTACT_CONSTANT);
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

function rectangle({ tire }: TireBuild, chord: number, contactConstant: number): Outline {
  const lengthMm = contactConstant * chord;
  const widthMm = TREAD_WIDTH_SHARE * tire.sectionWidthMm;
  return { lengthMm, widthMm, grossAreaMm2: lengthMm * widthMm };
}

function ellipse(
  build: TireBuild,
  loadKg: number,
  pressureKpa: number,
  chord: number,
  depth: number,
  contactConstant: number | undefined,
): Outline {
  const grossAreaMm2 = ((loadKg * STANDARD_GRAVITY) / (pressureKpa + CASING_KPA)) * 1000;
  const across = chordMm(widthOnRimMm(build), depth);
  const lengthMm =
    contactConstant === undefined
      ? Math.sqrt(((4 * grossAreaMm2) / Math.PI) * (chord / across))
      : contactConstant * chord;
  return { lengthMm, widthMm: (4 * grossAreaMm2) / (Math.PI * lengthMm), grossAreaMm2 };
}
