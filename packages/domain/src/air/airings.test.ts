import type { Airing, AiringRow, AirToolRow } from '@dunlinmoss/contract';

import { dropsOf, mergeAirings, outRate, pumpOf, pumpRate, runProblems } from './airings';

const wheel = (code: 'left' | 'right', change: Partial<Airing['wheels'][number]> = {}): Airing['wheels'][number] => ({
  position: 'front',
  wheel: code,
  volumeL: 60,
  coldKpa: 110,
  targetKpa: 110,
  settled: null,
  ...change,
});
const run = (startS: number, change: Partial<Airing['runs'][number]> = {}): Airing['runs'][number] => ({
  position: 'front',
  wheel: 'left',
  startedAt: new Date(startS * 1000).toISOString(),
  endedAt: new Date((startS + 60) * 1000).toISOString(),
  beforeKpa: 248.2,
  afterKpa: 110.3,
  timed: true,
  ...change,
});
const airing = (change: Partial<Airing> = {}): Airing => ({
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
  wheels: [wheel('left'), wheel('right')],
  ...change,
});
const row = (change: Partial<Airing>): AiringRow => ({ ...airing(change), createdAt: '', updatedAt: '' });

describe('outRate', () => {
  it('goes by the runs of that tool, read and timed', () => {
    const timed = airing({ runs: [run(1000)] });
    expect(outRate({ kind: 'stick', tool: undefined }, [timed]).conductanceLPerS).toBeCloseTo(0.461, 2);
    expect(outRate({ kind: 'coreDeflator', tool: undefined }, [timed]).timed).toBe(0);
    const own = { id: 'mine' } as AirToolRow;
    expect(outRate({ kind: 'stick', tool: own }, [timed]).timed).toBe(0);
    expect(outRate({ kind: 'stick', tool: own }, [{ ...timed, toolId: 'mine' }]).timed).toBe(1);
  });

  it('corrects the readings for their gauge, and leaves out what is not finished', () => {
    const read = airing({ gauge: { gaugeId: 'g', offsetKpa: 10 }, runs: [run(1000), run(2000, { afterKpa: null })] });
    expect(dropsOf([read])).toHaveLength(1);
    expect(dropsOf([read])[0]).toMatchObject({ beforeKpa: 238.2, afterKpa: 100.3, seconds: 60 });
  });
});

describe('runProblems', () => {
  it('says what is not counted, but not of a reading alone', () => {
    const alone = run(3000, { endedAt: new Date(3_000_000).toISOString(), timed: false, beforeKpa: 95, afterKpa: 110 });
    const problems = runProblems(airing({ runs: [run(1000), run(1010), run(2000, { afterKpa: 260 }), alone] }));
    expect(problems.map(({ problem }) => problem.code)).toEqual(['timedTwice', 'roseWhileLettingOut']);
  });
});

describe('pumps', () => {
  const pump = { id: 'p', kind: 'batteryClipCompressor', flow: [], duty: null, budget: null } as unknown as AirToolRow;
  it('go by their label, or by their kind', () => {
    expect(pumpOf({ kind: 'batteryClipCompressor', tool: pump }).flow[0].litersPerMin).toBe(72);
    const flow = [{ pressureKpa: 0, litersPerMin: 30 }];
    expect(pumpOf({ kind: 'batteryClipCompressor', tool: { ...pump, flow } }).flow).toEqual(flow);
  });

  it('go by the clock against the label', () => {
    const flow = [{ pressureKpa: 0, litersPerMin: 60 }];
    const used = { kind: 'batteryClipCompressor' as const, tool: { ...pump, flow } };
    const filled = airing({ way: 'in', toolId: 'p', toolKind: 'batteryClipCompressor' });
    // By the label 82.9 s: it took 165.8.
    const slow = run(1000, { beforeKpa: 110, afterKpa: 250, endedAt: new Date(1_165_804).toISOString() });
    expect(pumpRate(used, [{ ...filled, runs: [slow] }])).toMatchObject({ rate: expect.closeTo(0.5, 3), timed: 1 });
    expect(pumpRate(used, [])).toEqual({ rate: 1, timed: 0 });
    // Two on two hoses in the same minutes: what went into both is held against them.
    const both = [slow, { ...slow, wheel: 'right' as const }];
    expect(pumpRate(used, [{ ...filled, runs: both }])).toMatchObject({ rate: expect.closeTo(1, 3), timed: 2 });
    // A slip of the thumb.
    const slip = run(1000, { beforeKpa: 110, afterKpa: 250, endedAt: new Date(1_001_000).toISOString() });
    expect(pumpRate(used, [{ ...filled, runs: [slip] }]).timed).toBe(0);
  });
});

describe('mergeAirings', () => {
  it('keeps every run of both phones, told further where one knows more, and the newest revision', () => {
    const shared = run(1000, { endedAt: null, afterKpa: null });
    const id = airing().id;
    const mine = airing({ id, runs: [{ ...shared, endedAt: new Date(1_060_000).toISOString() }] });
    const theirs = row({
      id,
      revision: 7,
      wheels: [wheel('left'), wheel('right', { settled: 'skipped' })],
      runs: [shared, run(2000, { wheel: 'right' })],
    });
    const merged = mergeAirings(mine, theirs);
    expect(merged.revision).toBe(7);
    expect(merged.runs).toHaveLength(2);
    expect(merged.runs[0]!.endedAt).not.toBeNull();
    expect(merged.wheels[1]!.settled).toBe('skipped');
    expect(mergeAirings(merged, theirs)).toEqual(merged);
  });
});
