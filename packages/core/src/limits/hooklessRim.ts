import type { AxleContext } from '../axle/axleContext';
import { isBicycleTire, widthOnRimMm } from '../contact/deflection';
import { assumption, published } from '../sources/source';
import type { Limit } from './limit';

/** Rims without hooks hold no more, whatever the tire, kPa. Published: ETRTO and ISO, hookless limit (from memory). */
const HOOKLESS_KPA = 500;
const HOOKLESS_SOURCE = published('European Tyre and Rim Technical Organisation and ISO, hookless rims');

/** Narrower tires are not made for rims without hooks, mm. Assumption. */
const NARROWEST_HOOKLESS_MM = 25;
/** From this width on the tire's own maximum is lower than what a hookless rim holds, mm. Assumption. */
const ASKED_BELOW_MM = 45;

/** A bicycle tire so narrow that what its rim holds matters. */
export const hooksMatter = ({ build }: Pick<AxleContext, 'build'>): boolean =>
  isBicycleTire(build) && widthOnRimMm(build) < ASKED_BELOW_MM;

/** A bicycle tire on a rim without hooks. */
export const hooklessRim = {
  code: 'hooklessRim',
  source: HOOKLESS_SOURCE,
  pressureKpa: ({ axle }) => (axle.hookless === true ? HOOKLESS_KPA : null),
  trace: (_, pressureKpa) => [
    { code: 'hooklessRim', inputs: {}, result: { name: 'highestKpa', value: pressureKpa }, source: HOOKLESS_SOURCE },
  ],
} as const satisfies Limit;

/** Nobody said whether the rim has hooks: until then the tire gets no more than a rim without them holds. */
export const rimUnknown = {
  code: 'rimUnknown',
  source: assumption,
  pressureKpa: (context) =>
    (context.axle.hookless ?? null) === null &&
    hooksMatter(context) &&
    widthOnRimMm(context.build) >= NARROWEST_HOOKLESS_MM
      ? HOOKLESS_KPA
      : null,
  trace: (_, pressureKpa) => [
    { code: 'rimUnknown', inputs: {}, result: { name: 'highestKpa', value: pressureKpa }, source: assumption },
  ],
} as const satisfies Limit;
