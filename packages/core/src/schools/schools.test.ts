import fc from 'fast-check';

import { KINDS } from '../families/family';
import { contextsOf } from '../plan/planGround';
import type { PlanInput } from '../plan/plan';
import { bicycleAxles, SAMPLE_RIGS, sampleAxle, sampleInput } from '../testing/samplePlan';
import { inch, psi } from '../units/units';
import { tradeDropShare } from './bicyclePoints';
import { schoolOf, SCHOOLS, schoolsFor, type SchoolCode } from './registry';
import type { Wanted } from './school';
import { onSnowKpa } from './sidewallRules';

const wants = (
  school: SchoolCode,
  change: Partial<PlanInput>,
  axle = 0,
  end: 'start' | 'low' | 'high' = 'start',
): Wanted => schoolOf(school).wants(contextsOf(sampleInput(change))[axle]!, end);
const wantsPsi = (...args: Parameters<typeof wants>): number => Number(wants(...args)) / psi(1);

describe('the registry of schools', () => {
  it('has a default and at least one other for every kind of rig', () => {
    for (const kind of KINDS) expect(schoolsFor(kind).length).toBeGreaterThan(1);
    expect(KINDS.map((kind) => schoolsFor(kind)[0])).toEqual([
      'equalDeflection',
      'sidewallRules',
      'classTable',
      'equalDrop',
      'loadSpeedTable',
    ]);
  });

  it('knows no school twice, and each by somebody', () => {
    expect(new Set(SCHOOLS.map(({ code }) => code)).size).toBe(SCHOOLS.length);
    for (const { kinds } of SCHOOLS) expect(kinds.length).toBeGreaterThan(0);
  });
});

describe('what a school needs', () => {
  const bicycle = { family: 'mountainBike', ground: 'hardpack', axles: bicycleAxles('29x2.40', 94, 0.375) } as const;
  it.each([
    ['shareOfRoad', { axles: [sampleAxle({ roadKpa: null })] }, 'roadPressure'],
    ['sidewallRules', { family: 'quad', ground: 'snow', axles: [sampleAxle()] }, 'sidewallMaximum'],
    [
      'makersFigure',
      { ...SAMPLE_RIGS.motorcycle!, ground: 'mud', axles: [sampleAxle({ roadKpa: null })] },
      'roadPressure',
    ],
    ['ownTrial', bicycle, 'roadPressure'],
    ['bodyWeight', bicycle, 'riderWeight'],
    ['sidewallMiddle', bicycle, 'sidewallRange'],
    ['nearMaximum', bicycle, 'sidewallMaximum'],
    [
      'loadSpeedTable',
      { family: 'tractor', ground: 'lane', axles: [sampleAxle({ marking: '480/80R50' })] },
      'whatTheTireCarries',
    ],
    [
      'onePressure',
      { ...SAMPLE_RIGS.farm!, ground: 'lane', axles: [sampleAxle({ marking: '480/80R50 159A8', loadKg: 9000 })] },
      'lessLoad',
    ],
  ] as const)('%s says so', (school, change, need) => {
    expect(wants(school, change as Partial<PlanInput>)).toBe(need);
  });
});

describe('what a school asks for', () => {
  it('of a motorcycle is a share of its class, or steps below the maker’s figure', () => {
    const rig = { ...SAMPLE_RIGS.motorcycle!, ground: 'mud' } as const;
    expect(wantsPsi('classTable', rig)).toBeCloseTo(20 * 0.8, 9);
    expect(wantsPsi('classTable', { ...rig, modifiers: ['fast'] })).toBeCloseTo(20 * 0.8 * (1 + 1 / 24), 9);
    expect(wantsPsi('makersFigure', rig)).toBeCloseTo(29 - 2 * 5, 9);
    expect(wantsPsi('makersFigure', rig, 0, 'low')).toBeCloseTo(29 - 2.5 * 5, 9);
    expect(wantsPsi('ownTrial', rig, 0, 'low')).toBeCloseTo(29 - 2 * 5, 9);
  });

  it('of a bicycle steps by 2 psi in a trial', () => {
    const rig = {
      family: 'mountainBike',
      ground: 'hardpack',
      axles: bicycleAxles('29x2.40', 94, 0.375, { roadKpa: psi(26) }),
    } as const;
    expect([
      wantsPsi('ownTrial', rig, 0, 'low'),
      wantsPsi('ownTrial', rig),
      wantsPsi('ownTrial', rig, 0, 'high'),
    ]).toEqual([expect.closeTo(22, 9), expect.closeTo(26, 9), expect.closeTo(30, 9)]);
  });

  it('of a quad is in proportion to snow', () => {
    const rig = { ...SAMPLE_RIGS.quad!, ground: 'gravel' } as const;
    expect(wantsPsi('sidewallRules', rig)).toBeCloseTo((15 * 28) / 20, 9);
    expect(wantsPsi('sidewallRules', { ...rig, ground: 'snow' }, 0, 'low')).toBeCloseTo((15 * 15) / 20, 9);
  });

  it('rises with the rating of a quad’s sidewall, without a step', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 60, noNaN: true }),
        fc.double({ min: 0.01, max: 5, noNaN: true }),
        (rated, more) => {
          const [low, high] = [onSnowKpa(psi(rated)), onSnowKpa(psi(rated + more))];
          expect(high).toBeGreaterThan(low);
          expect(high - low).toBeLessThan(psi(more));
        },
      ),
      { seed: 71 },
    );
  });

  it('of a farm tire is less in the field than on the road, and the road’s for one pressure', () => {
    const rig = { ...SAMPLE_RIGS.farm!, ground: 'fieldMoist' } as const;
    expect(wantsPsi('loadSpeedTable', rig)).toBeLessThan(wantsPsi('onePressure', rig));
    expect(wants('onePressure', rig)).toBe(wants('loadSpeedTable', { ...rig, ground: 'pavement' }));
  });
});

describe('tradeDropShare', () => {
  it('is less in front, where braking throws weight', () => {
    for (const widthMm of [28, 42, 50, 61, 75, 100]) {
      expect(tradeDropShare(widthMm, 'front')).toBeLessThan(tradeDropShare(widthMm, 'rear'));
    }
  });

  it('goes on level beyond its points, and has no step between them', () => {
    expect(tradeDropShare(20, 'rear')).toBe(tradeDropShare(40, 'rear'));
    expect(tradeDropShare(120, 'rear')).toBe(tradeDropShare(inch(2.6), 'rear'));
    for (let widthMm = 35; widthMm < 75; widthMm += 0.5) {
      const step = Math.abs(tradeDropShare(widthMm + 0.5, 'rear') - tradeDropShare(widthMm, 'rear'));
      expect(step).toBeLessThan(0.006);
    }
  });
});
