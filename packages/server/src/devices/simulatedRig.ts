import type { DeviceFault, MonitorPacket } from '@dunlinmoss/contract';
import {
  airPressureKpaAbs,
  coldKpa as coldOf,
  drainTau,
  gaugeNowKpa,
  pressureAfterTau,
  type AxlePosition,
  type WheelCode,
} from '@dunlinmoss/core';

/*
 * A rig whose tires are made up: what a monitor, a gauge, a compressor and a central-inflation controller on it would say.
 * All of it follows from what lies in the tables and the time, so that it needs no clockwork of its own, and two servers
 * say the same.
 */

export interface SimulatedWheel {
  readonly position: AxlePosition;
  readonly wheel: WheelCode;
  readonly volumeL: number;
  /** Cold, at the day's own warmth, when it was last set. */
  readonly coldKpa: number;
  readonly setAtMs: number;
  readonly flow: 'none' | 'out' | 'in';
  /** Out: L/s of its own air while choked. In: L/min of the air outside. */
  readonly flowRate: number;
  /** Where the flow stops by itself, cold; null where it does not. */
  readonly stopAtKpa: number | null;
}

export interface SimulatedRig {
  readonly seed: number;
  readonly ambientC: number;
  readonly altitudeM: number;
  readonly driving: boolean;
  /** How warm the tires were when they last began to warm or to cool. */
  readonly warmFromC: number;
  readonly warmAtMs: number;
  readonly sinceMs: number;
  readonly wheels: readonly SimulatedWheel[];
  readonly faults: readonly DeviceFault[];
}

/** What driving adds to a tire in the end, °C, and how fast it comes and goes, ms. Invented. */
const DRIVING_ADDS_C = 18;
const WARMING_MS = 15 * 60_000;
/** How far a sensor on the rim lags behind the air. Invented. */
const SENSOR_LAG_MS = 90_000;
/** A slow leak: half a psi an hour. A burst: gone in seconds. Invented. */
const LEAK_KPA_PER_H = 3.45;
const BURST_MS = 4_000;
/** A wrong clock is an hour ahead. Invented. */
const CLOCK_OFF_MS = 3_600_000;
/** Noise of a sensor, kPa, and the step it tells in: a quarter of a psi. Invented. */
const NOISE_KPA = 0.5;
const STEP_KPA = 1.7236893;

/** How warm the air in the tires is. */
export function tireTempC(rig: SimulatedRig, atMs: number): number {
  const goesTo = rig.ambientC + (rig.driving ? DRIVING_ADDS_C : 0);
  const past = Math.max(0, atMs - rig.warmAtMs);
  return goesTo + (rig.warmFromC - goesTo) * Math.exp(-past / WARMING_MS);
}

const faultOf = (rig: SimulatedRig, { position, wheel }: SimulatedWheel, kind: DeviceFault['kind']): number | null => {
  const found = rig.faults.find((each) => each.position === position && each.wheel === wheel && each.kind === kind);
  return found ? Date.parse(found.since) : null;
};

/** What a wheel has, cold, kPa. */
export function coldNowKpa(rig: SimulatedRig, wheel: SimulatedWheel, atMs: number): number {
  const outside = airPressureKpaAbs(rig.altitudeM);
  const seconds = Math.max(0, atMs - wheel.setAtMs) / 1000;
  let cold = wheel.coldKpa;
  if (wheel.flow === 'out') {
    const stop = wheel.stopAtKpa ?? 0;
    const tau = (seconds * wheel.flowRate) / wheel.volumeL;
    cold = tau >= drainTau(cold, stop, outside) ? Math.min(cold, stop) : pressureAfterTau(cold, tau, outside);
  } else if (wheel.flow === 'in') {
    const risen = cold + (seconds * wheel.flowRate * outside) / 60 / wheel.volumeL;
    cold = wheel.stopAtKpa === null ? risen : Math.max(cold, Math.min(risen, wheel.stopAtKpa));
  }
  const leakFrom = faultOf(rig, wheel, 'slowLeak');
  if (leakFrom !== null) {
    cold -= (LEAK_KPA_PER_H * Math.max(0, atMs - Math.max(leakFrom, wheel.setAtMs))) / 3_600_000;
  }
  const burstAt = faultOf(rig, wheel, 'burst');
  // Air that was put in after a burst is gone as well.
  if (burstAt !== null && atMs > burstAt) cold *= Math.exp(-(atMs - Math.max(burstAt, wheel.setAtMs)) / BURST_MS);
  return Math.max(0, cold);
}

/** What a gauge on the valve shows, kPa. */
export const shownKpa = (rig: SimulatedRig, wheel: SimulatedWheel, atMs: number): number =>
  Math.max(
    0,
    gaugeNowKpa(coldNowKpa(rig, wheel, atMs), {
      coldTempC: rig.ambientC,
      tireTempC: tireTempC(rig, atMs),
      altitudeM: rig.altitudeM,
    }),
  );

/** A wheel as it is at a moment, to go on from there in another way. */
export const wheelAt = (rig: SimulatedRig, wheel: SimulatedWheel, atMs: number): SimulatedWheel => ({
  ...wheel,
  coldKpa: coldNowKpa(rig, wheel, atMs),
  setAtMs: atMs,
});

/** A cold pressure from one that was shown at a moment. */
export const coldFromShownKpa = (rig: SimulatedRig, kpa: number, atMs: number): number =>
  coldOf(kpa, { coldTempC: rig.ambientC, tireTempC: tireTempC(rig, atMs), altitudeM: rig.altitudeM });

/** A number from −1 to 1 that goes by its inputs alone: a small integer hash (Wang, as commonly printed). */
function noise(...parts: readonly number[]): number {
  let hash = 0x9e3779b9;
  for (const part of parts) {
    hash = Math.imul((hash ^ part) >>> 0, 0x85ebca6b) >>> 0;
    hash = Math.imul((hash ^ (hash >>> 13)) >>> 0, 0xc2b2ae35) >>> 0;
    hash = (hash ^ (hash >>> 16)) >>> 0;
  }
  return hash / 2 ** 31 - 1;
}

/**
 * The packet that a wheel's monitor sends in a slot of time, or null where none goes out.
 *
 * @param slotMs when it is sensed
 */
export function packetOf(rig: SimulatedRig, index: number, slotMs: number): MonitorPacket | null {
  const wheel = rig.wheels[index]!;
  const { position } = wheel;
  if (slotMs < rig.sinceMs) return null;
  const silentFrom = faultOf(rig, wheel, 'silent');
  if (silentFrom !== null && slotMs >= silentFrom) return null;
  const stuckFrom = faultOf(rig, wheel, 'stuck');
  const seenMs = stuckFrom === null ? slotMs : Math.min(slotMs, stuckFrom);
  const clockFrom = faultOf(rig, wheel, 'wrongClock');
  const slot = Math.round(seenMs / 1000);
  // Two draws make a noise that is small more often than large.
  const off = NOISE_KPA * (noise(rig.seed, index, slot) + noise(rig.seed, index, slot, 1));
  const pressureKpa = Math.max(0, Math.round((shownKpa(rig, wheel, seenMs) + off) / STEP_KPA) * STEP_KPA);
  return {
    position,
    wheel: wheel.wheel,
    sequence: Math.round(slotMs / 1000),
    sensedAt: new Date(slotMs + (clockFrom !== null && slotMs >= clockFrom ? CLOCK_OFF_MS : 0)).toISOString(),
    pressureKpa: Number(pressureKpa.toFixed(3)),
    tempC: Math.round(tireTempC(rig, seenMs - SENSOR_LAG_MS)),
  };
}

/** Every packet between two times, a slot every so many ms. */
export function packetsBetween(rig: SimulatedRig, fromMs: number, toMs: number, everyMs: number): MonitorPacket[] {
  const packets: MonitorPacket[] = [];
  for (let slot = Math.ceil(fromMs / everyMs) * everyMs; slot <= toMs; slot += everyMs) {
    for (let index = 0; index < rig.wheels.length; index += 1) {
      const packet = packetOf(rig, index, slot);
      if (packet) packets.push(packet);
    }
  }
  return packets;
}
