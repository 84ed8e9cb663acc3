import {
  CHANCE_SOURCE,
  CONTACT_ON_SOIL_SOURCE,
  DRYING_SOURCE,
  RUT_SOURCE,
  STRENGTH_SOURCE,
  STRESS_SOURCE,
  SUBSOIL_RULE,
  WATER_SOURCE,
  type AtDepth,
  type Lever,
  type LeverCode,
  type NoLever,
  type TextureCode,
} from '@dunlinmoss/core';
import type { FieldDepth, FieldWords } from '@dunlinmoss/domain';

import type { Units } from '../settings/preferences';
import { distance, length, mass, percent, pressure } from './format';
import { sourceText } from './working';

/** Field soils, with what a hand feels. */
export const TEXTURE_WORDS: Record<TextureCode, { readonly name: string; readonly sign: string }> = {
  loamySand: { name: 'Loamy sand', sign: 'Gritty; a ball of it falls apart' },
  sandyLoam: { name: 'Sandy loam', sign: 'Gritty; a ball holds if it is not touched' },
  loam: { name: 'Loam', sign: 'A ball holds; rolled, it breaks' },
  siltLoam: { name: 'Silt loam', sign: 'Smooth as flour' },
  clayLoam: { name: 'Clay loam', sign: 'Rolls into a finger, cracks when bent' },
  clay: { name: 'Clay', sign: 'Rolls into a thread; shines when cut' },
};

export const DEPTH_WORDS: Record<FieldDepth, string> = {
  top: 'In the top',
  below: 'Below what is worked',
  deep: 'At half a meter',
};

/** What mends it there, if anything does. */
export const DEPTH_MENDS: Record<FieldDepth, string> = {
  top: 'the next tillage loosens it again',
  below: 'only deep loosening reaches it',
  deep: 'nothing brings it back',
};

/** From which chance on a word is said. */
const CHANCES = [
  [0.9, 'nearly sure'],
  [0.66, 'likely'],
  [0.33, 'as likely as not'],
  [0.1, 'possible'],
  [0, 'hardly'],
] as const;

/** A chance in a word; never as if it were sure. */
export const chanceText = (chance: number): string => CHANCES.find(([from]) => chance >= from)![1];

/** `5 to 9 in 10`: as dry or as wet as it may be. */
export function chanceSpread({ leastChance, mostChance }: Pick<AtDepth, 'leastChance' | 'mostChance'>): string {
  const [least, most] = [leastChance, mostChance].map((share) => Math.round(10 * share)) as [number, number];
  if (most === 0) return 'under 1 in 10';
  if (least === 10) return 'over 9 in 10';
  if (least === most) return `${least} in 10`;
  if (least === 0) return `up to ${most === 10 ? 'over 9' : most} in 10`;
  return most === 10 ? `${least} in 10 or more` : `${least} to ${most} in 10`;
}

/** What each step rests on, in the order in which it is worked out. */
export const DEPTH_SOURCES: readonly (readonly [step: string, source: string])[] = [
  ['How large the tire stands on soil, firm and soft', sourceText(CONTACT_ON_SOIL_SOURCE)],
  ['How its load spreads below', sourceText(STRESS_SOURCE)],
  ['What soil of its texture bears, to a factor of 1.5', sourceText(STRENGTH_SOURCE)],
  ['How wet it is by the days since rain', sourceText(WATER_SOURCE)],
  ['3 mm a day that dry off, and what dry soil bears more', sourceText(DRYING_SOURCE)],
  ['How likely it gives way where both are near', sourceText(CHANCE_SOURCE)],
  ['50 kPa at half a meter', sourceText(SUBSOIL_RULE.source)],
  ['The rut by a cone', sourceText(RUT_SOURCE)],
];

/** Days by themselves: `2 days`. */
export const dayCount = (days: number): string =>
  days === 0 ? 'it rains, or just did' : days === 1 ? '1 day' : `${days} days`;

/** How long since it rained: `2 days since rain`. */
export const daysText = (days: number): string =>
  days === 0 ? 'it rains, or just did' : days === 1 ? '1 day since rain' : `${days} days since rain`;

/** `not loosened, tracks 6 m apart, once`: how a field is worked, in a line. */
export const workedText = ({ looseToMm, workingWidthMm, times }: FieldWords, units: Units): string =>
  [
    looseToMm === 0 ? 'not loosened' : `loosened to ${length(looseToMm, units)}`,
    `tracks ${distance(workingWidthMm / 1000, units)} apart`,
    times === 1 ? 'once' : `${times} times`,
  ].join(', ');

/** What to do, in one line. */
export function leverText({ code, to }: Lever, units: Units): string {
  switch (code) {
    case 'lowerPressure':
      return `Lower the pressure to ${pressure(to.pressureKpa, units)}`;
    case 'lessLoad':
      return `Carry less: ${mass(to.loadKg, units)} on the tire, at ${pressure(to.pressureKpa, units)}`;
    case 'duals':
      return `Duals: ${mass(to.loadKg, units)} on each, at ${pressure(to.pressureKpa, units)}`;
    case 'widerTires':
      return `Wider tires, such as ${length(1000 * to.widthM, units)}, at about ${pressure(to.pressureKpa, units)}`;
    case 'waiting':
      return `Wait until it is ${daysText(to.days)}`;
    case 'fewerPasses':
      return 'Run along a track once';
  }
}

/** What a lever rests on. */
export const leverSure = ({ code, byOwnCurve }: Lever): string =>
  code === 'waiting' || code === 'fewerPasses'
    ? ''
    : byOwnCurve
      ? 'by this tire’s own load curve'
      : code === 'widerTires'
        ? 'that tire’s own table decides'
        : 'its load curve is not known: at the pressure of now';

/** How much of the harm a lever takes away. */
export const gainText = (gain: number): string => `takes away ${percent(gain)} of the harm`;

const LEVER_NAMES: Record<LeverCode, string> = {
  lowerPressure: 'Lower pressure',
  lessLoad: 'Less load',
  duals: 'Duals',
  widerTires: 'Wider tires',
  waiting: 'Waiting',
  fewerPasses: 'Fewer passes',
};

export function noLeverText({ code, because }: NoLever): string {
  const why = {
    atLeast: 'it has the least already that its tire and limits allow for this load',
    noCurve: 'what the tire carries is not known, or this load is past it',
    hasDuals: 'it has them',
    noPlace: 'not on this axle',
    noGain: 'hardly helps here',
    oncePassed: 'it runs there once as it is',
  }[because];
  return `${LEVER_NAMES[code]}: ${why}.`;
}
