import fc from 'fast-check';

import { KINDS } from '../families/family';
import { contextsOf } from '../plan/planGround';
import type { PlanInput } from '../plan/plan';
import { bicycleAxles, SAMPLE_RIGS, sampleAxle, sampleInput } from '../testing/samplePlan';
import { psi } from '../units/units';
import { bicycleStartKpa, tradePointKpa } from '../reference/bicyclePoints';
import { defaultFigureKpa } from '../reference/defaultFigure';
import { schoolOf, SCHOOLS, schoolsFor, type SchoolCode } from './registry';
import type { Target } from './school';
import { onSnowKpa } from '../reference/quadFigure';

const targetKpa = (
  school: SchoolCode,
  change: Partial<PlanInput>,
  axle = 0,
  end: 'start' | 'low' | 'high' = 'start',
): Target => schoolOf(school).targetKpa(contextsOf(sampleInput(change))[axle]!, end);
const wantsPsi = (...args: Parameters<typeof targetKpa>): number => Number(targetKpa(...args)) / psi(1);

describe('the registry of schools', () => {
  it('has a default and at least one other for every kind of rig', () => {
    for (const kind of KINDS) expect(schoolsFor({ kind }).length).toBeGreaterThan(1);
    expect(KINDS.map((kind) => schoolsFor({ kind })[0])).toEqual([
      'deflectionAndShare',
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
    ['deflectionAndShare', { axles: [sampleAxle({ roadKpa: null })] }, 'roadPressure'],
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
      'loadSpeedTable',
      { family: 'tractor', ground: 'lane', axles: [sampleAxle({ marking: '480/80R50 159A8/B' })] },
      'pressureBesideLoad',
    ],
    [
      'loadSpeedTable',
      { family: 'quad', ground: 'snow', axles: [sampleAxle({ marking: 'AT25x8-12 43J', maxKpa: psi(22) })] },
      'pressureBesideLoad',
    ],
    [
      'fromRoad',
      { family: 'tractor', ground: 'lane', axles: [sampleAxle({ marking: '480/80R50 159A8/B', roadKpa: null })] },
      'pressureBesideLoad',
    ],
    [
      'onePressure',
      { ...SAMPLE_RIGS.farm!, ground: 'lane', axles: [sampleAxle({ marking: '480/80R50 159A8 **', loadKg: 9000 })] },
      'lessLoad',
    ],
  ] as const)('%s says so', (school, change, need) => {
    expect(targetKpa(school, change as Partial<PlanInput>)).toBe(need);
  });
});

describe('what a school asks for', () => {
  it('of a motorcycle is a share of its class by load, the rear above the front, or steps below the maker’s figure', () => {
    const rig = { ...SAMPLE_RIGS.motorcycle!, ground: 'mud' } as const;
    const front = 20 * (105 / (0.47 * 260)) ** 0.4;
    const rear = 23 * (150 / (0.53 * 260)) ** 0.4;
    expect(wantsPsi('classTable', rig)).toBeCloseTo(front * 0.8, 9);
    expect(wantsPsi('classTable', rig, 1)).toBeCloseTo(rear * 0.8, 9);
    expect(wantsPsi('classTable', { ...rig, modifiers: ['fast'] })).toBeCloseTo(front * 0.8 * (1 + 1 / 24), 9);
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

  it('of a quad is in proportion to snow, firmer ground between it and the share of the road', () => {
    const usual = { marking: 'AT25x8-12', loadKg: 98, roadKpa: psi(20), maxKpa: psi(22) };
    const rig = { family: 'quad', axles: [sampleAxle(usual)] } as const;
    expect(wantsPsi('sidewallRules', { ...rig, ground: 'snow' })).toBeCloseTo(15, 9);
    expect(wantsPsi('sidewallRules', { ...rig, ground: 'snow' }, 0, 'low')).toBeCloseTo((15 * 15) / 20, 9);
    expect(wantsPsi('sidewallRules', { ...rig, ground: 'gravel' })).toBeCloseTo(
      Math.sqrt(15 * 1.4 * (28 / 36) * 20),
      9,
    );
    const heavy = { ...rig, axles: [sampleAxle({ ...usual, loadKg: 110 })] };
    expect(wantsPsi('sidewallRules', { ...heavy, ground: 'softSand' })).toBeCloseTo(
      (15 * (110 / 98) ** 0.4 * 16) / 20,
      9,
    );
  });

  /** Assumption, worked by hand: the two schools stay beside it. */
  it.each([
    [
      'a tall tire under a light truck',
      { marking: '35x12.50R17LT', loadRange: 'E', loadKg: 550, roadKpa: psi(35) },
      { 28: 19.9, 25: 17.5, 21: 14.2, 20: 13.4, 16: 10.1 },
    ],
    [
      'a low profile under a heavy wagon',
      { marking: '285/45R22', loadKg: 690, roadKpa: psi(36) },
      { 28: 32.6, 16: 18.9 },
    ],
  ] as const)('of a four-wheeler lies between the two: %s', (_, change, figures) => {
    const context = contextsOf(sampleInput({ axles: [sampleAxle(change)] }))[0]!;
    for (const [figure, expected] of Object.entries(figures)) {
      expect(defaultFigureKpa(context, psi(Number(figure)))! / psi(1)).toBeCloseTo(expected, 1);
    }
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
    expect(targetKpa('onePressure', rig)).toBe(targetKpa('loadSpeedTable', { ...rig, ground: 'pavement' }));
    // Nothing read but the road pressure: by ratio, 1.5 at the soft end and 1.37 at the firm one.
    const bare = { ...rig, axles: [sampleAxle({ marking: '480/80R50', loadKg: 2500, roadKpa: 160 })] };
    expect(Number(targetKpa('fromRoad', bare, 0, 'low'))).toBeCloseTo(160 * (1 / 1.5) ** (1 / 0.7), 6);
    expect(Number(targetKpa('fromRoad', bare))).toBeCloseTo(160 * (1 / 1.37) ** (1 / 0.7), 6);
    expect(targetKpa('fromRoad', bare, 0, 'high')).toBeCloseTo(160, 9);
    // A tank that has emptied: the load on the road was another.
    const empty = {
      ...bare,
      axles: [sampleAxle({ marking: '480/80R50', loadKg: 1250, roadKpa: 160, roadLoadKg: 2500 })],
    };
    expect(Number(targetKpa('fromRoad', empty))).toBeCloseTo(160 * (0.5 / 1.37) ** (1 / 0.7), 6);
  });
});

describe('tradePointKpa', () => {
  it('is less in front, and less the wider the tire, without a kink', () => {
    for (let widthMm = 20; widthMm < 135; widthMm += 0.5) {
      expect(tradePointKpa(widthMm, 'front')).toBeLessThan(tradePointKpa(widthMm, 'rear'));
      const step = tradePointKpa(widthMm + 0.5, 'rear') / tradePointKpa(widthMm, 'rear');
      expect(step).toBeLessThan(1);
      expect(step).toBeGreaterThan(1 - 3.2 * (0.5 / widthMm));
    }
  });

  it('moves near proportion with the load at trail widths: about 1 psi for 4 to 5 kg of rider', () => {
    const start = (riderKg: number): number =>
      bicycleStartKpa(
        contextsOf(
          sampleInput({
            family: 'mountainBike',
            ground: 'hardpack',
            axles: bicycleAxles('29x2.40', riderKg + 14, 0.375),
          }),
        )[1]!,
      ).kpa / psi(1);
    for (const riderKg of [57, 70, 90, 130]) {
      const perPsi = (riderKg - 80) / (start(riderKg) - 80 * (start(80) / 80));
      expect(perPsi).toBeGreaterThan(4);
      expect(perPsi).toBeLessThan(5);
    }
  });
});
