import { randomLcg, randomNormal } from 'd3-random';
import { Matrix, solve } from 'ml-matrix';

import { leakTest, timeToFloor, type WatchedReading } from '../src/air/leakTest';
import { gaugeNowKpa } from '../src/atmosphere/gaugeNow';
import { psi } from '../src/units/units';

/*
 * Invented days with a truth that is known: a tire that warms in drives and cools in stops, on a day that warms and
 * cools, read every minute by a monitor whose sensor lags and whose readings are coarse and noisy. The test is asked every
 * ten minutes, as a person on the way would be told.
 */
interface Day {
  readonly seed: number;
  readonly lossKpaPerH: number;
  readonly leakFromH: number;
  readonly hours: number;
}

const NOISE_KPA = 1;

function dayOf({ seed, lossKpaPerH, leakFromH, hours }: Day): WatchedReading[] {
  const random = randomLcg(seed / 4096);
  const normal = randomNormal.source(random)(0, 1);
  const lagH = (0.5 + 4 * random()) / 60;
  const warmH = (10 + 20 * random()) / 60;
  const setKpa = psi(12 + 30 * random());
  const riseC = 5 + 25 * random();
  const dayC = 4 + 8 * random();
  const stopEveryH = 0.5 + 1.5 * random();
  let [airC, sensorC] = [15, 15];
  const readings: WatchedReading[] = [];
  const step = 1 / 60;
  for (let atH = 0; atH <= hours; atH += step) {
    const outC = 15 + dayC * Math.sin((Math.PI * atH) / 10);
    const driving = Math.floor(atH / stopEveryH) % 2 === 0;
    airC += ((driving ? outC + riseC : outC) - airC) * (1 - Math.exp(-step / warmH));
    sensorC += (airC - sensorC) * (1 - Math.exp(-step / lagH));
    const cold = setKpa - lossKpaPerH * Math.max(0, atH - leakFromH);
    const shown = gaugeNowKpa(cold, { coldTempC: 15, tireTempC: airC, altitudeM: 0 }) + 0.7 * normal();
    // Told in steps: a quarter of a psi, and whole degrees.
    const quantum = psi(0.25);
    readings.push({ atH, pressureKpa: Math.round(shown / quantum) * quantum, tempC: Math.round(sensorC) });
  }
  return readings;
}

/** When a day is first called a leak, h; undefined where it never is. */
function alarmH(day: Day): number | undefined {
  const readings = dayOf(day);
  for (let index = 10; index < readings.length; index += 10) {
    const test = leakTest({
      readings: readings.slice(Math.max(0, index - 180), index),
      altitudeM: 0,
      coldTempC: 15,
      noiseKpa: NOISE_KPA,
    });
    if (test.verdict === 'leak') return readings[index]!.atH;
  }
  return undefined;
}

describe('the leak test on seeded days', () => {
  it('gives a false alarm on less than 1 of 100 sound days', () => {
    const DAYS = 1000;
    let alarms = 0;
    for (let seed = 1; seed <= DAYS; seed += 1) {
      if (alarmH({ seed, lossKpaPerH: 0, leakFromH: 0, hours: 10 }) !== undefined) alarms += 1;
    }
    expect(alarms / DAYS).toBeLessThan(0.01);
  });

  it('misses less than 5 of 100 leaks of half a psi an hour within three hours', () => {
    const DAYS = 300;
    let missed = 0;
    for (let seed = 1; seed <= DAYS; seed += 1) {
      const leakFromH = (seed % 5) / 2;
      const found = alarmH({ seed, lossKpaPerH: psi(0.5), leakFromH, hours: leakFromH + 3 });
      if (found === undefined || found < leakFromH) missed += 1;
    }
    expect(missed / DAYS).toBeLessThan(0.05);
  });

  it('tells the rate, and covers the true time to the floor', () => {
    let covered = 0;
    const DAYS = 100;
    for (let seed = 1; seed <= DAYS; seed += 1) {
      const readings = dayOf({ seed, lossKpaPerH: psi(1), leakFromH: 0, hours: 3 });
      const test = leakTest({ readings, altitudeM: 0, coldTempC: 15, noiseKpa: NOISE_KPA });
      expect(test.lossKpaPerH / psi(1)).toBeGreaterThan(0.7);
      expect(test.lossKpaPerH / psi(1)).toBeLessThan(1.3);
      const floorKpa = test.coldNowKpa - psi(2);
      if (timeToFloor(test, floorKpa).soonestHours <= 2) covered += 1;
    }
    expect(covered / DAYS).toBeGreaterThan(0.9);
  });
});

it('fits the same line as a matrix library', () => {
  const readings = dayOf({ seed: 7, lossKpaPerH: psi(0.5), leakFromH: 0, hours: 2 }).map((reading) => ({
    ...reading,
    tempC: 15,
  }));
  const { lossKpaPerH, coldNowKpa } = leakTest({ readings, altitudeM: 0, coldTempC: 15, noiseKpa: NOISE_KPA });
  const last = readings.at(-1)!.atH;
  const rows = new Matrix(readings.map(({ atH }) => [1, atH - last]));
  const [[level], [slope]] = solve(
    rows,
    Matrix.columnVector(readings.map(({ pressureKpa }) => pressureKpa)),
    true,
  ).to2DArray() as [[number], [number]];
  expect(coldNowKpa).toBeCloseTo(level, 9);
  expect(lossKpaPerH).toBeCloseTo(-slope, 9);
});

describe('an evening without a thermometer', () => {
  const evening = (lossKpaPerH: number, withTemps: boolean): WatchedReading[] =>
    Array.from({ length: 60 }, (_, index) => {
      const atH = index / 20;
      const tempC = 30 - 6 * atH;
      const pressureKpa = gaugeNowKpa(200 - lossKpaPerH * atH, { coldTempC: 15, tireTempC: tempC, altitudeM: 0 });
      return { atH, pressureKpa, tempC: withTemps ? tempC : null };
    });
  const verdict = (readings: readonly WatchedReading[]): string =>
    leakTest({ readings, altitudeM: 0, coldTempC: 15, noiseKpa: NOISE_KPA }).verdict;

  it('does not take cooling for a leak: it says that it can’t tell', () => {
    expect(verdict(evening(0, false))).toBe('cannotTell');
    expect(verdict(evening(0, true))).toBe('noLeak');
  });

  it('tells a leak that no cooling explains, with or without', () => {
    expect(verdict(evening(25, false))).toBe('leak');
    expect(verdict(evening(6, true))).toBe('leak');
  });
});
