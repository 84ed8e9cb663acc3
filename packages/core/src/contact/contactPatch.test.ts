import fc from 'fast-check';

import { readMarking } from '../markings/readMarking';
import { chordMm } from './chord';
import { contactPatch } from './contactPatch';
import { deflectionMm, deflectionShare, pressureForShareKpa } from './deflection';
import { pressureForStiffnessKpa, stiffnessKgPerMm, type TireBuild } from './stiffness';

const build = (marking: string, carcass = 1): TireBuild => {
  const reading = readMarking(marking);
  if (!reading.ok) throw new Error(marking);
  return { tire: reading.value, carcass };
};
const anyBuild = fc
  .tuple(
    fc.constantFrom('245/75R16', '265/65R17', '35x12.50R17LT', '7.50R16', '205/55R16', 'LT285/70R17'),
    fc.constantFrom(1, 1.3, 1.8),
  )
  .map(([marking, carcass]) => build(marking, carcass));
const load = fc.double({ min: 200, max: 1200, noNaN: true });
const pressure = fc.double({ min: 40, max: 500, noNaN: true });

describe('stiffnessKgPerMm', () => {
  it('works out the docblock example by hand', () => {
    expect(stiffnessKgPerMm(build('245/75R16'), 310)).toBeCloseTo(
      0.00028 * 310 * Math.sqrt(0.73 * 245 * 773.9) + 3.45,
      9,
    );
  });

  it('is undone by pressureForStiffnessKpa', () => {
    fc.assert(
      fc.property(anyBuild, pressure, (tire, kpa) => {
        expect(pressureForStiffnessKpa(tire, stiffnessKgPerMm(tire, kpa))).toBeCloseTo(kpa, 8);
      }),
      { seed: 5 },
    );
  });
});

describe('pressureForShareKpa', () => {
  it('leads from a pressure to a deflection and back', () => {
    fc.assert(
      fc.property(anyBuild, load, pressure, (tire, kg, kpa) => {
        expect(pressureForShareKpa(tire, kg, deflectionShare(tire, kg, kpa))).toBeCloseTo(kpa, 8);
      }),
      { seed: 6 },
    );
  });

  it('is below zero where a stiff carcass under a light load never bends that far', () => {
    expect(pressureForShareKpa(build('LT285/70R17', 1.8), 200, 0.3)).toBeLessThan(0);
  });
});

describe('chordMm', () => {
  it.each([
    [10, 0, 0],
    [10, 1, 6],
    [10, 5, 10],
    [10, 10, 0],
  ])('circle of %d cut at %d', (diameter, depth, chord) => {
    expect(chordMm(diameter, depth)).toBeCloseTo(chord, 12);
  });

  it.each([-1, 11, Number.NaN])('is a bug to ask for a depth of %d in a circle of 10', (depth) => {
    expect(() => chordMm(10, depth)).toThrow(RangeError);
  });
});

describe('contactPatch', () => {
  it('gives the docblock example', () => {
    const patch = contactPatch(build('245/75R16'), 500, 310)!;
    expect(patch.deflectionMm).toBeCloseTo(14, 1);
    expect(patch.lengthMm).toBeCloseTo(140, 0);
    expect(patch.widthMm).toBeCloseTo(184, 0);
    expect(patch.groundPressureKpa).toBeCloseTo(190, 0);
  });

  it('says nothing where the sidewall would be squeezed flat', () => {
    expect(contactPatch(build('205/55R16'), 1200, 0)).toBeNull();
  });

  it('is never shorter at less pressure, nor under more load', () => {
    fc.assert(
      fc.property(anyBuild, load, pressure, fc.double({ min: 0.5, max: 1, noNaN: true }), (tire, kg, kpa, share) => {
        const firm = contactPatch(tire, kg, kpa);
        const soft = contactPatch(tire, kg, kpa * share);
        const light = contactPatch(tire, kg * share, kpa);
        fc.pre(firm !== null && soft !== null && light !== null);
        expect(soft!.lengthMm).toBeGreaterThanOrEqual(firm!.lengthMm);
        expect(light!.lengthMm).toBeLessThanOrEqual(firm!.lengthMm);
        expect(deflectionMm(tire, kg, kpa * share)).toBeGreaterThanOrEqual(firm!.deflectionMm);
      }),
      { seed: 8, numRuns: 300 },
    );
  });

  it('scales with the contact constant', () => {
    const one = contactPatch(build('265/65R17'), 600, 110)!;
    const two = contactPatch({ ...build('265/65R17'), contactFactor: 1.2 }, 600, 110)!;
    expect(two.lengthMm / one.lengthMm).toBeCloseTo(1.2, 12);
    expect(two.groundPressureKpa / one.groundPressureKpa).toBeCloseTo(1 / 1.2, 12);
  });
});
