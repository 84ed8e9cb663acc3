import type { AiringRow, OutingRow, ReadingRoundRow } from '@dunlinmoss/contract';
import { psi } from '@dunlinmoss/core';

import { sampleAxle, sampleRig } from '../testing/sampleRig';
import { inTire } from './inTire';

const place = { position: 'front' as const, wheel: 'left' as const };
const rig = sampleRig();
const none = { rig, airings: [], rounds: [], outing: undefined };
const airing = {
  way: 'out',
  gauge: { gaugeId: 'g', offsetKpa: 4 },
  coldTempC: 20,
  tireTempC: 20,
  altitudeM: 0,
  runs: [
    {
      ...place,
      startedAt: '2026-11-20T07:00:00.000Z',
      endedAt: '2026-11-20T07:01:00.000Z',
      beforeKpa: 250,
      afterKpa: 114,
      timed: true,
    },
  ],
} as unknown as AiringRow;
const round = {
  gauge: null,
  airTempC: 10,
  tireTempC: 38,
  altitudeM: 0,
  readAt: '2026-11-20T08:00:00.000Z',
  wheels: [{ ...place, shownKpa: 131 }],
} as unknown as ReadingRoundRow;
const outing = {
  startedAt: '2026-11-20T06:00:00.000Z',
  pressures: [{ position: 'front', pressureKpa: 103 }],
} as unknown as OutingRow;

describe('inTire', () => {
  it('is what was read last, cold and corrected', () => {
    expect(inTire({ ...none, airings: [airing], outing }, place)).toMatchObject({
      from: 'airing',
      coldKpa: expect.closeTo(110, 9),
    });
    const warm = inTire({ ...none, airings: [airing], rounds: [round], outing }, place)!;
    expect(warm.from).toBe('reading');
    expect(warm.coldKpa).toBeCloseTo(((131 + 101.325) * 283.15) / 311.15 - 101.325, 6);
  });

  it('is road pressure again once an outing was closed since', () => {
    const closed = { ...none, airings: [airing], closedAt: '2026-11-20T12:00:00.000Z' };
    expect(inTire(closed, place)).toMatchObject({ from: 'road', coldKpa: psi(36) });
    expect(inTire({ ...closed, closedAt: '2026-11-19T12:00:00.000Z' }, place)).toMatchObject({ from: 'airing' });
  });

  it('falls back on what was set, on what the rig has, and on the road', () => {
    expect(inTire({ ...none, outing }, place)).toMatchObject({ from: 'outing', coldKpa: 103 });
    const present = sampleRig({
      axles: [sampleAxle('front', { present: { rawKpa: 210, gaugeId: null, offsetKpa: 10 } }), sampleAxle('rear')],
    });
    expect(inTire({ ...none, rig: present }, place)).toMatchObject({ from: 'present', coldKpa: 200 });
    expect(inTire(none, place)).toMatchObject({ from: 'road', coldKpa: psi(36) });
    const bare = sampleRig({ axles: [sampleAxle('front', { roadKpa: null }), sampleAxle('rear')] });
    expect(inTire({ ...none, rig: bare }, place)).toBeUndefined();
  });
});
