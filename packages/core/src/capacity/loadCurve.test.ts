import fc from 'fast-check';

import { readMarking } from '../markings/readMarking';
import type { Tire } from '../tires/tire';
import { psi } from '../units/units';
import { dualFactor } from './duals';
import { farmSpeedFactor } from './farmSpeed';
import { flexionLoadKg, flexionPressureKpa } from './flexion';
import {
  capacity,
  fullPressureKpa,
  loadCurve,
  pressureForLoadKpa,
  type LoadCurve,
  type LoadEvidence,
} from './loadCurve';
import { topSpeedKmh } from './speedFactor';

const tire = (marking: string): Tire => {
  const reading = readMarking(marking);
  if (!reading.ok) throw new Error(marking);
  return reading.value;
};
const evidence = (marking: string, change: Partial<LoadEvidence> = {}): LoadEvidence => ({
  tire: tire(marking),
  maxKpa: null,
  lines: [],
  rows: [],
  rowsOf: 'thisTire',
  ...change,
});
const curve = (marking: string, change: Partial<LoadEvidence> = {}): LoadCurve => {
  const result = loadCurve(evidence(marking, change));
  if (!result.ok) throw new Error(`${marking}: ${result.problem.code}`);
  return result.value;
};
const carries = (of: LoadCurve, pressureKpa: number, speedKmh: number | null = null, dual = false): number => {
  const result = capacity(of, { pressureKpa, speedKmh, dual });
  if (!result.ok) throw new Error(result.code);
  return result.loadKg;
};
const row = (pressureKpa: number, speedKmh: number, loadKg: number) => ({ pressureKpa, speedKmh, loadKg });

describe('loadCurve', () => {
  it('takes the best evidence at hand', () => {
    const lines = [{ pressureKpa: 250, loadKg: 900 }];
    const rows = [row(200, 40, 2000)];
    expect(curve('245/75R16 111T').from).toBe('index');
    expect(curve('245/75R16 111T', { lines }).from).toBe('lines');
    expect(curve('480/80R50 159A8', { lines, rows }).from).toBe('rows');
    expect(loadCurve(evidence('245/75R16'))).toEqual({ ok: false, problem: { code: 'nothingKnown' } });
    // A load index says how much, never at what pressure.
    for (const marking of ['480/80R50 159A8/B', 'VF380/90R46 173D', '650/55R26.5 165D']) {
      expect(loadCurve(evidence(marking))).toEqual({ ok: false, problem: { code: 'pressureMissing' } });
    }
  });

  it('refuses lines that promise less at more pressure', () => {
    const lines = [
      { pressureKpa: 200, loadKg: 900 },
      { pressureKpa: 300, loadKg: 850 },
    ];
    expect(loadCurve(evidence('AT25x8-12', { lines }))).toMatchObject({
      ok: false,
      problem: { code: 'linesContradict', softer: lines[0], firmer: lines[1] },
    });
    const rows = [row(100, 10, 3000), row(160, 10, 4000), row(160, 40, 3000), row(100, 40, 3200)];
    expect(loadCurve(evidence('480/80R50', { rows }))).toMatchObject({ problem: { code: 'linesContradict' } });
  });

  it.each([
    ['a passenger tire, whose maximum is another matter', '245/75R16 111T', 300, 250],
    ['load range E under a lower maximum', 'LT285/70R17 121/118Q E', psi(65), psi(65)],
    ['a wide flotation tire of load range D', '35x12.50R17LT 121Q D', null, psi(50)],
    ['a narrow one', '31x10.50R15LT 109Q C', null, psi(50)],
    ['two stars on a metric farm tire', '480/80R50 159A8 **', null, 240],
    ['a passenger tire', '245/75R16 111T', null, 250],
    ['an extra-load tire', '205/55R16 94V XL', null, 290],
    ['load range E', 'LT285/70R17 121/118Q E', null, psi(80)],
    ['two stars', '18.4R38 146A8 **', null, psi(24)],
  ])('takes the index to hold at the reference pressure of %s', (_, marking, maxKpa, kpa) => {
    expect(fullPressureKpa(curve(marking, { maxKpa }))).toBeCloseTo(kpa, 9);
  });
});

describe('capacity', () => {
  it('carries no more above the reference, and says when it goes below what is known', () => {
    const passenger = curve('245/75R16 111T');
    expect(carries(passenger, 400)).toBe(1090);
    expect(capacity(passenger, { pressureKpa: 125, speedKmh: null })).toEqual({
      ok: true,
      loadKg: 1090 * 0.5 ** 0.8,
      extrapolated: true,
    });
    expect(capacity(passenger, { pressureKpa: 250, speedKmh: null })).toMatchObject({ extrapolated: false });
    expect(capacity(passenger, { pressureKpa: 250, speedKmh: 191 })).toEqual({
      ok: false,
      code: 'tooFast',
      topKmh: 190,
    });
  });

  it('never goes below the first row of a data sheet, and takes the slower column at the most as it stands', () => {
    const rows = [row(80, 10, 3000), row(160, 10, 4400), row(80, 40, 2400), row(160, 40, 3400)];
    const sheet = curve('480/80R50 159A8', { rows });
    expect(carries(sheet, 120, 40)).toBe(2900);
    expect(carries(sheet, 120, 25)).toBe((3700 + 2900) / 2);
    expect(carries(sheet, 120, 5)).toBe(3700);
    expect(carries(sheet, 300, 40)).toBe(3400);
    expect(capacity(sheet, { pressureKpa: 79, speedKmh: 40 })).toEqual({
      ok: false,
      code: 'belowFirstRow',
      firstKpa: 80,
    });
    expect(capacity(sheet, { pressureKpa: 120, speedKmh: 41 })).toEqual({ ok: false, code: 'tooFast', topKmh: 40 });
  });

  it('lifts the rows of a standard tire for an IF or VF one', () => {
    const rows = [row(160, 40, 5000)];
    expect(carries(curve('IF480/80R50', { rows, rowsOf: 'standardTire' }), 160, 40)).toBe(6000);
    expect(carries(curve('VF480/80R50', { rows, rowsOf: 'standardTire' }), 160, 40)).toBe(7000);
    expect(carries(curve('VF480/80R50', { rows }), 160, 40)).toBe(5000);
    expect(flexionLoadKg(5000, 'VF')).toBe(7000);
    expect(flexionPressureKpa(160, 'IF')).toBe(128);
  });

  it('knows the second rating of a farm tire', () => {
    const both = curve('500/60-22.5 155A8/151B', { lines: [{ pressureKpa: 280, loadKg: 3875 }] });
    expect(carries(both, 999, 40)).toBe(3875);
    expect(carries(both, 999, 50)).toBe(3450);
    expect(topSpeedKmh(tire('480/80R50 159A8'))).toBe(50);
    expect(topSpeedKmh(tire('VF380/90R46 173D'))).toBe(65);
    expect(topSpeedKmh(tire('7.50R16'))).toBeNull();
  });

  it('takes no bonus for crawling where it pulls hard for long', () => {
    const drawing = curve('480/80R50 159A8 **');
    for (const speedKmh of [8, 10, 10.5, 25]) {
      expect(capacity(drawing, { pressureKpa: 999, speedKmh, highTorque: true })).toMatchObject({ loadKg: 4375 });
    }
    const sheet = curve('480/80R50 159A8', { rows: [row(120, 10, 4000), row(120, 40, 3000), row(120, 50, 2800)] });
    expect(capacity(sheet, { pressureKpa: 120, speedKmh: 8, highTorque: true })).toMatchObject({ loadKg: 3000 });
  });

  it.each([
    ['as marked', 'LT285/70R17 121/118Q', 1320 / 1450, 'marked'],
    ['on a farm', '480/80R50 159A8', 0.88, 'published'],
    ['where nothing says', '7.50R16', 0.88, 'assumption'],
  ])('gives each of a pair its share, %s', (_, marking, factor, mark) => {
    expect(dualFactor(tire(marking))).toMatchObject({ factor, source: { mark } });
  });
});

describe('the laws of a load curve', () => {
  const anyCurve = fc
    .tuple(
      fc.constantFrom('245/75R16 111T', 'LT285/70R17 121/118Q E', 'AT25x8-12', '480/80R50 159A8/B **', '90/90-21 54S'),
      fc.array(fc.tuple(fc.integer({ min: 40, max: 90 }), fc.integer({ min: 20, max: 80 })), { maxLength: 4 }),
    )
    .map(([marking, steps]) => {
      // Lines that rise in both, as every sidewall's do.
      let [pressureKpa, loadKg] = [0, 200];
      const lines = steps.map(([more, heavier]) => {
        pressureKpa += more;
        loadKg += heavier;
        return { pressureKpa, loadKg };
      });
      return curve(marking, {
        lines: marking.startsWith('AT') && lines.length === 0 ? [{ pressureKpa: 120, loadKg: 300 }] : lines,
      });
    });
  const pressure = fc.double({ min: 1, max: 700, noNaN: true });

  it('rises with pressure, never falls', () => {
    fc.assert(
      fc.property(anyCurve, pressure, pressure, (of, a, b) => {
        expect(carries(of, Math.max(a, b))).toBeGreaterThanOrEqual(carries(of, Math.min(a, b)) * (1 - 1e-12));
      }),
      { seed: 31, numRuns: 400 },
    );
  });

  it('is turned round by pressureForLoadKpa', () => {
    fc.assert(
      fc.property(anyCurve, fc.double({ min: 0.7, max: 1, noNaN: true }), fc.boolean(), (of, share, dual) => {
        const loadKg = carries(of, fullPressureKpa(of), null, dual) * share;
        const kpa = pressureForLoadKpa(of, loadKg, { speedKmh: null, dual })!;
        expect(carries(of, kpa, null, dual) / loadKg).toBeCloseTo(1, 9);
        expect(pressureForLoadKpa(of, carries(of, 9999, null, dual) * 1.01, { speedKmh: null, dual })).toBeNull();
      }),
      { seed: 32, numRuns: 300 },
    );
  });

  it('carries less the faster it goes', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(40, 50, 65, 70),
        fc.double({ min: 1, max: 50, noNaN: true }),
        fc.double({ min: 1, max: 50, noNaN: true }),
        fc.boolean(),
        (rated, a, b, rolling) => {
          const slow = farmSpeedFactor(rated, Math.min(a, b), { rolling })!;
          expect(slow).toBeGreaterThanOrEqual(farmSpeedFactor(rated, Math.max(a, b), { rolling })! - 1e-12);
        },
      ),
      { seed: 33, numRuns: 300 },
    );
  });
});
