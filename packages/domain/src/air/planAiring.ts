import {
  drainPlan,
  fillPlan,
  gaugeNowKpa,
  inToolOf,
  outToolOf,
  type DrainPlan,
  type FillPlan,
  type TireConditions,
  JUST_DRIVEN_C,
} from '@dunlinmoss/core';
import type { AiringRow, RigRow } from '@dunlinmoss/contract';

import { wheelsAtOnceOf, outRate, pumpOf, pumpRate, type ToolUsed } from './airings';
import type { InTire } from './inTire';
import { walksOf, type RigWheel } from './wheels';

export interface AiringQuestion {
  readonly way: 'out' | 'in';
  readonly rig: RigRow;
  /** In the order they are gone round. */
  readonly wheels: readonly RigWheel[];
  readonly used: ToolUsed;
  readonly airings: readonly AiringRow[];
  readonly conditions: TireConditions;
  /** Driven within three quarters of an hour, and nobody measured how warm the tires are. */
  readonly justDriven: boolean;
  readonly outsideKpaAbs: number;
  readonly known: (wheel: RigWheel) => InTire | undefined;
  /** What a wheel is to have, cold, kPa; undefined where nothing says. */
  readonly coldKpa: (wheel: RigWheel) => number | undefined;
  /** How low a wheel may be, cold, kPa; undefined where nothing says. */
  readonly floorKpa: (wheel: RigWheel) => number | undefined;
  /** A pressure on the nearest mark of the gauge. */
  readonly onGauge: (kpa: number) => number;
}

/** A wheel before it is begun: from what to what, as the gauge should show it now. */
export interface AiringRowPlan {
  readonly wheel: RigWheel;
  readonly coldKpa: number | undefined;
  readonly targetKpa: number | undefined;
  readonly fromKpa: number | undefined;
  /** It has less than it is to be let out to, or more than it is to be pumped to: the other way round. */
  readonly past: boolean;
}

export interface AiringPlan {
  readonly rows: readonly AiringRowPlan[];
  readonly drain: DrainPlan | undefined;
  readonly fill: FillPlan | undefined;
  /** Wheels as the plan of the pump takes them. */
  readonly wheels: Parameters<typeof drainPlan>[2];
  readonly totalS: number;
  /** How many wheels were timed with this tool. */
  readonly timed: number;
}

/** Before the first valve: from what to what, and how long it takes with a tool in an order. */
export function planAiring(question: AiringQuestion): AiringPlan {
  const { way, rig, wheels, used, airings, conditions, justDriven, outsideKpaAbs, known, coldKpa, floorKpa, onGauge } =
    question;
  const now = (kpa: number): number => onGauge(gaugeNowKpa(kpa, conditions));
  // As warm as driving may make them: let out to the cold figure now, they would stand below their floor once cold.
  const asWarmAsCanBe = { ...conditions, tireTempC: conditions.coldTempC + JUST_DRIVEN_C };
  const atTarget = (wheel: RigWheel, cold: number): number => {
    const floor = way === 'out' && justDriven ? floorKpa(wheel) : undefined;
    return floor === undefined ? now(cold) : Math.max(now(cold), onGauge(gaugeNowKpa(floor, asWarmAsCanBe)));
  };
  const rows = wheels.map((wheel): AiringRowPlan => {
    const cold = coldKpa(wheel);
    const inIt = known(wheel);
    const targetKpa = cold === undefined ? undefined : atTarget(wheel, cold);
    const fromKpa = inIt && now(inIt.coldKpa);
    const past =
      targetKpa !== undefined && fromKpa !== undefined && (way === 'out' ? fromKpa < targetKpa : fromKpa > targetKpa);
    return { wheel, coldKpa: cold, targetKpa, fromKpa, past };
  });
  const walks = walksOf(rig, wheels);
  const drains = rows.map(({ wheel, fromKpa = 0, targetKpa = 0 }, index) => ({
    position: wheel.position,
    wheel: wheel.wheel,
    volumeL: wheel.volumeL,
    fromKpa,
    toKpa: targetKpa,
    walkS: walks[index]!,
  }));
  if (way === 'out') {
    const rate = outRate(used, airings);
    const drain = drainPlan(outToolOf(used.kind)!, rate, drains, outsideKpaAbs, used.tool?.wheelsAtOnce);
    return { rows, drain, fill: undefined, wheels: drains, totalS: drain.totalS, timed: rate.timed };
  }
  const own = pumpRate(used, airings);
  const { setUpS } = inToolOf(used.kind)!;
  const fill = fillPlan({
    wheels: drains,
    pump: pumpOf(used),
    outsideKpaAbs,
    setUpS,
    rate: own.rate,
    wheelsAtOnce: wheelsAtOnceOf(used),
  });
  return { rows, drain: undefined, fill, wheels: drains, totalS: fill.totalS, timed: own.timed };
}
