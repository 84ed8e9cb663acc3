import type { AiringRow, OutingRow, ReadingRoundRow } from '@dunlinmoss/contract';
import { psi } from '@dunlinmoss/core';
import fc from 'fast-check';

import { sampleRig } from '../testing/sampleRig';
import { inTire, type AirHistory } from './inTire';
import { softMs, softSpells } from './softTime';
import { rigWheels } from './wheels';

const rig = sampleRig();
const wheels = rigWheels(rig);
const startMs = Date.parse('2026-11-20T06:00:00Z');
const at = (minute: number): string => new Date(startMs + minute * 60_000).toISOString();
const none: AirHistory = { rig, airings: [], rounds: [], outings: [] };

const round = (minute: number, shownPsi: readonly number[], change: object = {}): ReadingRoundRow =>
  ({
    gauge: null,
    airTempC: 20,
    tireTempC: null,
    altitudeM: 0,
    justDriven: false,
    readAt: at(minute),
    wheels: shownPsi.map((each, index) => ({
      position: wheels[index]!.position,
      wheel: wheels[index]!.wheel,
      shownKpa: psi(each),
    })),
    ...change,
  }) as unknown as ReadingRoundRow;
const outing = (minute: number, setPsi: number): OutingRow =>
  ({
    startedAt: at(0),
    pressuresAt: at(minute),
    state: 'closed',
    pressures: rig.axles.map(({ position }) => ({ position, pressureKpa: psi(setPsi) })),
  }) as unknown as OutingRow;
const opened = (minute: number): AiringRow =>
  ({
    way: 'out',
    gauge: null,
    coldTempC: 20,
    tireTempC: 20,
    altitudeM: 0,
    justDriven: false,
    wheels: wheels.map(({ position, wheel }) => ({ position, wheel, coldKpa: psi(16), targetKpa: psi(16) })),
    runs: [
      {
        position: wheels[0]!.position,
        wheel: wheels[0]!.wheel,
        startedAt: at(minute),
        endedAt: null,
        beforeKpa: psi(36),
        afterKpa: null,
      },
    ],
  }) as unknown as AiringRow;

describe('softSpells', () => {
  it('runs from what was set until every wheel was read at road pressure, not until the first one was', () => {
    const history = {
      ...none,
      outings: [outing(10, 16)],
      rounds: [round(100, [36, 36]), round(130, [36, 36, 36, 36])],
    };
    expect(softSpells(history)).toEqual([{ from: at(10), to: at(130) }]);
    expect(softMs(softSpells(history), startMs, startMs + 1e9)).toBe(120 * 60_000);
  });

  it('is not ended by a closed outing, a warm reading or a wheel that nobody read', () => {
    const warm = round(100, [36, 36, 36, 36], { justDriven: true });
    expect(softSpells({ ...none, outings: [outing(10, 16)], rounds: [warm] })).toEqual([{ from: at(10), to: null }]);
    expect(softSpells({ ...none, airings: [opened(20)] })).toEqual([{ from: at(20), to: null }]);
  });

  it('joins wheels that overlap, and keeps two spells apart that do not', () => {
    const history = {
      ...none,
      outings: [outing(10, 16), outing(300, 20)],
      rounds: [round(60, [36, 36, 36, 36]), round(400, [36, 36, 36, 36])],
    };
    expect(softSpells(history)).toEqual([
      { from: at(10), to: at(60) },
      { from: at(300), to: at(400) },
    ]);
    // Only the part that lies in the time that is asked about.
    expect(softMs(softSpells(history), startMs + 30 * 60_000, startMs + 310 * 60_000)).toBe(40 * 60_000);
  });

  it('agrees with what is in the tires at any moment, whatever was done in whatever order', () => {
    const reading = fc.record({
      minute: fc.integer({ min: 1, max: 500 }),
      psi: fc.array(fc.constantFrom(12, 36), { minLength: 1, maxLength: 4 }),
    });
    fc.assert(
      fc.property(
        fc.array(reading, { maxLength: 8 }),
        fc.array(fc.tuple(fc.integer({ min: 1, max: 500 }), fc.constantFrom(14, 36)), { maxLength: 4 }),
        fc.integer({ min: 501, max: 600 }),
        (readings, settings, minute) => {
          const history = {
            ...none,
            rounds: readings.map((each) => round(each.minute, each.psi)),
            outings: settings.map(([when, set]) => outing(when, set)),
          };
          const isLow = wheels.some((wheel) => inTire(history, wheel)?.low);
          const spells = softSpells(history);
          expect(spells.some(({ to }) => to === null)).toBe(isLow);
          // In order, and none touches the next.
          spells.slice(1).forEach(({ from }, index) => expect(spells[index]!.to! < from).toBe(true));
          const endMs = startMs + minute * 60_000;
          expect(softMs(spells, startMs, endMs)).toBeLessThanOrEqual(endMs - startMs);
        },
      ),
    );
  });
});
