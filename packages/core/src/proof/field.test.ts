import { familyOf } from '../families/registry';
import { REFERENCE_RIG } from '../reference/referenceRig';
import { infiltrationMmPerH, KIT_RING_MM, waterDepthMm } from './infiltration';
import { compareLevels, levelsOf, spreadOf } from './levels';
import { coneProfile, ROOT_LIMIT_KPA } from './penetrometer';
import { judgeRoutine } from './registry';
import type { RoutineValues } from './routine';

const on = { family: familyOf('tractor'), build: REFERENCE_RIG.build, wheelLoadKg: 2500 };

describe('coneProfile', () => {
  const profile = [
    { depthMm: 0, coneKpa: 500 },
    { depthMm: 100, coneKpa: ROOT_LIMIT_KPA + 500 },
    { depthMm: 200, coneKpa: ROOT_LIMIT_KPA + 500 },
    { depthMm: 300, coneKpa: ROOT_LIMIT_KPA - 500 },
  ];

  it('finds where roots stop, and how thick the layer is, between the readings', () => {
    const result = coneProfile(profile)!;
    const rise = ROOT_LIMIT_KPA + 500 - 500;
    expect(result.limitAtMm).toBeCloseTo((100 * (ROOT_LIMIT_KPA - 500)) / rise, 9);
    expect(result.aboveMm).toBeCloseTo(100 - result.limitAtMm! + 100 + 50, 9);
    expect(result.hardestKpa).toBe(ROOT_LIMIT_KPA + 500);
  });

  it('needs two depths, in whatever order they were read', () => {
    expect(coneProfile([{ depthMm: 50, coneKpa: 900 }])).toBeNull();
    expect(coneProfile([...profile].reverse())).toEqual(coneProfile(profile));
    expect(coneProfile(profile.slice(0, 1).concat({ depthMm: 100, coneKpa: 900 }))!.limitAtMm).toBeNull();
  });
});

describe('penetrometer', () => {
  const pushes = (track: string, kpa: number): RoutineValues[] =>
    [0, 150, 300].map((depthMm) => ({ track, depthMm, coneKpa: kpa + depthMm }));
  const setup = { trackAKpa: 160, trackBKpa: 80 };

  it('says which track is looser, as a share of the untouched soil', () => {
    const runs = [...pushes('untouched', 850), ...pushes('trackA', 1350), ...pushes('trackB', 950)];
    const result = judgeRoutine({ code: 'penetrometer', setup, runs, on });
    expect(result).toMatchObject({ verdict: 'trackB', move: 'softer', tryKpa: 80 });
    expect(result.figures.share).toBeCloseTo(0.4, 9);
  });

  it('waits for both tracks, and sees no difference where there is hardly one', () => {
    expect(judgeRoutine({ code: 'penetrometer', setup, runs: pushes('trackA', 900), on }).verdict).toBe('oneTrack');
    const alike = [...pushes('trackA', 900), ...pushes('trackB', 930)];
    expect(judgeRoutine({ code: 'penetrometer', setup, runs: alike, on }).verdict).toBe('noDifference');
  });
});

const waterMl = (ringMm: number, deepMm: number): number => (deepMm * Math.PI * ringMm ** 2) / 4000;

describe('infiltration', () => {
  const setup = { trackAKpa: 160, trackBKpa: 80, pouredMm: 25.4 };
  const look = (track: string, minutes: number, leftMm: number): RoutineValues => ({
    track,
    atS: 60 * minutes,
    leftMm,
  });

  it('has the inch of water that the kit pours', () => {
    // Published: USDA NRCS soil quality test kit, one inch in its ring is 444 mL (from memory).
    expect(waterDepthMm(444, KIT_RING_MM)).toBeCloseTo(25.4, 12);
    // In a ring of 6.00 in an inch is 463 mL: exact.
    expect(waterDepthMm(463.3, 152.4)).toBeCloseTo(25.4, 2);
  });

  it('takes water as it was poured into a ring of one’s own, and asks for it where nothing was written', () => {
    const runs = [look('trackA', 10, 22.4), look('trackB', 10, 13.4)];
    const poured = { trackAKpa: 160, trackBKpa: 80, ringMm: 100, pouredMl: waterMl(100, 25.4), pouredMm: null };
    const bySetup = (own: RoutineValues) => judgeRoutine({ code: 'infiltration', setup: own, runs, on });
    expect(bySetup(poured).figures.trackA).toBeCloseTo(
      bySetup({ ...setup, ringMm: null, pouredMl: null }).figures.trackA!,
      9,
    );
    expect(bySetup({ ...poured, pouredMl: null }).verdict).toBe('pouredMissing');
  });

  it('goes by the slope, and an empty ring tells no more', () => {
    expect(
      infiltrationMmPerH([
        { atS: 0, leftMm: 25 },
        { atS: 600, leftMm: 15 },
      ]),
    ).toBeCloseTo(60, 9);
    const emptied = [
      { atS: 0, leftMm: 20 },
      { atS: 600, leftMm: 0 },
      { atS: 1800, leftMm: 0 },
    ];
    expect(infiltrationMmPerH(emptied)).toBeCloseTo(120, 9);
    expect(infiltrationMmPerH([{ atS: 60, leftMm: 20 }])).toBeNull();
  });

  it('compares two rings, and shows water that cannot have risen', () => {
    const runs = [
      look('trackA', 10, 22.4),
      look('trackB', 10, 13.4),
      look('trackA', 20, 19.4),
      look('trackB', 20, 1.4),
    ];
    const result = judgeRoutine({ code: 'infiltration', setup, runs, on });
    expect(result).toMatchObject({ verdict: 'trackB', move: 'softer', tryKpa: 80 });
    expect(result.figures.ratio).toBeCloseTo(4, 9);
    expect(
      judgeRoutine({ code: 'infiltration', setup, runs: [...runs, look('trackA', 30, 24)], on }).contradictions,
    ).toEqual([
      [0, 4],
      [2, 4],
    ]);
    expect(judgeRoutine({ code: 'infiltration', setup, runs: runs.slice(0, 1), on }).verdict).toBe('oneTrack');
  });
});

describe('levelsOf and compareLevels', () => {
  it('puts runs at one pressure together, as far as a gauge tells them apart', () => {
    expect(
      levelsOf([
        { kpa: 100, value: 1 },
        { kpa: 101, value: 3 },
        { kpa: 120, value: 5 },
      ]).map(({ mean, values }) => [mean, values.length]),
    ).toEqual([
      [5, 1],
      [2, 2],
    ]);
  });

  it('has no spread until a pressure has been repeated', () => {
    const once = levelsOf([
      { kpa: 100, value: 1 },
      { kpa: 120, value: 5 },
    ]);
    expect(spreadOf(once)).toBeNull();
    expect(compareLevels(once, 'more')).toMatchObject({ sure: null, best: { mean: 5 } });
    expect(compareLevels([], 'more')).toBeNull();
  });
});
