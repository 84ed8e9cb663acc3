import type { Pump } from '../tools/pump';
import { ATMOSPHERE_KPA, budgetLiters, fillSeconds, litersToFill } from './compressor';
import type { WheelRef } from './wheel';

/** A wheel that is to be filled. Gauge pressures. */
export interface FillWheel extends WheelRef {
  readonly volumeL: number;
  readonly fromKpa: number;
  readonly toKpa: number;
  /** From the wheel before it, or from where the pump stands, s. */
  readonly walkS: number;
}

export interface FillInput {
  /** In the order they are filled. */
  readonly wheels: readonly FillWheel[];
  readonly pump: Pump;
  readonly outsideKpaAbs: number;
  /** Screwing on and off, for each wheel, s. */
  readonly setUpS: number;
  /** The person's own rate over the label's; 1 where nothing was timed. */
  readonly rate?: number;
}

export interface FilledWheel extends WheelRef {
  readonly fromKpa: number;
  readonly toKpa: number;
  /** Less than the target where the air ran out, or the pump can't reach it. */
  readonly reachedKpa: number;
  readonly enough: boolean;
  /** When it begins and is done, s from the start. */
  readonly startS: number;
  readonly endS: number;
  /** The pump running. */
  readonly runS: number;
  /** Resting in the middle of it. */
  readonly restS: number;
  readonly liters: number;
  /** Left afterwards, as liters at 1 atm; null where there is no end to it. */
  readonly leftLiters: number | null;
}

export interface FillPlan {
  readonly wheels: readonly FilledWheel[];
  readonly totalS: number;
  readonly runS: number;
  readonly restS: number;
  readonly liters: number;
  /** The first wheel that will not be full; null where all will be. */
  readonly shortAt: WheelRef | null;
  /** What is missing, as liters at 1 atm. */
  readonly missingLiters: number;
}

/**
 * Filling every wheel with one pump, in order: the flow that falls with the pressure, the rests that the pump must have,
 * the charge or gas that is left after each. Whether it will be enough is known before it begins. A rest that is due is
 * taken when the pump has run its time, wherever that is; walking and screwing on count as rest.
 *
 * Exact on a flow curve of straight lines, for air that keeps its warmth.
 */
export function fillPlan({ wheels, pump, outsideKpaAbs, setUpS, rate = 1 }: FillInput): FillPlan {
  const flow = pump.flow.map((point) => ({
    ...point,
    litersPerMin: point.litersPerMin * rate,
  })) as unknown as Pump['flow'];
  const duty = pump.duty && { onS: pump.duty.onMin * 60, restS: pump.duty.restMin * 60 };
  let left = budgetLiters(pump.budget);
  let clock = 0;
  let ran = 0;
  const filled = wheels.map((wheel): FilledWheel => {
    const { position, wheel: code, volumeL, fromKpa, toKpa, walkS } = wheel;
    const needed = litersToFill(volumeL, fromKpa, toKpa);
    const affordedKpa = needed <= left ? toKpa : fromKpa + (left * ATMOSPHERE_KPA) / volumeL;
    const runS = fillSeconds(flow, volumeL, fromKpa, affordedKpa, outsideKpaAbs);
    const pause = walkS + setUpS;
    const startS = clock + pause;
    // Cooled down while nobody pumped, if only in part.
    if (duty) ran = Math.max(0, ran - (pause * duty.onS) / duty.restS);
    const stalls = !Number.isFinite(runS);
    const reachedKpa = stalls ? fromKpa : affordedKpa;
    let restS = 0;
    if (duty && !stalls && runS > 0) {
      const rests = Math.max(0, Math.ceil((ran + runS) / duty.onS - 1e-9) - 1);
      restS = rests * duty.restS;
      ran = ran + runS - rests * duty.onS;
    }
    const liters = litersToFill(volumeL, fromKpa, reachedKpa);
    left -= liters;
    clock = startS + (stalls ? 0 : runS + restS);
    return {
      position,
      wheel: code,
      fromKpa,
      toKpa,
      reachedKpa,
      enough: reachedKpa >= toKpa - 1e-9,
      startS,
      endS: clock,
      runS: stalls ? 0 : runS,
      restS,
      liters,
      leftLiters: finite(left),
    };
  });
  const sum = (of: (wheel: FilledWheel) => number): number => filled.reduce((total, each) => total + of(each), 0);
  const short = filled.find(({ enough }) => !enough);
  return {
    wheels: filled,
    totalS: clock,
    runS: sum(({ runS }) => runS),
    restS: sum(({ restS }) => restS),
    liters: sum(({ liters }) => liters),
    shortAt: short ? { position: short.position, wheel: short.wheel } : null,
    missingLiters: wheels.reduce(
      (total, { volumeL, toKpa }, index) => total + litersToFill(volumeL, filled[index]!.reachedKpa, toKpa),
      0,
    ),
  };
}

const finite = (liters: number): number | null => (Number.isFinite(liters) ? Math.max(0, liters) : null);
