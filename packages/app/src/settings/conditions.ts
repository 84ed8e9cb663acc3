import type { TireConditions } from '@dunlinmoss/core';

import { parseNumber } from './typedNumber';
import { unitsStore } from './preferences';
import { createStore } from './store';

/** How warm the tires are and how high they stand, as it was typed. */
export interface TypedConditions {
  readonly scale: 'metric' | 'imperial';
  readonly cold: string;
  readonly tire: string;
  readonly altitude: string;
}

/** As it is kept on this device: of whose tires the warmth is, and since when; both null while none was typed. */
export interface KeptConditions extends TypedConditions {
  readonly ofRig: string | null;
  readonly sinceMs: number | null;
}

/** A mild day at the water's edge, tires cold: nothing to convert. */
export const COLD_CONDITIONS: TypedConditions = { scale: 'metric', cold: '20', tire: '', altitude: '0' };

/** The same in the scale of who thinks in pounds. */
const firstConditions = (): TypedConditions =>
  unitsStore.get().mass === 'lb' ? { scale: 'imperial', cold: '68', tire: '', altitude: '0' } : COLD_CONDITIONS;

export const conditionsStore = createStore<KeptConditions>(
  { ...firstConditions(), ofRig: null, sinceMs: null },
  'conditions',
);

/** A measured warmth counts for so long, min: tires cool and warm again. Common practice: an hour or less. */
const WARMTH_COUNTS_MIN = 45;

/** What of it counts for a rig now: the warmth of other tires, or of an hour ago, is none. */
export function conditionsFor(kept: KeptConditions, rigId: string, nowMs: number): TypedConditions {
  const { ofRig, sinceMs, ...typed } = kept;
  const counts = ofRig === rigId && sinceMs !== null && Math.abs(nowMs - sinceMs) < WARMTH_COUNTS_MIN * 60_000;
  return counts ? typed : { ...typed, tire: '' };
}

/** With a part typed anew; a warmth is that of this rig from now on. */
export const conditionsAfter = (
  kept: KeptConditions,
  part: Partial<TypedConditions>,
  rigId: string,
  nowMs: number,
): KeptConditions => ({ ...kept, ...part, ...(part.tire !== undefined && { ofRig: rigId, sinceMs: nowMs }) });

const METRES_PER_FOOT = 0.3048; // exact: international foot

const celsius = (scale: TypedConditions['scale'], text: string): number | undefined => {
  const value = parseNumber(text);
  return value === undefined || scale === 'metric' ? value : ((value - 32) * 5) / 9;
};

/** Likely of air in a tire and of where one drives: assumptions, to catch slips. */
export const LIKELY_TEMP_C = { low: -40, high: 110 };
export const LIKELY_ALTITUDE_M = { low: -450, high: 6000 };
const within = (value: number, { low, high }: { low: number; high: number }): boolean => value >= low && value <= high;

/** What was typed, in SI; undefined while the tires are cold, or where something typed can't be. */
export function conditionsOf({ scale, cold, tire, altitude }: TypedConditions): TireConditions | undefined {
  const coldTempC = celsius(scale, cold);
  const tireTempC = celsius(scale, tire);
  const height = altitude.trim() === '' ? 0 : parseNumber(altitude);
  if (coldTempC === undefined || tireTempC === undefined || height === undefined) return undefined;
  const altitudeM = scale === 'metric' ? height : height * METRES_PER_FOOT;
  const likely =
    within(coldTempC, LIKELY_TEMP_C) && within(tireTempC, LIKELY_TEMP_C) && within(altitudeM, LIKELY_ALTITUDE_M);
  return likely ? { coldTempC, tireTempC, altitudeM } : undefined;
}

/** What is wrong with what was typed, by field. */
export function conditionProblems({ scale, cold, tire, altitude }: TypedConditions) {
  const tempProblem = (text: string): string | undefined => {
    if (text.trim() === '') return undefined;
    const value = celsius(scale, text);
    if (value !== undefined && within(value, LIKELY_TEMP_C)) return undefined;
    return scale === 'metric' ? 'Expected −40 to 110 °C.' : 'Expected −40 to 230 °F.';
  };
  const height = parseNumber(altitude);
  const metres = height === undefined || scale === 'metric' ? height : height * METRES_PER_FOOT;
  const high = altitude.trim() !== '' && (metres === undefined || !within(metres, LIKELY_ALTITUDE_M));
  return {
    cold: cold.trim() === '' ? 'Expected a temperature.' : tempProblem(cold),
    tire: tempProblem(tire),
    altitude: high ? (scale === 'metric' ? 'Expected −450 to 6000 m.' : 'Expected −1500 to 19,700 ft.') : undefined,
  };
}
