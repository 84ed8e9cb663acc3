import type { Airing, AirToolRow } from '@dunlinmoss/contract';

import { allSettled, nextWheel, predictionOf, progressOf } from './predict';

const base: Airing = {
  id: '0192f000-0000-7000-8000-000000000901',
  revision: 0,
  startedAt: '1970-01-01T00:00:00.000Z',
  endedAt: null,
  runs: [],
  rigId: '0192f000-0000-7000-8000-000000000001',
  outingId: null,
  way: 'out',
  toolId: null,
  toolKind: 'stick',
  gauge: null,
  coldTempC: 20,
  tireTempC: 20,
  altitudeM: 0,
  justDriven: false,
  wheels: (['left', 'right'] as const).map((wheel) => ({
    position: 'front',
    wheel,
    volumeL: 60,
    coldKpa: 110,
    targetKpa: 110,
    settled: null,
  })),
};
const at = (second: number): string => new Date(second * 1000).toISOString();
const done: Airing['runs'][number] = {
  position: 'front',
  wheel: 'left',
  startedAt: at(0),
  endedAt: at(60),
  beforeKpa: 248.2,
  afterKpa: 110.3,
  timed: true,
};

describe('predictionOf', () => {
  it('gives a second wheel the time of the first, and its pressure on the way', () => {
    const timed = { ...base, runs: [done] };
    const prediction = predictionOf(timed, { kind: 'stick', tool: undefined }, [timed]);
    const wheel = timed.wheels[1]!;
    expect(prediction.seconds(wheel, 248.2, 110.3)).toBeCloseTo(60, 0);
    expect(prediction.expectedKpa(wheel, 248.2, 110.3, 60)).toBeCloseTo(110.3, 0);
    expect(prediction.expectedKpa(wheel, 248.2, 110.3, 0)).toBeCloseTo(248.2, 6);
    // Twice the air takes twice the time.
    expect(prediction.seconds({ volumeL: 120 }, 248.2, 110.3)).toBeCloseTo(120, -1);
    expect(prediction.relativeError).toBeLessThan(0.1);
  });

  it('sharpens with every reading', () => {
    const one = { ...base, runs: [done] };
    const two = { ...base, runs: [done, { ...done, wheel: 'right' as const, startedAt: at(100), endedAt: at(160) }] };
    const error = (airing: Airing) => predictionOf(airing, { kind: 'stick', tool: undefined }, [airing]).relativeError;
    expect(error(two)).toBeLessThan(error(one));
    expect(error(one)).toBeLessThan(error(base));
  });

  it('follows a pump up its curve', () => {
    const up = { ...base, way: 'in' as const, toolKind: 'batteryClipCompressor' as const };
    const prediction = predictionOf(up, { kind: 'batteryClipCompressor', tool: undefined }, [up]);
    const seconds = prediction.seconds(up.wheels[0]!, 110, 240);
    expect(prediction.expectedKpa(up.wheels[0]!, 110, 240, seconds)).toBeCloseTo(240, 6);
  });

  it('shares a pump among its hoses, as far as wheels go to the same number', () => {
    const up = { ...base, way: 'in' as const, wheels: base.wheels.map((wheel) => ({ ...wheel, targetKpa: 240 })) };
    const pump = { kind: 'batteryClipCompressor', flow: [], duty: null, budget: null, wheelsAtOnce: 4 };
    const used = { kind: 'batteryClipCompressor' as const, tool: pump as unknown as AirToolRow };
    const [alone, shared] = [undefined, used.tool].map((tool) => predictionOf(up, { ...used, tool }, []));
    const seconds = shared!.seconds(up.wheels[0]!, 110, 240);
    expect(seconds).toBeCloseTo(2 * alone!.seconds(up.wheels[0]!, 110, 240), 6);
    expect(shared!.expectedKpa(up.wheels[0]!, 110, 240, seconds)).toBeCloseTo(240, 6);
    expect(shared!.seconds(up.wheels[0]!, 110, 200)).toBeCloseTo(alone!.seconds(up.wheels[0]!, 110, 200), 6);
  });
});

describe('nextWheel', () => {
  it('goes to what must be read, then to what runs, then to what waits', () => {
    const open = { ...done, endedAt: null, afterKpa: null };
    expect(nextWheel(progressOf(base, 7))).toMatchObject({ wheel: 'left' });
    expect(nextWheel(progressOf({ ...base, runs: [open] }, 7))).toMatchObject({ wheel: 'left' });
    const unread = { ...done, wheel: 'right' as const, afterKpa: null };
    expect(nextWheel(progressOf({ ...base, runs: [open, unread] }, 7))).toMatchObject({ wheel: 'right' });
    const progress = progressOf({ ...base, runs: [done, { ...done, wheel: 'right' }] }, 7);
    expect(nextWheel(progress)).toBeUndefined();
    expect(allSettled(progress)).toBe(true);
  });
});
