import type { Lever, NoLever } from '@dunlinmoss/core';
import { USUAL_FIELD } from '@dunlinmoss/domain';

import { FIRST_UNITS } from '../settings/preferences';
import {
  chanceSpread,
  chanceText,
  dayCount,
  daysText,
  DEPTH_SOURCES,
  leverSure,
  leverText,
  noLeverText,
  workedText,
} from './depth';

const plain = (text: string): string => text.replaceAll('\u00a0', ' ');
const lever = (code: Lever['code'], byOwnCurve = true): Lever =>
  ({ code, byOwnCurve, gain: 0.4, to: { pressureKpa: 110.3, loadKg: 1_500, widthM: 0.72, days: 6 } }) as Lever;

it.each([
  [0, 'hardly'],
  [0.09, 'hardly'],
  [0.2, 'possible'],
  [0.5, 'as likely as not'],
  [0.7, 'likely'],
  [1, 'nearly sure'],
])('a chance of %d is %s: never sure, and never that it goes', (chance, text) => expect(chanceText(chance)).toBe(text));

it('tells the spread in tenths, once where it rounds to the same', () => {
  expect(chanceSpread({ leastChance: 0.31, mostChance: 0.58 })).toBe('3 to 6 in 10');
  expect(chanceSpread({ leastChance: 0.01, mostChance: 0.02 })).toBe('under 1 in 10');
  expect(chanceSpread({ leastChance: 0.6, mostChance: 0.999 })).toBe('6 in 10 or more');
  expect(chanceSpread({ leastChance: 0.97, mostChance: 0.999 })).toBe('over 9 in 10');
  expect(chanceSpread({ leastChance: 0.01, mostChance: 0.3 })).toBe('up to 3 in 10');
  expect(chanceSpread({ leastChance: 0.68, mostChance: 0.71 })).toBe('7 in 10');
});

it('says what to do with its numbers, and on what it rests', () => {
  expect(plain(leverText(lever('lowerPressure'), FIRST_UNITS))).toBe('Lower the pressure to 16 psi');
  expect(plain(leverText(lever('lessLoad'), FIRST_UNITS))).toBe('Carry less: 1500 kg on the tire, at 16 psi');
  expect(plain(leverText(lever('duals'), FIRST_UNITS))).toBe('Duals: 1500 kg on each, at 16 psi');
  expect(plain(leverText(lever('widerTires'), FIRST_UNITS))).toBe('Wider tires, such as 720 mm, at about 16 psi');
  expect(leverText(lever('waiting'), FIRST_UNITS)).toBe('Wait until it is 6 days since rain');
  expect(leverSure(lever('duals'))).toContain('own load curve');
  expect(leverSure(lever('lessLoad', false))).toContain('not known');
  expect(leverSure(lever('widerTires', false))).toContain('that tire’s own table');
  expect(leverSure(lever('waiting'))).toBe('');
});

it('says why a lever is not there', () => {
  const because: readonly NoLever['because'][] = ['atLeast', 'noCurve', 'hasDuals', 'noPlace', 'noGain', 'oncePassed'];
  const texts = because.map((each) => noLeverText({ code: 'duals', because: each } as NoLever));
  expect(new Set(texts).size).toBe(because.length);
  for (const text of texts) expect(text).toMatch(/^Duals: .+\.$/);
});

it('tells a field in a line', () => {
  expect(plain(workedText(USUAL_FIELD, FIRST_UNITS))).toBe('not loosened, tracks 6 m apart, once');
  expect(plain(workedText({ ...USUAL_FIELD, looseToMm: 250, times: 4 }, FIRST_UNITS))).toBe(
    'loosened to 250 mm, tracks 6 m apart, 4 times',
  );
  expect([0, 1, 3].map(dayCount)).toEqual(['it rains, or just did', '1 day', '3 days']);
  // Every step says where it is from, published ones by name.
  expect(DEPTH_SOURCES.filter(([, source]) => source.startsWith('Published: ')).length).toBe(6);
  expect(DEPTH_SOURCES.every(([, source]) => source !== '')).toBe(true);
  expect([0, 1, 3].map(daysText)).toEqual(['it rains, or just did', '1 day since rain', '3 days since rain']);
});
