import type { AiringRow, OutingRow, ReadingRoundRow } from '@dunlinmoss/contract';
import { psi } from '@dunlinmoss/core';
import fc from 'fast-check';

import { sampleAxle, sampleRig } from '../testing/sampleRig';
import { inTire, lastSetKpa, type AirHistory } from './inTire';
import { roadGaps } from './roadGaps';
import { rigWheels } from './wheels';

const place = { position: 'front' as const, wheel: 'left' as const };
const rig = sampleRig();
const none: AirHistory = { rig, airings: [], rounds: [], outings: [] };
const at = (minute: number): string => new Date(Date.parse('2026-11-20T06:00:00Z') + minute * 60_000).toISOString();

const airing = (minute: number, change: object = {}, run: object = {}): AiringRow =>
  ({
    way: 'out',
    gauge: null,
    coldTempC: 20,
    tireTempC: 20,
    altitudeM: 0,
    justDriven: false,
    wheels: [{ ...place, coldKpa: psi(16), targetKpa: psi(16) }],
    runs: [{ ...place, startedAt: at(minute), endedAt: at(minute + 1), beforeKpa: psi(36), afterKpa: psi(16), ...run }],
    ...change,
  }) as unknown as AiringRow;
const round = (minute: number, shownPsi: number, change: object = {}): ReadingRoundRow =>
  ({
    gauge: null,
    airTempC: 20,
    tireTempC: null,
    altitudeM: 0,
    justDriven: false,
    readAt: at(minute),
    wheels: [{ ...place, shownKpa: psi(shownPsi) }],
    ...change,
  }) as unknown as ReadingRoundRow;
const outing = (minute: number, setPsi: number, change: object = {}): OutingRow =>
  ({
    startedAt: at(minute),
    pressuresAt: null,
    state: 'lowered',
    pressures: [{ position: 'front', pressureKpa: psi(setPsi) }],
    ...change,
  }) as unknown as OutingRow;
const now = (history: Partial<AirHistory>) => inTire({ ...none, ...history }, place);

describe('inTire', () => {
  it('is what was read last, corrected and cold', () => {
    const offset = { gauge: { gaugeId: 'g', offsetKpa: 4 } };
    expect(now({ airings: [airing(60, offset)], outings: [outing(0, 15)] })).toMatchObject({
      known: 'read',
      from: 'airing',
      coldKpa: expect.closeTo(psi(16) - 4, 9),
      low: true,
    });
    const warm = now({ airings: [airing(60)], rounds: [round(120, 19, { airTempC: 10, tireTempC: 38 })] })!;
    expect(warm).toMatchObject({ known: 'read', from: 'reading' });
    expect(warm.coldKpa).toBeCloseTo(((psi(19) + 101.325) * 283.15) / 311.15 - 101.325, 6);
  });

  it('is low from the moment a valve was opened, whatever was expected to be in it', () => {
    const open = airing(60, {}, { endedAt: null, afterKpa: null });
    expect(now({ airings: [open] })).toMatchObject({ known: 'letOut', coldKpa: psi(16), low: true, at: at(60) });
    expect(now({ airings: [airing(60, {}, { afterKpa: null })] })).toMatchObject({ known: 'letOut', low: true });
  });

  it('stays low after an outing was closed, a warm reading, air put in that nobody read, and anything said', () => {
    const let0ut = { airings: [airing(60)] };
    const low = (history: Partial<AirHistory>) => expect(now({ ...let0ut, ...history })!.low).toBe(true);
    low({ outings: [outing(0, 16, { state: 'closed' })] });
    low({ rounds: [round(120, 40, { justDriven: true })] });
    low({ airings: [airing(60), airing(120, { way: 'in' }, { beforeKpa: psi(36), afterKpa: null })] });
    low({ outings: [outing(120, 36)] });
    // Read at road pressure, cold, it is low no more; and low again below it.
    expect(now({ ...let0ut, rounds: [round(120, 36)] })).toMatchObject({ known: 'read', low: false });
    expect(now({ ...let0ut, rounds: [round(120, 35.6)] })!.low).toBe(false);
    low({ rounds: [round(120, 35)] });
  });

  it('takes a warm reading for less than it shows', () => {
    const warm = now({ rounds: [round(60, 40, { justDriven: true })] })!;
    expect(warm.known).toBe('readWarm');
    expect(warm.coldKpa / psi(1)).toBeCloseTo(35.7, 1);
    // With a thermometer it is a reading like any other.
    expect(now({ rounds: [round(60, 40, { justDriven: true, tireTempC: 45 })] })!.known).toBe('read');
  });

  it('takes what an airing read just driven for warm: pumped up like that it stays low until it is read cold', () => {
    const warm = airing(120, { way: 'in', justDriven: true }, { beforeKpa: psi(16), afterKpa: psi(36) });
    const history = { airings: [airing(60), warm] };
    expect(now(history)).toMatchObject({ known: 'readWarm', low: true });
    expect(now(history)!.coldKpa / psi(1)).toBeCloseTo(32, 0);
    expect(now({ ...history, rounds: [round(240, 36)] })).toMatchObject({ known: 'read', low: false });
  });

  it('has what was set with what was read of the same airing, the reading ruling', () => {
    expect(now({ airings: [airing(60)], outings: [outing(0, 17, { pressuresAt: at(60) })] })).toMatchObject({
      known: 'read',
      coldKpa: expect.closeTo(psi(16), 9),
    });
    expect(now({ airings: [airing(60)], outings: [outing(0, 14, { pressuresAt: at(90) })] })).toMatchObject({
      known: 'set',
      coldKpa: psi(14),
      at: at(90),
    });
  });

  it('falls back on what the rig has, on the road, and on nothing', () => {
    const present = sampleRig({
      axles: [sampleAxle('front', { present: { rawKpa: 210, gaugeId: null, offsetKpa: 10 } }), sampleAxle('rear')],
    });
    expect(now({ rig: present })).toMatchObject({ from: 'rig', known: 'read', at: null, coldKpa: 200, low: true });
    expect(now({})).toMatchObject({ known: 'assumed', coldKpa: psi(36), low: false });
    const bare = sampleRig({ axles: [sampleAxle('front', { roadKpa: null }), sampleAxle('rear')] });
    expect(now({ rig: bare })).toBeUndefined();
  });
});

/** Anything that may happen to a rig's air, in any order, with the wheels it happens to. */
const wheels = rigWheels(rig);
const anyWheel = fc.constantFrom(...wheels.map(({ position, wheel }) => ({ position, wheel })));
const minute = fc.integer({ min: 0, max: 2000 });
const kpa = fc.double({ min: psi(5), max: psi(60), noNaN: true });
const anyAiring = fc
  .record({
    wheel: anyWheel,
    minute,
    kpa,
    way: fc.constantFrom('out', 'in'),
    read: fc.boolean(),
    open: fc.boolean(),
    warm: fc.boolean(),
  })
  .map((made) => ({
    of: 'airing' as const,
    made,
    row: airing(
      made.minute,
      { way: made.way, justDriven: made.warm, wheels: [{ ...made.wheel, coldKpa: psi(16), targetKpa: psi(16) }] },
      { ...made.wheel, afterKpa: made.read ? made.kpa : null, ...(made.open && { endedAt: null }) },
    ),
  }));
const anyRound = fc.record({ wheel: anyWheel, minute, kpa, justDriven: fc.boolean() }).map((made) => ({
  of: 'round' as const,
  made,
  row: round(made.minute, 0, { justDriven: made.justDriven, wheels: [{ ...made.wheel, shownKpa: made.kpa }] }),
}));
const anyOuting = fc
  .record({ minute, kpa, position: fc.constantFrom('front', 'rear'), state: fc.constantFrom('lowered', 'closed') })
  .map((made) => ({
    of: 'outing' as const,
    made,
    row: outing(made.minute, 0, {
      state: made.state,
      pressures: [{ position: made.position, pressureKpa: made.kpa }],
    }),
  }));

describe('roadGaps', () => {
  it('is ready only where a cold reading at road pressure came after all else that was done, in any order', () => {
    fc.assert(
      fc.property(fc.array(fc.oneof(anyAiring, anyRound, anyOuting), { maxLength: 14 }), (events) => {
        const history: AirHistory = {
          rig,
          airings: events.flatMap((each) => (each.of === 'airing' ? [each.row] : [])),
          rounds: events.flatMap((each) => (each.of === 'round' ? [each.row] : [])),
          outings: events.flatMap((each) => (each.of === 'outing' ? [each.row] : [])),
        };
        const { ready, gaps } = roadGaps(
          {
            rig,
            wheels,
            known: (wheel) => inTire(history, wheel),
            stepKpa: psi(1),
            tests: [],
            loadCaseId: null,
          },
          Date.parse(at(3000)),
        );
        for (const wheel of wheels) {
          const roadKpa = wheel.axle.roadKpa!;
          const isOf = (each: { position: string; wheel: string }) =>
            each.position === wheel.position && each.wheel === wheel.wheel;
          // Said anew from the events themselves: what lowered it, and what a cold gauge showed.
          const lowered = events.flatMap((each) =>
            each.of === 'airing'
              ? each.made.way === 'out' && !each.made.read && isOf(each.made.wheel)
                ? [each.made.minute]
                : []
              : each.of === 'outing' && each.made.position === wheel.position && each.made.kpa < roadKpa - 3.45
                ? [each.made.minute]
                : [],
          );
          const shown = events.flatMap((each) => {
            if (each.of === 'airing' && each.made.read && !each.made.warm && isOf(each.made.wheel)) {
              return [{ minute: each.made.minute + (each.made.open ? 0 : 1), kpa: each.made.kpa }];
            }
            return each.of === 'round' && !each.made.justDriven && isOf(each.made.wheel)
              ? [{ minute: each.made.minute, kpa: each.made.kpa }]
              : [];
          });
          const isUp = shown.some(
            (reading) => reading.kpa >= roadKpa - 3.45 && lowered.every((minuteLow) => minuteLow <= reading.minute),
          );
          if (ready) expect(isUp).toBe(true);
          // A wheel that was let down and read by nobody since is never at road pressure.
          if (lowered.length > 0 && !shown.some((reading) => reading.minute >= Math.max(...lowered))) {
            expect(gaps.some(isOf)).toBe(true);
          }
        }
      }),
      { seed: 20261128, numRuns: 600 },
    );
  });

  it('asks for every wheel that nobody read, however sure it seems', () => {
    const { ready, unread, gaps } = roadGaps(
      {
        rig,
        wheels,
        known: (wheel) => inTire(none, wheel),
        stepKpa: psi(1),
        tests: [],
        loadCaseId: null,
      },
      Date.parse(at(0)),
    );
    expect([ready, unread.length, gaps.length]).toEqual([false, 4, 0]);
  });

  it('asks again for a wheel that was read longer ago than a tire holds its air', () => {
    const rounds = [
      round(0, 0, {
        wheels: wheels.map(({ position, wheel, axle }) => ({ position, wheel, shownKpa: axle.roadKpa! })),
      }),
    ];
    const history = { ...none, rounds };
    const readyOn = (day: number): boolean =>
      roadGaps(
        { rig, wheels, known: (wheel) => inTire(history, wheel), stepKpa: psi(1), tests: [], loadCaseId: null },
        Date.parse(at(day * 1440)),
      ).ready;
    expect([readyOn(0), readyOn(27), readyOn(29)]).toEqual([true, true, false]);
  });
});

describe('what a wheel was last set to', () => {
  const set = (history: Partial<AirHistory>): number => lastSetKpa({ ...none, ...history }, place)! / psi(1);

  it('is what it was let out to, with an outing or without one, and no reading since changes that', () => {
    expect(set({ airings: [airing(0)], rounds: [round(30, 12)] })).toBeCloseTo(16, 1);
    expect(set({ outings: [outing(0, 18)], rounds: [round(30, 12)] })).toBeCloseTo(18, 1);
  });

  it('is its road pressure where nothing was ever set, and again once air was put back', () => {
    expect(set({ rounds: [round(0, 30)] })).toBeCloseTo(36, 1);
    const back = airing(60, { way: 'in' }, { afterKpa: psi(36) });
    expect(set({ airings: [airing(0), back] })).toBeCloseTo(36, 1);
  });
});
