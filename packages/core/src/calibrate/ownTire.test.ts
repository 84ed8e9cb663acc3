import fc from 'fast-check';

import { contactPatch } from '../contact/contactPatch';
import { deflectionMm } from '../contact/deflection';
import type { TireBuild } from '../contact/stiffness';
import { REFERENCE_RIG } from '../reference/referenceRig';
import { readMarking } from '../markings/readMarking';
import { psi } from '../units/units';
import type { Observation } from './observation';
import { ownTire, PRIOR } from './ownTire';
import { choleskyOf, inverseOf, times } from '../numerics/solve';

const { build } = REFERENCE_RIG;
const reading = readMarking('29x2.40');
if (!reading.ok) throw new Error('29x2.40');
const bicycle: TireBuild = { tire: reading.value, carcass: 1, widthMm: 60 };

/** What a tire with these factors would measure, without any error. */
function measured(
  of: Observation['of'],
  pressurePsi: number,
  factors: Partial<TireBuild>,
  change: Partial<Observation> = {},
): Observation {
  const own = { ...build, ...factors };
  const patch = contactPatch(own, 600, psi(pressurePsi))!;
  const valueMm =
    of === 'settles' ? deflectionMm(own, 600, psi(pressurePsi)) : of === 'length' ? patch.lengthMm : patch.widthMm;
  return {
    of,
    pressureKpa: psi(pressurePsi),
    loadKg: 600,
    valueMm,
    deviationMm: 3,
    offset: null,
    test: 't',
    run: 0,
    ...change,
  };
}

describe('ownTire', () => {
  it('leaves every value at the handbook’s, as unsure as before, with nothing measured', () => {
    const { tire, gauge, wild, contradictions } = ownTire(build, []);
    expect(tire.contact).toMatchObject({ factor: 1, readings: 0 });
    expect(Math.log(tire.contact.high)).toBeCloseTo(1.6449 * 1.07 * PRIOR.contact, 9);
    expect([gauge.biasKpa, wild, contradictions]).toEqual([0, [], []]);
  });

  it('finds what the readings say, and is surer of it the more there are', () => {
    const factors = { contactFactor: 0.9, widthFactor: 1.05, carcass: 1.4 };
    const once = [36, 26, 16].flatMap((p) =>
      (['length', 'width', 'settles'] as const).map((of) => measured(of, p, factors, { deviationMm: 0.5 })),
    );
    const { tire } = ownTire(build, once);
    expect(tire.contact.factor).toBeCloseTo(0.9, 1);
    expect(tire.width.factor).toBeCloseTo(1.05, 2);
    expect(tire.carcass.factor).toBeCloseTo(1.4, 1);
    expect(tire.drop).toEqual({ factor: 1, low: 1, high: 1, readings: 0 });
    const twice = ownTire(build, [...once, ...once]).tire;
    expect(twice.contact.high - twice.contact.low).toBeLessThan(tire.contact.high - tire.contact.low);
  });

  it('takes what reads long by the same everywhere for what it is', () => {
    const long = [36, 26, 16].map((p) => {
      const plain = measured('length', p, {});
      return { ...plain, valueMm: plain.valueMm + 330, offset: 'poles' };
    });
    expect(ownTire(build, long).tire.contact.factor).toBeCloseTo(1, 1);
    expect(
      ownTire(
        build,
        long.map((each) => ({ ...each, offset: null })),
      ).tire.contact.factor,
    ).toBeGreaterThan(1.3);
  });

  it('is not led astray by one wild reading, and names it', () => {
    const good = [36, 30, 26, 20, 16].map((p) => measured('length', p, {}));
    const wild = { ...measured('length', 26, {}), valueMm: 260 };
    const { tire, wild: named, contradictions } = ownTire(build, [...good, wild]);
    expect(tire.contact.factor).toBeCloseTo(ownTire(build, good).tire.contact.factor, 1);
    expect(named).toEqual([5]);
    expect(contradictions[0]).toContain(5);
  });

  it('says that two readings contradict each other where nothing else decides', () => {
    const plain = measured('width', 30, {});
    const { contradictions } = ownTire(build, [plain, { ...plain, valueMm: plain.valueMm + 40 }]);
    expect(contradictions).toEqual([[0, 1]]);
    expect(ownTire(build, [plain, { ...plain, valueMm: plain.valueMm + 4 }]).contradictions).toEqual([]);
  });

  it('finds the drop of a bicycle tire', () => {
    const of = (p: number): Observation => ({
      of: 'settles',
      pressureKpa: psi(p),
      loadKg: 50,
      valueMm: 1.15 * deflectionMm(bicycle, 50, psi(p)),
      deviationMm: 0.3,
      offset: null,
      test: 't',
      run: 0,
    });
    const { tire } = ownTire(bicycle, [20, 24, 28].map(of));
    expect(tire.drop.factor).toBeGreaterThan(1.1);
    expect(tire.drop.factor).toBeLessThan(1.2);
    expect(tire.carcass.readings).toBe(0);
  });

  it('does not care in what order things were measured', () => {
    const some = [36, 26, 16].flatMap((p) => [
      measured('length', p, { contactFactor: 1.1 }),
      measured('settles', p, { carcass: 1.3 }),
    ]);
    const [a, b] = [ownTire(build, some).tire, ownTire(build, [...some].reverse()).tire];
    expect(b.contact.factor).toBeCloseTo(a.contact.factor, 6);
    expect(b.carcass.factor).toBeCloseTo(a.carcass.factor, 6);
  });
});

describe('inverseOf', () => {
  it('is what gives the unit back', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: 9, maxLength: 9 }), (values) => {
        const a = [0, 1, 2].map((i) => values.slice(3 * i, 3 * i + 3));
        const spd = a.map((row, i) =>
          a.map((other, j) => row.reduce((sum, value, k) => sum + value * other[k]!, 0) + (i === j ? 1 : 0)),
        );
        const inverse = inverseOf(spd);
        [0, 1, 2].forEach((column) =>
          times(
            spd,
            inverse.map((row) => row[column]!),
          ).forEach((value, row) => expect(value).toBeCloseTo(row === column ? 1 : 0, 8)),
        );
      }),
      { seed: 4, numRuns: 60 },
    );
  });

  it('refuses what is not positive definite', () => {
    expect(() => choleskyOf([[0]])).toThrow(RangeError);
    expect(() =>
      inverseOf([
        [1, 2],
        [2, 1],
      ]),
    ).toThrow(RangeError);
  });
});
