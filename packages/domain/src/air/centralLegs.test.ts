import { centralLegs, type CentralRound } from './centralLegs';
import { sampleAxle, sampleCase, sampleRig } from '../testing/sampleRig';

const UNITS = { pressure: 'kPa' } as const;
const FULL = '0192f000-0000-7000-8000-000000000021';
const EMPTY = '0192f000-0000-7000-8000-000000000022';

const loaded = (id: string, front: number, rear: number) =>
  sampleCase({
    id,
    weighed: [
      { position: 'front', part: 'axle', loadKg: front },
      { position: 'rear', part: 'axle', loadKg: rear },
    ],
  });

/** A sprayer with the rows of its data sheet: what is carried sets what is needed, on the road as well. */
const rows = [10, 25, 40].flatMap((speedKmh) =>
  [100, 200, 300, 400].map((pressureKpa) => ({
    pressureKpa,
    speedKmh,
    loadKg: 8 * pressureKpa * (speedKmh === 10 ? 1.5 : speedKmh === 25 ? 1.2 : 1),
  })),
);
const sprayer = sampleRig({
  family: 'sprayer',
  topSpeedKmh: 40,
  loadCases: [loaded(FULL, 5200, 5600), loaded(EMPTY, 2600, 2200)],
  axles: (['front', 'rear'] as const).map((position) =>
    sampleAxle(position, {
      tireMarking: 'VF380/90R46 173D',
      rows,
      roadKpa: null,
      behindMm: position === 'front' ? 0 : 3500,
    }),
  ),
});

const round = (change: Partial<CentralRound> = {}): CentralRound => ({
  field: { ground: 'fieldMoist', modifiers: [], speedKmh: null },
  outCaseId: FULL,
  homeCaseId: EMPTY,
  ...change,
});
const legs = (change: Partial<CentralRound> = {}) => {
  const result = centralLegs(sprayer, [], round(change), UNITS);
  if (!result.ok) throw new Error(result.problem.leg);
  return result.value;
};

describe('centralLegs', () => {
  it('takes each road by what is carried on it', () => {
    for (const axle of legs()) {
      expect(axle.homeKpa).toBeLessThan(axle.outKpa);
      expect(axle.fieldKpa).toBeLessThan(axle.outKpa);
      expect(axle.wheels).toBe(2);
    }
    for (const axle of legs({ homeCaseId: FULL })) expect(axle.homeKpa).toBe(axle.outKpa);
  });

  it('turned about, the roads change places and the field stays: it carries the heavier of the two', () => {
    const turned = legs({ outCaseId: EMPTY, homeCaseId: FULL });
    legs().forEach(({ outKpa, fieldKpa, homeKpa }, index) => {
      expect(turned[index]).toMatchObject({ outKpa: homeKpa, fieldKpa, homeKpa: outKpa });
    });
  });

  it('names the leg that no pressure carries', () => {
    const crushed = { ...sprayer, loadCases: [loaded(FULL, 52_000, 56_000), loaded(EMPTY, 2600, 2200)] };
    expect(centralLegs(crushed, [], round(), UNITS)).toEqual({
      ok: false,
      problem: { code: 'noPressure', leg: 'out' },
    });
    expect(centralLegs(crushed, [], round({ outCaseId: EMPTY, homeCaseId: FULL }), UNITS)).toMatchObject({ ok: false });
  });
});
