import type { Kind, ModifierCode } from '@dunlinmoss/core';

import type { Units } from '../settings/preferences';
import { speed, speedNumber } from './format';

/** What may be said of a day, or what the rig says by itself, and what comes of it. */
export const MODIFIER_WORDS: Record<ModifierCode, { readonly name: string; readonly note: string }> = {
  heat: { name: 'Hot day', note: 'Hot sand is softer: the low end of the range, and less speed' },
  wet: { name: 'Wet', note: '1 to 2 psi down for grip' },
  slippery: { name: 'Slippery', note: 'No other pressure, less speed' },
  steep: { name: 'Steep', note: 'The low end of the range from the start' },
  towing: { name: 'With a trailer', note: 'Less speed, and worse on sand' },
  pullingHard: { name: 'Pulling hard or uphill', note: 'No bonus for being slow' },
  seedbed: { name: 'Loose seedbed', note: 'In place of stubble: every rut counts' },
  fast: { name: 'Ridden fast', note: 'The rim is hit harder: firmer' },
  gentle: { name: 'Ridden gently', note: 'A little softer' },
  farFromAir: { name: 'Pavement before the next air', note: 'The same pressure; how fast home on it' },
  tube: { name: 'tube', note: '2 to 4 psi more' },
  insert: { name: 'insert', note: '2 to 4 psi less' },
  thinCasing: { name: 'thin casing', note: '1 to 2 psi more' },
  downhillCasing: { name: 'downhill casing', note: '1 to 2 psi less' },
  narrowRim: { name: 'narrow rim', note: 'a little more' },
};

/** What may be said of the day in one line: `Hot day, steep, 50 km/h`. */
export function dayText(modifiers: readonly ModifierCode[], speedKmh: number | null, units: Units): string {
  const parts = [
    ...modifiers.map((code) => MODIFIER_WORDS[code].name.toLowerCase()),
    ...(speedKmh === null ? [] : [`${speed(speedKmh, units)} needed`]),
  ];
  const text = parts.join(', ');
  return text === '' ? 'An ordinary day' : text[0]!.toUpperCase() + text.slice(1);
}

/** What the speed that is typed means to a kind of rig. */
export const speedHint = (kind: Kind, units: Units): string =>
  kind === 'farm'
    ? `Empty goes by ${speedNumber(8, units)} to ${speed(10, units)} in the field, ${speedNumber(25, units)} in the lane and road speed on the road.`
    : 'Empty goes by the guide of the ground.';
