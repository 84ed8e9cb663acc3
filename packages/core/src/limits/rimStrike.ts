import { CASING_KPA, DROP_SOURCE } from '../contact/bicycleDrop';
import { deflectionShare, isBicycleTire, pressureForShareKpa, widthOnRimMm } from '../contact/deflection';
import type { AxleContext } from '../axle/axleContext';
import type { RimTry } from '../axle/planAxle';
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

/** A run on an edge moves the floor by this share of it at most, or by a step of a trial where that is less. Assumption. */
const STEP_SHARE = 0.1;

/** What a pressure that was tried on an edge comes to under today's load, kPa: the bend that it showed, carried over. Exact. */
const carriedKpa = ({ build, wheelLoadKg }: AxleContext, tried: RimTry): number =>
  Math.max(0, pressureForShareKpa(build, wheelLoadKg, deflectionShare(build, tried.wheelLoadKg, tried.pressureKpa)));

/** A try outside half to double of what such a wheel has is a slip of the pen or of the unit. Assumption. */
const CREDIBLE = { low: 0.5, high: 2 };

function isCredible(context: AxleContext, kpa: number): boolean {
  const usualKpa = modelledKpa(context) === null ? context.axle.roadKpa : hardWorkedKpa(context);
  return usualKpa === null || (kpa >= CREDIBLE.low * usualKpa && kpa <= CREDIBLE.high * usualKpa);
}

/**
 * The tries that say something of this ground, kPa at today's load: a press says that there is room for slow climbing alone,
 * a hit at speed for all ground. Where a rim was struck, that counts wherever there is something to strike it on.
 */
function triedKpa(context: AxleContext): { readonly room: readonly number[]; readonly struck: readonly number[] } {
  const tries = context.axle.rimTries ?? [];
  const slow = isLike(context.ground, 'lowRear');
  const kpa = (of: readonly RimTry[]): number[] =>
    of.map((tried) => carriedKpa(context, tried)).filter((each) => isCredible(context, each));
  return {
    room: kpa(tries.filter(({ struck, ridden }) => !struck && (ridden || slow))),
    struck: canStrike(context) ? kpa(tries.filter(({ struck }) => struck)) : [],
  };
}

/**
 * The pressure below which a rim is struck, kPa; null where nothing tells. Each run with room below the model's estimate
 * lets the floor down by one step, and no lower than was tried; each strike raises it by one, and no higher than a step
 * above where it was struck.
 */
export function strikeFloorKpa(context: AxleContext): number | null {
  const modelled = modelledKpa(context);
  const { room, struck } = triedKpa(context);
  const { trialStepKpa } = context.family;
  if (modelled === null) {
    return struck.length === 0 ? null : Math.max(...struck) + trialStepKpa;
  }
  const stepKpa = Math.min(trialStepKpa, STEP_SHARE * modelled);
  const below = room.filter((kpa) => kpa < modelled);
  const lowKpa = below.length === 0 ? modelled : Math.max(Math.min(...below), modelled - below.length * stepKpa);
  const above = struck.filter((kpa) => kpa + stepKpa > lowKpa);
  return above.length === 0 ? lowKpa : Math.min(Math.max(...above) + stepKpa, modelled + above.length * stepKpa);
}

/** The lowest before a rim is struck, a tube pinched or a tire folds. */
export const rimStrike = {
  code: 'rimStrike',
  source: assumption,
  sourceOf: (context) => (strikeFloorKpa(context) === modelledKpa(context) ? assumption : measured),
  pressureKpa: strikeFloorKpa,
  trace: (context, pressureKpa) => {
    const modelled = modelledKpa(context);
    const { room, struck } = triedKpa(context);
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
              inputs: {
                ...(room.length > 0 && { roomKpa: Math.min(...room) }),
                ...(struck.length > 0 && { struckKpa: Math.max(...struck) }),
              },
              result: { name: 'strikeFloorKpa', value: pressureKpa },
              source: measured,
            } as const,
          ]),
    ];
  },
} as const satisfies Limit;
