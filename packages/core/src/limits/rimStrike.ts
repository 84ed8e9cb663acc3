import { CASING_KPA, DROP_SOURCE } from '../contact/bicycleDrop';
import { deflectionShare, isBicycleTire, pressureForShareKpa, widthOnRimMm } from '../contact/deflection';
import type { AxleContext } from '../axle/axleContext';
import { hardWorkedKpa, towardsFat, towardsTrail } from '../reference/bicyclePoints';
import { isLike } from '../grounds/ground';
import { assumption, measured } from '../sources/source';
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

/** By the model alone: a drop goes with load over what holds it up, air and casing. kPa; null but for bicycles. */
function modelledKpa(context: AxleContext): number | null {
  if (!isBicycleTire(context.build)) return null;
  const hardKpa = (hardWorkedKpa(context) + CASING_KPA) / pastTrade(context) - CASING_KPA;
  const fat = context.ground.bicycle?.soft ? towardsFat(widthOnRimMm(context.build)) : 0;
  if (fat === 0 || hardKpa <= 0) return hardKpa;
  return hardKpa ** (1 - fat) * (FAT_LAST_SHARE * hardWorkedKpa(context)) ** fat;
}

/** Whether there is anything on a ground that a rim can be struck on. */
const canStrike = ({ ground, build }: AxleContext): boolean =>
  isBicycleTire(build) ? ground.bicycle?.soft !== true : isLike(ground, 'edges');

/** What somebody's own tries on an edge come to under today's load: the bend that they showed, carried over. Exact. */
function triedKpa({ axle, build, wheelLoadKg }: AxleContext) {
  const carried = (struck: boolean): number[] =>
    (axle.rimTries ?? [])
      .filter((each) => each.struck === struck)
      .map((each) =>
        Math.max(
          0,
          pressureForShareKpa(build, wheelLoadKg, deflectionShare(build, each.wheelLoadKg, each.pressureKpa)),
        ),
      );
  const [room, struck] = [carried(false), carried(true)];
  return {
    roomKpa: room.length > 0 ? Math.min(...room) : null,
    struckKpa: struck.length > 0 ? Math.max(...struck) : null,
  };
}

/**
 * The pressure below which a rim is struck, kPa; null where nothing tells. Where there was room, the model's estimate
 * gives way to it; where it was struck, a step above that holds, whatever else was found.
 */
export function strikeFloorKpa(context: AxleContext): number | null {
  const modelled = modelledKpa(context);
  const { roomKpa, struckKpa } = triedKpa(context);
  const low = modelled !== null && roomKpa !== null ? Math.min(modelled, roomKpa) : modelled;
  if (struckKpa === null || !canStrike(context)) return low;
  return Math.max(low ?? 0, struckKpa + context.family.trialStepKpa);
}

/** The lowest before a rim is struck, a tube pinched or a tire folds. */
export const rimStrike = {
  code: 'rimStrike',
  source: assumption,
  sourceOf: (context) => (strikeFloorKpa(context) === modelledKpa(context) ? assumption : measured),
  pressureKpa: strikeFloorKpa,
  trace: (context, pressureKpa) => {
    const modelled = modelledKpa(context);
    const { roomKpa, struckKpa } = triedKpa(context);
    return [
      ...(modelled === null
        ? []
        : [
            {
              code: 'strikeFloor',
              inputs: {
                baseKpa: hardWorkedKpa(context),
                casingKpa: CASING_KPA,
                pastTrade: pastTrade(context),
                tireWidthMm: widthOnRimMm(context.build),
              },
              result: { name: 'strikeFloorKpa', value: modelled },
              source: DROP_SOURCE,
            } as const,
          ]),
      ...(pressureKpa === modelled
        ? []
        : [
            {
              code: 'rimTried',
              inputs: { ...(roomKpa !== null && { roomKpa }), ...(struckKpa !== null && { struckKpa }) },
              result: { name: 'strikeFloorKpa', value: pressureKpa },
              source: measured,
            } as const,
          ]),
    ];
  },
} as const satisfies Limit;
