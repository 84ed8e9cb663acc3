import type { AiringRow, MonitorPacket, ReadingRoundRow } from '@dunlinmoss/contract';
import {
  correctedKpa,
  leakTest,
  sameWheel,
  watchWheel,
  type TireConditions,
  type LeakTest,
  type Watched,
  type WatchedReading,
  type WatchedTarget,
} from '@dunlinmoss/core';

import type { RigWheel } from './wheels';
import type { RigNow } from './rigNow';

/** How well a monitor and a gauge are known, kPa: one standard deviation. Assumptions. */
const NOISE_KPA = { monitor: 1, hand: 2.5 };
/** A packet a minute is plenty for the leak test. */
const TEST_EVERY_H = 1 / 60;
/** The simulated monitors send every few seconds; live ones about once a minute. */
const EXPECTED_EVERY_H = 1 / 60;
/** Over which the others are looked at when one seems stuck, h. */
const OTHERS_OVER_H = 1 / 3;

/** A wheel that is watched, with what is said of it. */
export interface WatchedWheel {
  readonly wheel: RigWheel;
  readonly readings: readonly WatchedReading[];
  readonly target: WatchedTarget;
  readonly leak: LeakTest;
  readonly watched: Watched;
}

const hours = (iso: string): number => Date.parse(iso) / 3_600_000;

/** A reading by hand tells something of today, not of last month, h. Assumption. */
const TODAY_H = 18;

/** What monitors, or else today's rounds by hand, said of a wheel, in order of time. */
export function readingsOf(
  wheel: RigWheel,
  packets: readonly MonitorPacket[],
  rounds: readonly ReadingRoundRow[],
  nowMs: number,
): { readonly readings: WatchedReading[]; readonly by: 'monitor' | 'hand' } {
  const own = packets.filter((packet) => sameWheel(packet, wheel));
  if (own.length > 0) {
    // By the order of sending, so that a clock that is wrong shows.
    return {
      by: 'monitor',
      readings: own.map(({ sensedAt, pressureKpa, tempC }) => ({ atH: hours(sensedAt), pressureKpa, tempC })),
    };
  }
  const read = rounds.flatMap(({ wheels, readAt, tireTempC, gauge, occasion }): WatchedReading[] => {
    const today = Date.parse(readAt) > nowMs - TODAY_H * 3_600_000;
    const found = occasion === 'watch' && today ? wheels.find((each) => sameWheel(each, wheel)) : undefined;
    return found
      ? [{ atH: hours(readAt), pressureKpa: correctedKpa(found.shownKpa, gauge?.offsetKpa ?? 0), tempC: tireTempC }]
      : [];
  });
  return { by: 'hand', readings: read.sort((a, b) => a.atH - b.atH) };
}

function thinned(readings: readonly WatchedReading[]): WatchedReading[] {
  const out: WatchedReading[] = [];
  for (const reading of readings) {
    const last = out.at(-1);
    if (!last || reading.atH - last.atH >= TEST_EVERY_H * 0.9) out.push(reading);
  }
  return out;
}

/** How far a wheel moved over the last stretch, kPa. */
function movedKpa(readings: readonly WatchedReading[], nowH: number): number {
  const recent = readings
    .filter(({ atH }) => atH > nowH - OTHERS_OVER_H && atH <= nowH)
    .map(({ pressureKpa }) => pressureKpa);
  return recent.length < 2 ? 0 : Math.max(...recent) - Math.min(...recent);
}

/** A sensor takes so long to tell of a change, h. Assumption: the lag of monitors is minutes. */
const SETTLING_H = 3 / 60;

/** From when on a wheel has been left alone, h. */
const changedAtH = (wheel: RigWheel, airings: readonly AiringRow[]): number =>
  Math.max(
    Number.NEGATIVE_INFINITY,
    ...airings.flatMap(({ runs }) =>
      runs
        .filter((run) => sameWheel(run, wheel))
        .map(({ endedAt, startedAt }) => hours(endedAt ?? startedAt) + SETTLING_H),
    ),
  );

/** A rig that is watched: what was done on it, and what its plan has for each wheel. */
export interface WatchedRig extends Pick<RigNow, 'wheels' | 'known' | 'stepKpa'> {
  readonly rounds: readonly ReadingRoundRow[];
  readonly airings: readonly AiringRow[];
  readonly conditions: TireConditions;
  /** The plan's figures for a wheel, cold, as a gauge shows them; undefined without a plan. */
  readonly planned: (
    wheel: RigWheel,
  ) => { readonly startKpa: number; readonly highKpa: number; readonly floorKpa: number } | undefined;
}

/** Every wheel of a rig as it is watched, with what to do and why. */
export function watchRig(
  job: WatchedRig,
  packets: readonly MonitorPacket[],
  nowMs: number,
  offRoad: boolean,
): WatchedWheel[] {
  const { wheels, rounds, conditions, stepKpa, known, airings } = job;
  const nowH = nowMs / 3_600_000;
  const read = wheels.map((wheel) => ({ wheel, ...readingsOf(wheel, packets, rounds, nowMs) }));
  return read.map(({ wheel, readings, by }, index) => {
    const planned = job.planned(wheel);
    const setKpa = known(wheel)?.coldKpa ?? wheel.axle.roadKpa ?? planned?.startKpa ?? 0;
    const lowered = planned !== undefined && setKpa < (wheel.axle.roadKpa ?? Number.POSITIVE_INFINITY) - stepKpa / 2;
    const target: WatchedTarget = {
      // What it was set to rules: the plan's number off the road, else the road's.
      targetKpa: lowered ? Math.max(setKpa, planned.floorKpa) : (wheel.axle.roadKpa ?? setKpa),
      highKpa: lowered ? Math.max(planned.highKpa, setKpa) : (wheel.axle.roadKpa ?? setKpa),
      floorKpa: planned && lowered ? planned.floorKpa : Math.min(setKpa, wheel.axle.roadKpa ?? setKpa) * 0.8,
      maximumKpa: wheel.axle.maxKpa,
    };
    const leak = leakTest({
      // What was let out or put in is no leak: the test begins anew after it.
      readings: thinned(readings.filter(({ atH }) => atH <= nowH + 1 / 60 && atH > changedAtH(wheel, airings))),
      altitudeM: conditions.altitudeM,
      coldTempC: conditions.coldTempC,
      noiseKpa: NOISE_KPA[by],
    });
    const others = read.filter((_, other) => other !== index).map((other) => movedKpa(other.readings, nowH));
    return {
      wheel,
      readings,
      target,
      leak,
      watched: watchWheel({
        target,
        readings,
        nowH,
        coldTempC: conditions.coldTempC,
        altitudeM: conditions.altitudeM,
        stepKpa,
        leak,
        offRoad,
        expectedEveryH: by === 'monitor' ? EXPECTED_EVERY_H : null,
        othersMovedKpa: others.length > 0 ? Math.min(...others) : 0,
      }),
    };
  });
}
