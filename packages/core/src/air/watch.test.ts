import { psi } from '../units/units';
import type { LeakTest, WatchedReading } from './leakTest';
import { alarmLevels, riseVerdict, watchWheel, type WatchInput } from './watch';

const sound: LeakTest = {
  verdict: 'noLeak',
  lossKpaPerH: 0,
  lossErrorKpaPerH: 1,
  coldNowKpa: 110,
  z: 0,
  sensorLagH: 0,
  readings: 60,
};
const target = { targetKpa: 110, highKpa: 124, floorKpa: 83, maximumKpa: 350 };
const reading = (pressureKpa: number, tempC: number | null = 20, atH = 1): WatchedReading => ({
  atH,
  pressureKpa,
  tempC,
});
const watch = (readings: WatchedReading[], change: Partial<WatchInput> = {}) =>
  watchWheel({
    target,
    readings,
    nowH: 1,
    coldTempC: 20,
    altitudeM: 0,
    stepKpa: 7,
    leak: sound,
    offRoad: true,
    expectedEveryH: 1 / 60,
    othersMovedKpa: 0,
    ...change,
  });

describe('watchWheel', () => {
  const leak: LeakTest = { ...sound, verdict: 'leak', lossKpaPerH: 3.5, lossErrorKpaPerH: 0.3, z: 11 };
  it.each([
    ['as it was set', watch([reading(110)]), 'leaveIt', 'steady'],
    ['warmed, and that is all', watch([reading(125, 38)]), 'leaveIt', 'warmUp'],
    ['cooled', watch([reading(100, 5)]), 'leaveIt', 'cooled'],
    ['warmed past what a sound tire does', watch([reading(148, 70)]), 'slowDown', 'roseTooMuch'],
    ['above the window cold', watch([reading(140)]), 'lowerAgain', 'aboveWindow'],
    ['the same on the road', watch([reading(140)], { offRoad: false }), 'leaveIt', 'steady'],
    ['below the floor', watch([reading(70)]), 'stopNow', 'belowFloor'],
    ['below the floor once it cools', watch([reading(85, 50)]), 'stopNow', 'belowFloor'],
    ['too hot', watch([reading(140, 92)]), 'stopNow', 'tooHot'],
    [
      'a fall that cooling may explain',
      watch([reading(108, null)], { leak: { ...leak, verdict: 'cannotTell' } }),
      'readByHand',
      'leakOrCooling',
    ],
    ['a leak with hours to go', watch([reading(110)], { leak }), 'pumpUp', 'leak'],
    ['a leak that is nearly there', watch([reading(110)], { leak: { ...leak, coldNowKpa: 84 } }), 'stopNow', 'leak'],
    ['a burst', watch([reading(110, 20, 0.99), reading(40, 20, 1)]), 'stopNow', 'burst'],
    ['nothing heard', watch([reading(110, 20, 0.5)]), 'readByHand', 'silent'],
    ['by hand, half an hour ago', watch([reading(110, 20, 0.5)], { expectedEveryH: null }), 'leaveIt', 'steady'],
    ['a sensor’s clock ahead', watch([reading(110, 20, 2)]), 'readByHand', 'clockWrong'],
    ['no reading', watch([]), 'readByHand', 'noReading'],
    ['softer than it was set', watch([reading(98)]), 'pumpUp', 'belowSet'],
    ['set while it was warm', watch([reading(110, 38)]), 'pumpUp', 'belowSet'],
    ['past the sidewall’s maximum', watch([reading(360)]), 'lowerAgain', 'aboveMaximum'],
  ] as const)('%s: %s', (_, { advice, reason }, wanted, code) => {
    expect(reason.code).toBe(code);
    expect(advice).toBe(wanted);
  });

  it('calls a sensor stuck when the others moved and it did not', () => {
    const same = Array.from({ length: 31 }, (_, index) => reading(110, 20, 0.5 + index / 60));
    expect(watch(same, { othersMovedKpa: 8 }).reason.code).toBe('stuck');
    expect(watch(same).reason.code).toBe('steady');
  });
});

describe('alarmLevels', () => {
  it('follow the target, and keep above the floor and below the target', () => {
    expect(alarmLevels(target, 7)).toEqual({ lowKpa: 99, highKpa: 137.5 });
    expect(alarmLevels({ ...target, floorKpa: 108 }, 7).lowKpa).toBe(103);
    expect(alarmLevels({ ...target, maximumKpa: 130 }, 7).highKpa).toBe(130);
  });
});

describe('riseVerdict', () => {
  it.each([
    ['about 4 psi and more', 36, 41, 20, 20, 'tooLow'],
    ['much less', 36, 37, 20, 20, 'firm'],
    ['between', 36, 39, 20, 20, 'right'],
    ['a day that warmed by 20 °C made most of it', 36, 41, 10, 30, 'firm'],
  ] as const)('%s', (_, cold, hot, start, now, verdict) =>
    expect(riseVerdict(psi(cold), psi(hot), start, now, 0).verdict).toBe(verdict),
  );
});
