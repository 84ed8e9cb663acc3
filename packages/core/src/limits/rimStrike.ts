import { CASING_KPA, DROP_SOURCE } from '../contact/bicycleDrop';
import { isBicycleTire, widthOnRimMm } from '../contact/deflection';
import type { AxleContext } from '../axle/axleContext';
import { hardWorkedKpa, towardsFat, towardsTrail } from '../reference/bicyclePoints';
import { isLike } from '../grounds/ground';
import { assumption } from '../sources/source';
import type { Limit } from './limit';

/**
 * How much further than at the trade's own start a bicycle tire may drop. Assumptions: at 1.4 the reference trail bicycle
 * comes to 15 psi, below which its tire folds in a fast turn (common practice, no source); a tube is pinched long before,
 * less so on narrow tires that everybody rides with one; an insert stands between; square edges want some in hand.
 */
const PAST_TRADE = { tubeless: 1.4, tube: 1.15, tubeOnNarrow: 1.3, insert: 1.6 };
const EDGES_TAKE = 0.1;
/** The last a fat tire is run with where there is nothing hard to strike, as a share of its start on hardpack. Assumption. */
const FAT_LAST_SHARE = 0.35;

/** How much further than at its start this tire may drop here. */
export function pastTrade({ axle, build, ground }: AxleContext): number {
  const trail = towardsTrail(widthOnRimMm(build));
  const tube = PAST_TRADE.tubeOnNarrow + (PAST_TRADE.tube - PAST_TRADE.tubeOnNarrow) * trail;
  const past = axle.insert ? PAST_TRADE.insert : axle.tube ? tube : PAST_TRADE.tubeless;
  return past - (isLike(ground, 'edges') ? EDGES_TAKE : 0);
}

/** The pressure below which a rim is struck, kPa: a drop goes with load over what holds it up, air and casing. */
export function strikeFloorKpa(context: AxleContext): number {
  const hardKpa = (hardWorkedKpa(context) + CASING_KPA) / pastTrade(context) - CASING_KPA;
  const fat = context.ground.bicycle?.soft ? towardsFat(widthOnRimMm(context.build)) : 0;
  if (fat === 0 || hardKpa <= 0) return hardKpa;
  return hardKpa ** (1 - fat) * (FAT_LAST_SHARE * hardWorkedKpa(context)) ** fat;
}

/** The lowest before a rim is struck, a tube pinched or a tire folds. */
export const rimStrike = {
  code: 'rimStrike',
  source: assumption,
  pressureKpa: (context) => (isBicycleTire(context.build) ? strikeFloorKpa(context) : null),
  trace: (context, pressureKpa) => [
    {
      code: 'strikeFloor',
      inputs: {
        baseKpa: hardWorkedKpa(context),
        casingKpa: CASING_KPA,
        pastTrade: pastTrade(context),
        tireWidthMm: widthOnRimMm(context.build),
      },
      result: { name: 'strikeFloorKpa', value: pressureKpa },
      source: DROP_SOURCE,
    },
  ],
} as const satisfies Limit;
