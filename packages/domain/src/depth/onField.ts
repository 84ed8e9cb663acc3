import type { ProofTestRow, RigRow } from '@dunlinmoss/contract';
import {
  bindingFloor,
  compareTexts,
  coneProfile,
  curveHolds,
  deflectionMm,
  rutDepthM,
  standingDiameterMm,
  strengthAt,
  textureOf,
  widthOnRimMm,
  type AxleContext,
  type ConeReading,
  type FarmAxle,
  type FarmSoil,
  type TextureCode,
} from '@dunlinmoss/core';

import { axleOfTest, routineTestOf } from '../evidence/evidence';

/** A field in its farmer's words. */
export interface FieldWords {
  readonly texture: TextureCode;
  readonly daysSinceRain: number;
  /** How deep it was loosened and has not settled, mm; 0 where it was not. */
  readonly looseToMm: number;
  /** How far apart the tracks lie in which it is worked, mm. */
  readonly workingWidthMm: number;
  /** How often it runs along the same track. */
  readonly times: number;
}

export const USUAL_FIELD: FieldWords = {
  texture: 'loam',
  daysSinceRain: 2,
  looseToMm: 0,
  workingWidthMm: 6_000,
  times: 1,
};

/** Where nobody measured it, mm. Assumption: as most tractors and trailers stand. */
const USUAL_TRACK_MM = 1_800;
/** Between the two tires of a pair, mm. Assumption. */
const PAIR_GAP_MM = 80;
/** Tracks whose middles lie closer than this share of a width fall into each other. Assumption. */
const SAME_TRACK = 0.5;

/** Where the tires of an axle stand, across, mm. */
function placesMm({ wheels, trackMm }: RigRow['axles'][number], widthMm: number): number[] {
  if (wheels === 1) return [0];
  const half = (trackMm ?? USUAL_TRACK_MM) / 2;
  if (wheels === 2) return [-half, half];
  const step = (widthMm + PAIR_GAP_MM) / 2;
  return [-half - step, -half + step, half - step, half + step];
}

/** How many axles of a rig run in the track of one of them, itself among them. */
export function axlesInTrack(rig: RigRow, contexts: readonly AxleContext[], index: number): number {
  const outer = (at: number): number => Math.max(...placesMm(rig.axles[at]!, widthOnRimMm(contexts[at]!.build)));
  const width = widthOnRimMm(contexts[index]!.build);
  return contexts.filter((_, at) => Math.abs(outer(at) - outer(index)) < SAME_TRACK * width).length;
}

/** An axle of a rig as it stands on a field at a pressure, kPa. Null where its pressure or load is nothing. */
export function axleOnField(
  rig: RigRow,
  contexts: readonly AxleContext[],
  index: number,
  pressureKpa: number,
  times: number,
): FarmAxle {
  const { build, wheelLoadKg } = contexts[index]!;
  const widthMm = widthOnRimMm(build);
  return {
    tire: {
      widthM: widthMm / 1000,
      diameterM: standingDiameterMm(build) / 1000,
      loadKg: wheelLoadKg,
      pressureKpa,
    },
    tiresAtM: placesMm(rig.axles[index]!, widthMm).map((mm) => mm / 1000),
    passes: times * axlesInTrack(rig, contexts, index),
  };
}

/**
 * The least that this tire may have for a load, kPa, by every floor of its axle. Null where its load curve is not known,
 * or where no pressure that it may have is enough.
 */
export function leastFor(context: AxleContext): (loadKg: number) => number | null {
  if (!curveHolds(context)) return () => null;
  return (wheelLoadKg) => {
    const { pressureKpa } = bindingFloor({ ...context, wheelLoadKg });
    const { maxKpa } = context.axle;
    return Number.isFinite(pressureKpa) && (maxKpa === null || pressureKpa <= maxKpa) ? pressureKpa : null;
  };
}

/** A person's own cone beside a track, or a rut they measured, and what it says of the soil. */
export interface OwnStrength {
  readonly by: 'cone' | 'rut';
  readonly testId: string;
  readonly at: string;
  /** Mean from a hand's depth to half a meter, kPa. */
  readonly coneKpa: number;
  /** Where roots stop by the cone, mm; null where they don't, or there is no cone. */
  readonly rootsToMm: number | null;
  /** What it was, against what its texture has as moist as it is now; no further off than textures differ. */
  readonly factor: number;
}

/** What is probed for strength: below the worked top, down to half a meter, mm. */
const PROBED_MM = { from: 100, to: 500 };
/** A cone reads about so many times what a soil bears without giving way. Assumption: good to a factor of two. */
const CONE_OVER_STRENGTH = 12;
/** Textures are known to this factor: a cone on a drier day makes no soil stronger than that. Assumption. */
const MOST_FACTOR = 1.5;

/** What a soil of such a cone has, against what its texture has as moist as it is now. */
function factorOf(coneKpa: number, { texture, daysSinceRain }: FieldWords): number {
  const soil: FarmSoil = { texture: textureOf(texture), daysSinceRain, looseToM: 0, strengthFactor: 1 };
  const usual = strengthAt(soil, (PROBED_MM.from + PROBED_MM.to) / 2000);
  return Math.min(MOST_FACTOR, Math.max(1 / MOST_FACTOR, coneKpa / CONE_OVER_STRENGTH / usual));
}

/** The newest of a person's own cone and rut; undefined where there is neither. */
export function ownStrength(
  rig: RigRow,
  tests: readonly ProofTestRow[],
  contexts: readonly AxleContext[],
  field: FieldWords,
): OwnStrength | undefined {
  const [cone, rut] = [ownCone(rig, tests, field), ownRut(rig, tests, contexts, field)];
  return cone && rut ? (rut.at > cone.at ? rut : cone) : (cone ?? rut);
}

/** A cone that is looked for to a rut lies between these, kPa. Assumption: from slurry to a made road. */
const CONES_KPA = { low: 50, high: 6_000 };

/** The newest rut of this rig: the cone that would leave one as deep under the axle it was measured behind. */
export function ownRut(
  rig: RigRow,
  tests: readonly ProofTestRow[],
  contexts: readonly AxleContext[],
  field: FieldWords,
): OwnStrength | undefined {
  const measured = tests
    .filter(({ kind, counts }) => kind === 'rut' && counts)
    .sort((a, b) => compareTexts(b.performedAt, a.performedAt));
  for (const test of measured) {
    const { runs } = routineTestOf('rut', test.details as never, rig.family);
    const index = rig.axles.findIndex(({ position }) => position === axleOfTest(test));
    const context = contexts[index];
    if (!context) continue;
    const cones = runs.flatMap((run): number[] => {
      const { pressureKpa, rutMm } = run as { pressureKpa?: number; rutMm?: number };
      if (!pressureKpa || !rutMm) return [];
      const { tire } = axleOnField(rig, contexts, index, pressureKpa, 1);
      const bendM = deflectionMm(context.build, tire.loadKg, pressureKpa) / 1000;
      let { low, high } = CONES_KPA;
      // Stronger soil, shallower rut.
      while (high / low > 1.001) {
        const middle = Math.sqrt(low * high);
        if ((rutDepthM(tire, bendM, middle) ?? Number.POSITIVE_INFINITY) * 1000 > rutMm) low = middle;
        else high = middle;
      }
      return [low];
    });
    if (cones.length === 0) continue;
    const coneKpa = cones.reduce((sum, each) => sum + each, 0) / cones.length;
    const factor = factorOf(coneKpa, field);
    return { by: 'rut', testId: test.id, at: test.performedAt, coneKpa, rootsToMm: null, factor };
  }
  return undefined;
}

/** The newest cone in soil that nobody drove on; undefined where there is none, or too few depths. */
export function ownCone(rig: RigRow, tests: readonly ProofTestRow[], field: FieldWords): OwnStrength | undefined {
  const probed = tests
    .filter(({ kind, counts }) => kind === 'penetrometer' && counts)
    .sort((a, b) => compareTexts(b.performedAt, a.performedAt));
  for (const test of probed) {
    const { runs } = routineTestOf('penetrometer', test.details as never, rig.family);
    const readings = runs.flatMap((run): ConeReading[] => {
      const { track, depthMm, coneKpa } = run as { track?: string; depthMm?: number; coneKpa?: number };
      const counts = track === 'untouched' && depthMm !== undefined && coneKpa !== undefined;
      return counts && depthMm >= PROBED_MM.from && depthMm <= PROBED_MM.to ? [{ depthMm, coneKpa }] : [];
    });
    const profile = coneProfile(readings);
    if (!profile) continue;
    const factor = factorOf(profile.meanKpa, field);
    return {
      by: 'cone',
      testId: test.id,
      at: test.performedAt,
      coneKpa: profile.meanKpa,
      rootsToMm: profile.limitAtMm,
      factor,
    };
  }
  return undefined;
}

/** The field as the core takes it. */
export const soilOfField = ({ texture, daysSinceRain, looseToMm }: FieldWords, cone?: OwnStrength): FarmSoil => ({
  texture: textureOf(texture),
  daysSinceRain,
  looseToM: looseToMm / 1000,
  strengthFactor: cone?.factor ?? 1,
});

/** How the three depths are spoken of. */
export const FIELD_DEPTHS = ['top', 'below', 'deep'] as const;
export type FieldDepth = (typeof FIELD_DEPTHS)[number];

/** Half a meter: nothing brings it back. A hand's depth: the next plowing does. Between them, below what is worked. */
const DEPTHS_M = { top: 0.15, deep: 0.5 };
const BELOW_WORKED_M = 0.05;
const USUAL_WORKED_M = 0.25;

/** The depths that are told, m: in the top, just below what is worked, and at half a meter. */
export const depthsOf = ({ looseToMm }: FieldWords): Readonly<Record<FieldDepth, number>> => ({
  ...DEPTHS_M,
  below: Math.min(0.45, (looseToMm > 0 ? looseToMm / 1000 : USUAL_WORKED_M) + BELOW_WORKED_M),
});
