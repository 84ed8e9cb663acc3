import { coldKpa, gaugeNowKpa } from '../atmosphere/gaugeNow';
import { psi } from '../units/units';
import { timeToFloor, type LeakTest, type TimeToFloor, type WatchedReading } from './leakTest';

/** What a wheel was set to, and how far it may go from there. Cold gauge pressures. */
export interface WatchedTarget {
  readonly targetKpa: number;
  readonly highKpa: number;
  readonly floorKpa: number;
  /** The sidewall's maximum; null where it was not read. */
  readonly maximumKpa: number | null;
}

/** Levels at which a monitor should cry out. Cold gauge pressures. */
export interface AlarmLevels {
  readonly lowKpa: number;
  readonly highKpa: number;
}

/** A tenth below what was set is worth an alarm, and a quarter above. Assumptions. */
const LOW_SHARE = 0.9;
const HIGH_SHARE = 1.25;

/**
 * Alarm levels that follow the pressure that was set: a tenth below it or at the floor, whichever is higher, but always a
 * gauge's step below the target, or it would never be silent.
 */
export function alarmLevels({ targetKpa, floorKpa, maximumKpa }: WatchedTarget, stepKpa: number): AlarmLevels {
  return {
    lowKpa: Math.min(targetKpa - stepKpa, Math.max(floorKpa, LOW_SHARE * targetKpa)),
    highKpa: Math.min(maximumKpa ?? Number.POSITIVE_INFINITY, HIGH_SHARE * targetKpa),
  };
}

/** A rise of more than this over cold says too low for load and speed, kPa. Common practice, no source: about 4 psi. */
export const RISE_LIMIT_KPA = psi(4);
/** Hotter than this a tire is let be, °C. Assumption. */
export const TOO_HOT_C = 85;
/** A fall like this between two readings is no leak but a burst: share of the pressure, within hours. Assumption. */
const BURST = { share: 0.3, hours: 3 / 60 };
/** With less than this left to the floor one stops here, h. Assumption. */
export const STOP_WITHIN_H = 0.5;
/** A sensor that says the very same for so long, while others move, is stuck, h. Assumption. */
const STUCK_H = 1 / 3;
/** What others must have moved by then, kPa. Assumption. */
const OTHERS_MOVED_KPA = 3;

export type Advice = 'stopNow' | 'slowDown' | 'pumpUp' | 'lowerAgain' | 'leaveIt' | 'readByHand';

/** Why, with its numbers. */
export type WatchReason =
  | { readonly code: 'burst'; readonly fromKpa: number; readonly toKpa: number }
  | { readonly code: 'belowFloor'; readonly coldKpa: number; readonly floorKpa: number }
  | { readonly code: 'belowSet'; readonly coldKpa: number; readonly targetKpa: number }
  | { readonly code: 'tooHot'; readonly tempC: number }
  | { readonly code: 'aboveMaximum'; readonly pressureKpa: number; readonly maximumKpa: number }
  | { readonly code: 'leak'; readonly lossKpaPerH: number; readonly floor: TimeToFloor }
  /** It falls, and nobody read how warm it is: cooling may be all of it. */
  | { readonly code: 'leakOrCooling'; readonly lossKpaPerH: number }
  | { readonly code: 'roseTooMuch'; readonly riseKpa: number }
  | { readonly code: 'aboveWindow'; readonly coldKpa: number; readonly highKpa: number }
  | { readonly code: 'warmUp'; readonly riseKpa: number; readonly coldKpa: number }
  | { readonly code: 'cooled'; readonly fallKpa: number; readonly coldKpa: number }
  | { readonly code: 'steady' }
  | { readonly code: 'silent'; readonly sinceH: number }
  | { readonly code: 'stuck'; readonly sinceH: number }
  | { readonly code: 'clockWrong'; readonly byH: number }
  | { readonly code: 'noReading' };

export interface WatchInput {
  readonly target: WatchedTarget;
  /** In order of time. */
  readonly readings: readonly WatchedReading[];
  readonly nowH: number;
  /** The air before driving, at which the target is meant, and the height. */
  readonly coldTempC: number;
  readonly altitudeM: number;
  readonly stepKpa: number;
  readonly leak: LeakTest;
  /** Off the road one may lower again; on it nothing is let out of a warm tire. */
  readonly offRoad: boolean;
  /** Longest silence of a sensor that is well, h; null for readings by hand. */
  readonly expectedEveryH: number | null;
  /** How far the other wheels moved over the last third of an hour, kPa: the least of them. */
  readonly othersMovedKpa: number;
}

export interface Watched {
  readonly advice: Advice;
  readonly reason: WatchReason;
  /** What it would read cold, kPa; null without a reading. */
  readonly coldKpa: number | null;
  /** How far the gauge stands above cold by warmth alone, kPa. */
  readonly byWarmthKpa: number;
}

/**
 * What to do about one wheel, and why: stop now / slow down / pump up / lower again / leave it, or look for yourself where
 * the sensor can't be trusted. What can hurt comes first; warmth is taken out before anything is called a loss.
 */
export function watchWheel(input: WatchInput): Watched {
  const { target, readings, nowH, coldTempC, altitudeM, stepKpa, leak, offRoad } = input;
  const last = readings.at(-1);
  if (!last) return { advice: 'readByHand', reason: { code: 'noReading' }, coldKpa: null, byWarmthKpa: 0 };
  const conditions = { coldTempC, tireTempC: last.tempC ?? coldTempC, altitudeM };
  const cold = coldKpa(last.pressureKpa, conditions);
  const byWarmthKpa = last.pressureKpa - cold;
  const say = (advice: Advice, reason: WatchReason): Watched => ({ advice, reason, coldKpa: cold, byWarmthKpa });

  const before = readings.at(-2);
  const burst = readings.findIndex((reading, index) => {
    const previous = readings[index - 1];
    return (
      previous !== undefined &&
      reading.atH > nowH - BURST.hours * 4 &&
      reading.atH - previous.atH <= BURST.hours &&
      reading.pressureKpa < previous.pressureKpa * (1 - BURST.share)
    );
  });
  if (burst > 0) {
    return say('stopNow', { code: 'burst', fromKpa: readings[burst - 1]!.pressureKpa, toKpa: last.pressureKpa });
  }
  if (last.atH > nowH + CLOCK_H || (before && last.atH < before.atH)) {
    return say('readByHand', { code: 'clockWrong', byH: last.atH - nowH });
  }
  if (input.expectedEveryH !== null && nowH - last.atH > SILENT_TIMES * input.expectedEveryH) {
    return say('readByHand', { code: 'silent', sinceH: nowH - last.atH });
  }
  const stuck = input.expectedEveryH === null ? 0 : sameFor(readings);
  if (stuck > STUCK_H && input.othersMovedKpa > OTHERS_MOVED_KPA) {
    return say('readByHand', { code: 'stuck', sinceH: stuck });
  }
  if (cold < target.floorKpa - stepKpa / 2) {
    return say('stopNow', { code: 'belowFloor', coldKpa: cold, floorKpa: target.floorKpa });
  }
  if (last.tempC !== null && last.tempC > TOO_HOT_C) return say('stopNow', { code: 'tooHot', tempC: last.tempC });
  if (leak.verdict === 'leak') {
    const floor = timeToFloor(leak, target.floorKpa);
    const advice = floor.soonestHours < STOP_WITHIN_H ? 'stopNow' : 'pumpUp';
    return say(advice, { code: 'leak', lossKpaPerH: leak.lossKpaPerH, floor });
  }
  if (leak.verdict === 'cannotTell') return say('readByHand', { code: 'leakOrCooling', lossKpaPerH: leak.lossKpaPerH });
  if (target.maximumKpa !== null && cold > target.maximumKpa) {
    return say('lowerAgain', { code: 'aboveMaximum', pressureKpa: cold, maximumKpa: target.maximumKpa });
  }
  const riseKpa = last.pressureKpa - target.targetKpa;
  const warm = byWarmthKpa > stepKpa / 2;
  if (warm && byWarmthKpa > RISE_LIMIT_KPA) return say('slowDown', { code: 'roseTooMuch', riseKpa: byWarmthKpa });
  if (offRoad && cold > target.highKpa + stepKpa) {
    return say('lowerAgain', { code: 'aboveWindow', coldKpa: cold, highKpa: target.highKpa });
  }
  if (cold < target.targetKpa - stepKpa) {
    return say('pumpUp', { code: 'belowSet', coldKpa: cold, targetKpa: target.targetKpa });
  }
  if (warm) return say('leaveIt', { code: 'warmUp', riseKpa, coldKpa: cold });
  if (byWarmthKpa < -stepKpa / 2) return say('leaveIt', { code: 'cooled', fallKpa: -riseKpa, coldKpa: cold });
  return say('leaveIt', { code: 'steady' });
}

/** A sensor's clock may be off by this, h; so many missed packets are silence. Assumptions. */
const CLOCK_H = 2 / 60;
const SILENT_TIMES = 4;

/** For how long the last readings have been the very same, h. */
function sameFor(readings: readonly WatchedReading[]): number {
  const last = readings.at(-1)!;
  let index = readings.length - 1;
  while (
    index > 0 &&
    readings[index - 1]!.pressureKpa === last.pressureKpa &&
    readings[index - 1]!.tempC === last.tempC
  ) {
    index -= 1;
  }
  return last.atH - readings[index]!.atH;
}

/** What a rise after an hour on the road says of the cold figure. */
export interface RiseVerdict {
  readonly verdict: 'tooLow' | 'right' | 'firm';
  readonly riseKpa: number;
  /** How much of it a colder or warmer day makes, kPa. */
  readonly byDayKpa: number;
}

/** Much less than 4 psi says firm enough: less than half of it. Assumption on common practice. */
const FIRM_KPA = RISE_LIMIT_KPA / 2;

/**
 * Whether the cold figure was right, by how far the gauge rose in an hour on the road. Common practice, no source: more
 * than about 4 psi says too low for load and speed, much less says firm enough. What the day itself warmed is taken out.
 *
 * @param coldShownKpa on the gauge before the drive, at `startTempC`
 * @param airTempC outside now
 */
export function riseVerdict(
  coldShownKpa: number,
  hotShownKpa: number,
  startTempC: number,
  airTempC: number,
  altitudeM: number,
): RiseVerdict {
  const sameDay = gaugeNowKpa(coldShownKpa, { coldTempC: startTempC, tireTempC: airTempC, altitudeM });
  const riseKpa = hotShownKpa - sameDay;
  return {
    verdict: riseKpa > RISE_LIMIT_KPA ? 'tooLow' : riseKpa < FIRM_KPA ? 'firm' : 'right',
    riseKpa,
    byDayKpa: sameDay - coldShownKpa,
  };
}
