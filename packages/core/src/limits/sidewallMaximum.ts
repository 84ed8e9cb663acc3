import { sidewallMostKpa } from '../axle/planAxle';
import { assumption, marked, published } from '../sources/source';
import type { Limit } from './limit';

export const sidewallMaximum = {
  code: 'sidewallMaximum',
  source: marked,
  pressureKpa: ({ axle }) => sidewallMostKpa(axle),
  trace: (_, pressureKpa) => [
    { code: 'sidewallMaximum', inputs: {}, result: { name: 'sidewallMaxKpa', value: pressureKpa }, source: marked },
  ],
} as const satisfies Limit;

/** Above this a bicycle's sidewall has to be read first, kPa. Assumption. */
const UNREAD_KPA = 600;

/** A bicycle tire whose sidewall nobody read is pumped no further than most of them take. */
export const unreadSidewall = {
  code: 'unreadSidewall',
  source: assumption,
  pressureKpa: ({ family, axle }) => (family.kind === 'bicycle' && sidewallMostKpa(axle) === null ? UNREAD_KPA : null),
  trace: (_, pressureKpa) => [
    { code: 'unreadSidewall', inputs: {}, result: { name: 'highestKpa', value: pressureKpa }, source: assumption },
  ],
} as const satisfies Limit;

/** Rims without hooks hold no more, whatever the tire, kPa. Published: ETRTO and ISO, hookless limit (from memory). */
const HOOKLESS_KPA = 500;
const HOOKLESS_SOURCE = published('European Tyre and Rim Technical Organisation and ISO, hookless rims');

/** A bicycle tire on a rim without hooks. */
export const hooklessRim = {
  code: 'hooklessRim',
  source: HOOKLESS_SOURCE,
  pressureKpa: ({ axle }) => (axle.hookless === true ? HOOKLESS_KPA : null),
  trace: (_, pressureKpa) => [
    { code: 'hooklessRim', inputs: {}, result: { name: 'highestKpa', value: pressureKpa }, source: HOOKLESS_SOURCE },
  ],
} as const satisfies Limit;
