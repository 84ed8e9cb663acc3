import { BELOW_ROAD_KMH, WALKING_KMH } from '../limits/speedPairs';
import type { AxleContext } from '../axle/axleContext';
import { ATMOSPHERE_KPA, litersToFill } from './compressor';
import { limpSpeedKmh, roadNeedKpa } from './roadNeed';
import type { WheelRef } from './wheel';

/** A wheel on site, with its axle as `onPavement` gives it. */
export interface SoftWheel extends WheelRef {
  readonly context: AxleContext;
  readonly volumeL: number;
  readonly nowKpa: number;
}

export interface BestUse {
  readonly wheels: readonly (WheelRef & {
    readonly fromKpa: number;
    readonly toKpa: number;
    readonly liters: number;
  })[];
  /** The fastest that goes with it, km/h; null where it reaches road pressure all round. */
  readonly speedKmh: number | null;
  /** Liters at 1 atm that road pressure would take. */
  readonly neededLiters: number;
}

/** Bisection ends here, km/h. */
const NEAR_KMH = 0.01;

/**
 * The best use of too little air: every wheel as much as the same speed asks of it, at the highest speed the air is
 * enough for. So no wheel is left behind to hold the others back. What is over when that speed is the last below road
 * pressure goes to all wheels in the same share of what they still lack.
 *
 * @param liters what there is, at 1 atm
 */
export function bestUse(wheels: readonly SoftWheel[], liters: number, stepKpa: number): BestUse {
  const targets = (speedKmh: number): number[] =>
    wheels.map(({ context, nowKpa }) => Math.max(nowKpa, roadNeedKpa(context, speedKmh) ?? nowKpa));
  const cost = (to: readonly number[]): number =>
    wheels.reduce((sum, { volumeL, nowKpa }, index) => sum + litersToFill(volumeL, nowKpa, to[index]!), 0);
  const road = wheels.map(({ context, nowKpa }) => Math.max(nowKpa, context.axle.roadKpa ?? nowKpa));
  const neededLiters = cost(road);

  let to: number[];
  if (neededLiters <= liters) to = road;
  else if (cost(targets(BELOW_ROAD_KMH)) <= liters) to = spread(targets(BELOW_ROAD_KMH), road, liters);
  else if (cost(targets(WALKING_KMH)) > liters) {
    // Not even for walking pace: all of it to those that lack most of that, in the same share.
    to = spread(
      wheels.map(({ nowKpa }) => nowKpa),
      targets(WALKING_KMH),
      liters,
    );
  } else {
    let [slow, fast] = [WALKING_KMH, BELOW_ROAD_KMH];
    while (fast - slow > NEAR_KMH) {
      const middle = (slow + fast) / 2;
      if (cost(targets(middle)) <= liters) slow = middle;
      else fast = middle;
    }
    to = targets(slow);
  }

  function spread(from: readonly number[], full: readonly number[], have: number): number[] {
    const over = have - cost(from);
    const lacking = cost(full) - cost(from);
    const share = lacking <= 0 ? 0 : Math.min(1, over / lacking);
    return from.map((kpa, index) => kpa + share * (full[index]! - kpa));
  }

  const axles = [...new Map(wheels.map(({ context }) => [context.axle.position, context])).values()];
  const softest = axles.map(({ axle: { position } }) =>
    Math.min(...wheels.flatMap((wheel, index) => (wheel.position === position ? [to[index]!] : []))),
  );
  return {
    wheels: wheels.map(({ position, wheel, nowKpa, volumeL }, index) => ({
      position,
      wheel,
      fromKpa: nowKpa,
      toKpa: to[index]!,
      liters: (volumeL * (to[index]! - nowKpa)) / ATMOSPHERE_KPA,
    })),
    speedKmh: limpSpeedKmh(axles, softest, stepKpa),
    neededLiters,
  };
}
