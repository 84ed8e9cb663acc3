import fc from 'fast-check';

import { readMarking } from '../markings/readMarking';
import { psi } from '../units/units';
import { dropShare, pressureForDropKpa } from './bicycleDrop';
import { contactPatch } from './contactPatch';
import { deflectionMm, deflectionShare, pressureForShareKpa, standingDiameterMm, standingHeightMm } from './deflection';
import type { TireBuild } from './stiffness';

const reading = readMarking('29x2.40');
if (!reading.ok) throw new Error('29x2.40');
const build: TireBuild = { tire: reading.value, carcass: 1 };
const anyWidth = fc.double({ min: 25, max: 110, noNaN: true });
const anyLoad = fc.double({ min: 15, max: 120, noNaN: true });
const anyKpa = fc.double({ min: 25, max: 600, noNaN: true });

describe('dropShare', () => {
  it('gives the worked number of its own words', () => {
    expect(dropShare(42, 54, psi(43))).toBeCloseTo(0.15, 2);
  });

  it('turns round', () => {
    fc.assert(
      fc.property(anyWidth, anyLoad, anyKpa, (widthMm, loadKg, kpa) => {
        expect(pressureForDropKpa(widthMm, loadKg, dropShare(widthMm, loadKg, kpa))).toBeCloseTo(kpa, 6);
      }),
      { seed: 51 },
    );
  });

  it('falls with width and pressure, and goes with load', () => {
    fc.assert(
      fc.property(anyWidth, anyLoad, anyKpa, (widthMm, loadKg, kpa) => {
        const drop = dropShare(widthMm, loadKg, kpa);
        expect(dropShare(widthMm * 1.1, loadKg, kpa)).toBeLessThan(drop);
        expect(dropShare(widthMm, loadKg, kpa * 1.1)).toBeLessThan(drop);
        expect(dropShare(widthMm, loadKg * 2, kpa)).toBeCloseTo(2 * drop, 9);
      }),
      { seed: 52 },
    );
  });
});

describe('a bicycle tire on the ground', () => {
  it('goes by its measured width where there is one', () => {
    expect(standingHeightMm(build)).toBeCloseTo(60.96, 9);
    expect(standingHeightMm({ ...build, widthMm: 58 })).toBe(58);
    expect(standingDiameterMm({ ...build, widthMm: 58 })).toBe(622 + 2 * 58);
    expect(deflectionShare({ ...build, widthMm: 58 }, 50, 160)).toBeGreaterThan(deflectionShare(build, 50, 160));
  });

  it('settles by its drop, and the pressure for a share turns round', () => {
    expect(deflectionMm(build, 50, 160)).toBeCloseTo(dropShare(60.96, 50, 160) * 60.96, 9);
    expect(pressureForShareKpa(build, 50, deflectionShare(build, 50, 160))).toBeCloseTo(160, 9);
  });

  it('presses with its air and a thin skin, in an ellipse that carries the load', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 90, noNaN: true }),
        fc.double({ min: 80, max: 400, noNaN: true }),
        (kg, kpa) => {
          const patch = contactPatch(build, kg, kpa);
          if (!patch) return;
          expect(patch.groundPressureKpa).toBeCloseTo(kpa + psi(7.17), 6);
          expect((patch.groundPressureKpa * patch.grossAreaMm2) / 1000).toBeCloseTo(kg * 9.80665, 6);
          expect((Math.PI / 4) * patch.lengthMm * patch.widthMm).toBeCloseTo(patch.grossAreaMm2, 6);
          expect(patch.lengthMm).toBeGreaterThan(patch.widthMm);
        },
      ),
      { seed: 53 },
    );
  });

  it('takes length and drop from what was measured', () => {
    const own = contactPatch({ ...build, contactFactor: 1.1 }, 50, 160)!;
    const free = contactPatch(build, 50, 160)!;
    expect(own.lengthMm).toBeCloseTo(1.1 * free.lengthMm, 9);
    expect(own.groundPressureKpa).toBeCloseTo(free.groundPressureKpa / 1.1, 9);
    expect(contactPatch({ ...build, dropFactor: 1.1 }, 50, 160)!.deflectionMm).toBeCloseTo(1.1 * free.deflectionMm, 9);
  });

  it('has no print where it would drop to the rim', () => {
    expect(contactPatch(build, 400, 10)).toBeNull();
  });
});
