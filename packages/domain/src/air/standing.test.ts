import type { AiringRow, ReadingRoundRow } from '@dunlinmoss/contract';
import { KEEPING, psi } from '@dunlinmoss/core';

import { sampleBicycle, sampleRig } from '../testing/sampleRig';
import { nextLookMs, standingAxles, usualTube } from './standing';
import { rigWheels } from './wheels';

const DAY_MS = 86_400_000;
const nowMs = Date.parse('2026-11-20T06:00:00Z');
const rig = sampleRig();
const [wheel] = rigWheels(rig);
const place = { position: wheel!.position, wheel: wheel!.wheel };
const read = (daysAgo: number, shownPsi: number): ReadingRoundRow =>
  ({
    gauge: null,
    airTempC: 20,
    tireTempC: null,
    altitudeM: 0,
    justDriven: false,
    readAt: new Date(nowMs - daysAgo * DAY_MS).toISOString(),
    wheels: [{ ...place, shownKpa: psi(shownPsi) }],
  }) as unknown as ReadingRoundRow;
const filled = (daysAgo: number): AiringRow =>
  ({
    way: 'in',
    gauge: null,
    coldTempC: 20,
    tireTempC: 20,
    altitudeM: 0,
    justDriven: false,
    wheels: [{ ...place, coldKpa: psi(36), targetKpa: psi(36) }],
    runs: [
      {
        ...place,
        startedAt: new Date(nowMs - daysAgo * DAY_MS).toISOString(),
        endedAt: new Date(nowMs - daysAgo * DAY_MS).toISOString(),
        beforeKpa: psi(30),
        afterKpa: psi(36),
      },
    ],
  }) as unknown as AiringRow;
const front = (airings: AiringRow[], rounds: ReadingRoundRow[], tube = usualTube(rig)) =>
  standingAxles({ rig, airings, rounds, outings: [] }, tube, nowMs)[0]!;

describe('standingAxles', () => {
  it('goes by the trade’s weeks from the last reading while nothing was measured', () => {
    const { nextMs, ownLossADay } = front([], [read(3, 36)]);
    expect(ownLossADay).toBeNull();
    expect(nextMs).toBe(nowMs + (KEEPING.noTube.checkDays - 3) * DAY_MS);
    expect(front([], [read(3, 36)], 'lowLoss').nextMs).toBe(nowMs + (KEEPING.lowLoss.checkDays - 3) * DAY_MS);
  });

  it('goes by the person’s own loss where two readings lie days apart: 36 to 34 psi in ten days, 32.4 in 18 more', () => {
    const { nextMs, ownLossADay } = front([], [read(10, 36), read(0, 34)]);
    expect(ownLossADay).toBeCloseTo(1 - (34 / 36) ** 0.1, 9);
    // p(t) = 34·(34/36)^(t/10) reaches 32.4 psi, nine tenths of the road's 36.
    expect((nextMs - nowMs) / DAY_MS).toBeCloseTo((10 * Math.log(32.4 / 34)) / Math.log(34 / 36), 6);
  });

  it('takes no loss from two readings between which air went in, or that are hours apart', () => {
    expect(front([filled(5)], [read(10, 36), read(0, 34)]).ownLossADay).toBeNull();
    expect(front([], [read(1, 36), read(0, 34)]).ownLossADay).toBeNull();
  });

  it('is due at once where nobody wrote down when it was read', () => {
    expect(front([], [])).toMatchObject({ isDated: false, nextMs: nowMs });
    expect(nextLookMs(standingAxles({ rig, airings: [], rounds: [read(3, 36)], outings: [] }, 'noTube', nowMs))).toBe(
      nowMs,
    );
    expect(nextLookMs([])).toBeNull();
  });

  it('has one date an axle, also of a bicycle, and none of a rig of which nothing is known', () => {
    const bicycle = sampleBicycle();
    expect(standingAxles({ rig: bicycle, airings: [], rounds: [], outings: [] }, 'latex', nowMs)).toHaveLength(
      bicycle.axles.filter(({ roadKpa, present }) => roadKpa !== null || present !== null).length,
    );
    const unknown = { ...rig, axles: rig.axles.map((axle) => ({ ...axle, roadKpa: null, present: null })) };
    expect(standingAxles({ rig: unknown, airings: [], rounds: [], outings: [] }, 'noTube', nowMs)).toEqual([]);
  });
});
