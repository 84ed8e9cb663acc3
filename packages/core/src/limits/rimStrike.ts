import { DROP_SOURCE } from '../contact/bicycleDrop';
import { isBicycleTire, pressureForShareKpa, widthOnRimMm } from '../contact/deflection';
import type { AxleContext } from '../plan/axleContext';
import { tradeDropShare } from '../schools/bicyclePoints';
import { assumption } from '../source';
import type { Limit } from './limit';

/**
 * How much further than the trade's own drop a bicycle tire may be let down. Assumptions: at 1.4 the reference trail
 * bicycle comes to 15 psi, below which its tire folds in a fast turn (common practice, no source); a tube is pinched
 * long before, an insert stands between, square edges want some in hand.
 */
const PAST_TRADE = { tubeless: 1.4, tube: 1.15, insert: 1.6 };
const EDGES_TAKE = 0.1;

/** The most that a tire may drop here standing still, as a share of its height. */
export function strikeShareOf({ axle, build, ground }: AxleContext): number {
  const past = axle.insert ? PAST_TRADE.insert : axle.tube ? PAST_TRADE.tube : PAST_TRADE.tubeless;
  return tradeDropShare(widthOnRimMm(build), 'rear') * (past - (ground.edges ? EDGES_TAKE : 0));
}

/**
 * The lowest before a rim is struck, a tube pinched or a tire folds. The heavier wheel of the bicycle counts for both:
 * in braking the front carries what the rear does standing.
 */
export const rimStrike = {
  code: 'rimStrike',
  source: assumption,
  pressureKpa: (context) =>
    isBicycleTire(context.build)
      ? pressureForShareKpa(context.build, context.heaviestWheelKg, strikeShareOf(context))
      : null,
  steps: (context, pressureKpa) => [
    {
      code: 'strikeShare',
      inputs: { tireWidthMm: widthOnRimMm(context.build) },
      result: { name: 'dropShare', value: strikeShareOf(context) },
      source: assumption,
    },
    {
      code: 'strikeFloor',
      inputs: {
        wheelLoadKg: context.heaviestWheelKg,
        tireWidthMm: widthOnRimMm(context.build),
        dropShare: strikeShareOf(context),
      },
      result: { name: 'strikeFloorKpa', value: pressureKpa },
      source: DROP_SOURCE,
    },
  ],
} as const satisfies Limit;
