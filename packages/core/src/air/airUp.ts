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
  /** Hoses on the pump; 1 unless said. */
  readonly wheelsAtOnce?: number;
  /** How long it has run since it last rested, s; 0 unless said. */
  readonly ranS?: number;
  /** What is left of its charge or gas, L at 1 atm; all of it unless said. */
  readonly leftLiters?: number;
}

export interface FilledWheel extends WheelRef {
  readonly fromKpa: number;
  readonly toKpa: number;
  /** Less than the target where the air ran out, or the pump can't reach it: then where it would come to rest. */
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
  /** Why: the pump delivers nothing any more at that pressure, or its air is used up; null where nothing is short. */
  readonly shortBecause: 'stalls' | 'runsOut' | null;
  /** What is missing, as liters at 1 atm. */
  readonly missingLiters: number;
  /** How long the pump has run since it last rested, s, for what comes after; 0 where it need not rest. */
  readonly ranS: number;
}

/** Below this a wheel counts as full, kPa: dust of the arithmetic. */
const DUST_KPA = 1e-9;

/**
 * Filling every wheel with one pump, in order: the flow that falls with the pressure, the rests that the pump must have,
 * the charge or gas that is left after each. Whether it will be enough is known before it begins. A rest that is due is
 * taken when the pump has run its time, wherever that is; walking and screwing on count as rest.
 *
 * With several hoses as many wheels are screwed on first. Joined they come level by themselves, then rise together; one
 * that has its pressure is taken off and the others go on.
 *
 * Exact on a flow curve of straight lines, for air that keeps its warmth and hoses that hold nothing back.
 */
export function fillPlan({
  wheels,
  pump,
  outsideKpaAbs,
  setUpS,
  rate = 1,
  wheelsAtOnce = 1,
  ranS = 0,
  leftLiters = budgetLiters(pump.budget),
}: FillInput): FillPlan {
  const flow = pump.flow.map((point) => ({
    ...point,
    litersPerMin: point.litersPerMin * rate,
  })) as unknown as Pump['flow'];
  const duty = pump.duty && { onS: pump.duty.onMin * 60, restS: pump.duty.restMin * 60 };
  const mostKpa = stallsAtKpa(flow);
  let left = leftLiters;
  let clock = 0;
  let ran = ranS;

  /** The pump running for so long, with the rests it must have; how long those are, s. */
  const run = (runS: number): number => {
    let restS = 0;
    if (duty && runS > 0) {
      const rests = Math.max(0, Math.ceil((ran + runS) / duty.onS - 1e-9) - 1);
      restS = rests * duty.restS;
      ran = ran + runS - rests * duty.onS;
    }
    clock += runS + restS;
    return restS;
  };

  const fillGroup = (group: readonly FillWheel[]): FilledWheel[] => {
    const pause = group.reduce((sum, { walkS }) => sum + walkS + setUpS, 0);
    // Cooled down while nobody pumped, if only in part.
    if (duty) ran = Math.max(0, ran - (pause * duty.onS) / duty.restS);
    clock += pause;
    const startS = clock;
    let atKpa =
      group.reduce((sum, { volumeL, fromKpa }) => sum + volumeL * fromKpa, 0) /
      group.reduce((sum, { volumeL }) => sum + volumeL, 0);
    const done = new Map<FillWheel, Pick<FilledWheel, 'reachedKpa' | 'endS' | 'runS' | 'restS' | 'leftLiters'>>();
    const inTurn = [...group].sort((a, b) => a.toKpa - b.toKpa);
    inTurn.forEach((wheel, index) => {
      const joined = inTurn.slice(index).reduce((sum, { volumeL }) => sum + volumeL, 0);
      const wantedKpa = Math.max(atKpa, Math.min(wheel.toKpa, Math.max(atKpa, mostKpa)));
      const needed = litersToFill(joined, atKpa, wantedKpa);
      const reachedKpa = needed <= left ? wantedKpa : atKpa + (left * ATMOSPHERE_KPA) / joined;
      // The last bit below where a pump stalls takes for ever: it is not waited for.
      const seconds = fillSeconds(flow, joined, atKpa, reachedKpa, outsideKpaAbs);
      const runS = Number.isFinite(seconds) ? seconds : 0;
      left -= litersToFill(joined, atKpa, reachedKpa);
      atKpa = reachedKpa;
      const restS = run(runS);
      done.set(wheel, { reachedKpa, endS: clock, runS, restS, leftLiters: finite(left) });
    });
    return group.map((wheel) => {
      const { position, wheel: code, volumeL, fromKpa, toKpa } = wheel;
      const { reachedKpa, ...ended } = done.get(wheel)!;
      const liters = (volumeL * (reachedKpa - fromKpa)) / ATMOSPHERE_KPA;
      const enough = reachedKpa >= toKpa - DUST_KPA;
      return { position, wheel: code, fromKpa, toKpa, reachedKpa, enough, startS, liters, ...ended };
    });
  };

  const filled: FilledWheel[] = [];
  for (let from = 0; from < wheels.length; from += wheelsAtOnce) {
    filled.push(...fillGroup(wheels.slice(from, from + wheelsAtOnce)));
  }
  const sum = (of: (wheel: FilledWheel) => number): number => filled.reduce((total, each) => total + of(each), 0);
  const short = filled.find(({ enough }) => !enough);
  return {
    wheels: filled,
    totalS: clock,
    runS: sum(({ runS }) => runS),
    restS: sum(({ restS }) => restS),
    liters: sum(({ liters }) => liters),
    shortAt: short ? { position: short.position, wheel: short.wheel } : null,
    shortBecause: short ? (short.reachedKpa >= mostKpa - DUST_KPA ? 'stalls' : 'runsOut') : null,
    missingLiters: wheels.reduce(
      (total, { volumeL, toKpa }, index) => total + litersToFill(volumeL, filled[index]!.reachedKpa, toKpa),
      0,
    ),
    ranS: duty ? ran : 0,
  };
}

/** Where a pump delivers nothing any more, kPa; Infinity where its curve ends before that. */
const stallsAtKpa = (flow: Pump['flow']): number =>
  flow.find(({ litersPerMin }) => litersPerMin <= 0)?.pressureKpa ?? Number.POSITIVE_INFINITY;

const finite = (liters: number): number | null => (Number.isFinite(liters) ? Math.max(0, liters) : null);
