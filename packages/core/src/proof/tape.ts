import { fitLine } from '../numerics/fitLine';
import type { Evidence } from '../calibrate/observation';
import { contactPatch, DEFAULT_CONTACT_CONSTANT, squaredFactor } from '../contact/contactPatch';
import type { TireBuild } from '../contact/stiffness';
import { levelsOf } from './levels';
import { defineRoutine, GAUGE, judgement, type Move } from './routine';

/**
 * How the ends of the contact were found. `poles`: straight poles stood against the tread front and rear; they touch
 * the tire above the ground, and so read longer than the print by about the same length at every pressure.
 * `marks`: the ends of the print itself, marked on hard ground.
 */
export type TapeMethod = 'poles' | 'marks';

/** Firm ground keeps the wheel on its surface; on soft ground it sinks in, and a tape reads the print and the sides of the hole. */
export type TapeSurface = 'firm' | 'soft';

export interface TapeReading {
  readonly pressureKpa: number;
  readonly lengthMm: number;
}

export interface TapeTest {
  readonly build: TireBuild;
  readonly wheelLoadKg: number;
  readonly method: TapeMethod;
  readonly surface: TapeSurface;
  readonly readings: readonly TapeReading[];
}

export type TapeVerdict =
  /** Fewer than two readings, or all at about one pressure. */
  | 'tooFewReadings'
  | 'grewAsExpected'
  /** A stiff carcass or a light load. */
  | 'hardlyGrew'
  /** Check the load and the gauge. */
  | 'moreThanExpected';

/** A contact constant (length over chord) that one test gives by itself, with the standard error where there is one. */
export interface TapeContact {
  readonly contactConstant: number;
  readonly standardError: number | null;
}

export interface TapeResult {
  readonly verdict: TapeVerdict;
  /** Firmest first. The prediction is the standard one, not the fitted. Null where the tire can't carry the load. */
  readonly rows: readonly (TapeReading & { readonly predictedMm: number | null })[];
  /** From the firmest to the softest pressure, means of repeated readings; null with too few readings. */
  readonly growth: { readonly measuredMm: number; readonly predictedMm: number; readonly ratio: number } | null;
  /** The rig's own contact constant; null where the readings do not fix a believable one. */
  readonly contact: TapeContact | null;
  /** What the tape reads above the print, mm; zero for marks on firm ground. */
  readonly offsetMm: number;
}

/** Below this share of the predicted growth a print hardly grew, above the other it grew more than expected. Assumption. */
export const GROWTH_RATIO_BOUNDS = { hardly: 0.5, tooMuch: 1.5 } as const;

/** Predicted growth that readings must span before they can tell anything, mm. Assumption: twice what a tape is read to. */
export const LEAST_GROWTH_MM = 10;

/** A print much longer than the chord of the flat is no print. Assumption. */
export const CONTACT_CONSTANT_BOUNDS = { min: 0.2, max: 1.1 } as const;

const mean = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0) / values.length;

/**
 * Judges a tape test: contact length of one wheel measured at two or more pressures, against what the model predicts,
 * and fits the rig's own contact constant (length over chord) by least squares: through the origin for marks on firm
 * ground, with an intercept for poles and on soft ground, where the tape reads long.
 *
 * Growth is compared, not length, because what a tape reads above the print is about the same at every pressure.
 *
 * @example 500, 520, 545 mm by poles at 36, 28, 16 psi on the reference rig: grew as expected, constant about 0.46
 */
export function judgeTape(test: TapeTest): TapeResult {
  const { build, wheelLoadKg } = test;
  const readsLong = test.method === 'poles' || test.surface === 'soft';
  const rows = [...test.readings]
    .sort((a, b) => b.pressureKpa - a.pressureKpa)
    .map((reading) => {
      const patch = contactPatch(build, wheelLoadKg, reading.pressureKpa);
      return { ...reading, patch };
    });
  const carried = rows.flatMap(({ patch, ...reading }) => (patch ? [{ ...reading, patch }] : []));
  const firmest = carried[0];
  const softest = carried.at(-1);

  const lengthAt = (pressureKpa: number): number =>
    mean(carried.filter((row) => row.pressureKpa === pressureKpa).map(({ lengthMm }) => lengthMm));
  const anchorMm = firmest && readsLong ? lengthAt(firmest.pressureKpa) - firmest.patch.lengthMm : 0;
  const publicRows = rows.map(({ patch, ...reading }) => ({
    ...reading,
    predictedMm: patch ? patch.lengthMm + anchorMm : null,
  }));

  const predictedGrowthMm = firmest && softest ? softest.patch.lengthMm - firmest.patch.lengthMm : 0;
  if (!firmest || !softest || predictedGrowthMm < LEAST_GROWTH_MM) {
    return { verdict: 'tooFewReadings', rows: publicRows, growth: null, contact: null, offsetMm: anchorMm };
  }

  const measuredGrowthMm = lengthAt(softest.pressureKpa) - lengthAt(firmest.pressureKpa);
  const ratio = measuredGrowthMm / predictedGrowthMm;
  const verdict =
    ratio < GROWTH_RATIO_BOUNDS.hardly
      ? 'hardlyGrew'
      : ratio > GROWTH_RATIO_BOUNDS.tooMuch
        ? 'moreThanExpected'
        : 'grewAsExpected';

  const fit = fitLine(
    carried.map(({ patch, lengthMm }) => ({
      x: patch.chordMm * squaredFactor(build, patch.pressureKpa),
      y: lengthMm,
    })),
    readsLong ? 'free' : 'origin',
  );
  const believable =
    fit !== null &&
    verdict !== 'moreThanExpected' &&
    fit.slope >= CONTACT_CONSTANT_BOUNDS.min &&
    fit.slope <= CONTACT_CONSTANT_BOUNDS.max;
  return {
    verdict,
    rows: publicRows,
    growth: { measuredMm: measuredGrowthMm, predictedMm: predictedGrowthMm, ratio },
    contact: believable ? { contactConstant: fit.slope, standardError: fit.slopeError } : null,
    offsetMm: readsLong && fit ? fit.intercept : anchorMm,
  };
}

/** The prediction that a fitted test gives at any pressure, mm, as its tape would read it. */
export function tapeLengthMm(
  test: Pick<TapeTest, 'build' | 'wheelLoadKg'>,
  pressureKpa: number,
  contactConstant: number = DEFAULT_CONTACT_CONSTANT,
  offsetMm = 0,
): number | null {
  const contactFactor = contactConstant / DEFAULT_CONTACT_CONSTANT;
  const patch = contactPatch({ ...test.build, contactFactor }, test.wheelLoadKg, pressureKpa);
  return patch && patch.lengthMm + offsetMm;
}

/** How well a length is read between marks and between poles, mm. Assumptions. */
const DEVIATION_MM = { marks: 4, poles: 6 } as const;

/** What a tape test tells of the tire's own constants: nothing where load or gauge have to be looked at first. */
export function tapeEvidence(test: TapeTest): Evidence[] {
  const { verdict } = judgeTape(test);
  if (verdict === 'tooFewReadings' || verdict === 'moreThanExpected') return [];
  const readsLong = test.method === 'poles' || test.surface === 'soft';
  return test.readings.map(({ pressureKpa, lengthMm }, run) => ({
    of: 'length',
    pressureKpa,
    loadKg: test.wheelLoadKg,
    valueMm: lengthMm,
    deviationMm: DEVIATION_MM[test.method],
    offset: readsLong ? 'readsLong' : null,
    run,
  }));
}

const MOVES = {
  tooFewReadings: 'again',
  grewAsExpected: 'keep',
  hardlyGrew: 'keep',
  moreThanExpected: 'look',
} as const satisfies Record<TapeVerdict, Move>;

/**
 * Contact length of one wheel between poles or marks, at two or more pressures. No bicycles: they stand on a print too short
 * for poles and a tape.
 */
export const tape = defineRoutine({
  code: 'tape',
  kinds: ['car', 'quad', 'motorcycle', 'farm'],
  minutes: 5,
  oneWheel: true,
  setup: {
    method: { type: 'choice', options: ['poles', 'marks'] },
    surface: { type: 'choice', options: ['firm', 'soft'] },
  },
  run: { pressureKpa: GAUGE, lengthMm: { type: 'number', unit: 'mm', min: 20, max: 1500 } },
  levelUnit: 'mm',
  judge: (readings, setup, { build, wheelLoadKg }) => {
    const levels = levelsOf(readings.map(({ pressureKpa, lengthMm }) => ({ kpa: pressureKpa, value: lengthMm })));
    if (wheelLoadKg === null) return judgement({ verdict: 'loadMissing', move: 'again', levels });
    const { verdict, growth, contact } = judgeTape({ build, wheelLoadKg, ...setup, readings });
    return judgement({
      verdict,
      move: MOVES[verdict],
      levels,
      figures: {
        ...growth,
        ...(contact && { contactConstant: contact.contactConstant }),
        ...(contact && contact.standardError !== null && { standardError: contact.standardError }),
      },
    });
  },
  evidence: (readings, setup, { build, wheelLoadKg }) =>
    wheelLoadKg === null ? [] : tapeEvidence({ build, wheelLoadKg, ...setup, readings }),
});
