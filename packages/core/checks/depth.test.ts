import fc from 'fast-check';
import jStat from 'jstat';

import { bulb } from '../src/depth/bulb';
import {
  chanceOf,
  concentrationAt,
  contactOnSoil,
  firmAreaM2,
  levers,
  pressing,
  pressingOnly,
  rutDepthM,
  shareDrivenOn,
  softAreaM2,
  stressBelow,
  stressBelowAll,
  stressSheet,
  stressUnderCircle,
  strengthAt,
  SUBSOIL_RULE,
  suctionAfter,
  suctionOf,
  TEXTURES,
  textureOf,
  waterAt,
  wetnessAt,
  type FarmSoil,
  type FarmAxle,
  type FieldTire,
  type SoilContact,
} from '../src/index';

/** 650/65R34: 0.65 m wide, 34 in of rim and two flanks of 0.4225 m. */
const WIDE: FieldTire = { widthM: 0.65, diameterM: 1.7086, loadKg: 2750, pressureKpa: 45 };
const moist: FarmSoil = { texture: textureOf('loam'), daysSinceRain: 2, looseToM: 0, strengthFactor: 1 };
const DEPTHS = [0.2, 0.35, 0.5];
const axle = (tire: FieldTire, change: Partial<FarmAxle> = {}): FarmAxle => ({
  ...{ tire, tiresAtM: [-0.9, 0.9], passes: 1 },
  ...change,
});

describe('stress below a circle', () => {
  // Exact, by the closed form; Fröhlich 1934, Söhne 1953 (from memory).
  it.each([
    [3, 64.6],
    [4, 75.0],
    [5, 82.3],
    [6, 87.5],
  ])('at z = a, concentration %d: %d %%', (concentration, percent) => {
    expect(100 * stressUnderCircle(1, 0.3, 0.3, concentration)).toBeCloseTo(percent, 1);
  });

  it.each([
    [4, 7.54],
    [5, 9.34],
    [6, 11.1],
  ])('at z = 5a under 100 kPa, concentration %d: %d kPa', (concentration, kpa) => {
    expect(stressUnderCircle(100, 0.2, 1, concentration)).toBeCloseTo(kpa, 2);
  });

  // Adding up pieces of an even circle comes to the closed form.
  it.each([4, 5, 6])('is what the pieces of an even one add up to, concentration %d', (concentration) => {
    const areaM2 = Math.PI * 0.3 ** 2;
    const even: SoilContact = {
      ...{ areaM2, lengthM: 0.6, widthM: 0.6, loadKn: 100 * areaM2, meanKpa: 100, peakOverMean: 1.0001 },
    };
    const below = stressBelow(even, concentration);
    for (const depthM of [0.15, 0.3, 0.6, 1.5]) {
      const ratio = below(0, 0, depthM) / stressUnderCircle(100, 0.3, depthM, concentration);
      expect(Math.abs(ratio - 1)).toBeLessThan(depthM < 0.2 ? 0.03 : 0.01);
    }
  });

  it('is the same on a sheet that is worked out once, on either side', () => {
    const contact = contactOnSoil(WIDE, 0.7);
    const depths = [0.1, 0.3, 0.8];
    const sheet = stressSheet(contact, 5.4, 2, depths, 81);
    const below = stressBelow(contact, 5.4);
    depths.forEach((depthM, row) => {
      for (const x of [0, 0.21, 0.5, 1.4]) {
        // Good for drawing: within a twentieth of the most there is at that depth.
        expect(Math.abs(sheet(x, row) - below(x, 0, depthM))).toBeLessThan(0.05 * below(0, 0, depthM));
        expect(sheet(-x, row)).toBe(sheet(x, row));
      }
      expect(sheet(5, row)).toBe(0);
    });
  });

  it('adds up over a level to the load that stands on it', () => {
    const contact = contactOnSoil(WIDE, 0.5);
    const below = stressBelow(contact, 5);
    const stepM = 0.05;
    let sum = 0;
    for (let x = -6; x <= 6; x += stepM) for (let y = -6; y <= 6; y += stepM) sum += below(x, y, 0.5) * stepM ** 2;
    expect(sum / contact.loadKn).toBeGreaterThan(0.98);
    expect(sum / contact.loadKn).toBeLessThan(1.001);
  });
});

describe('contact on soil', () => {
  // Published: O'Sullivan, Henshall and Dickson 1999 (from memory); worked by hand for 480/80R50: b 0.480 m, d 2.038 m.
  it('has 480/80R50 under 29.42 kN at 78.4 kPa stand on 0.2701 m² of firm soil and 0.4703 of soft', () => {
    expect(firmAreaM2(0.48, 2.038, 29.42, 78.4)).toBeCloseTo(0.2701, 4);
    expect(softAreaM2(0.48, 2.038, 29.42, 78.4)).toBeCloseTo(0.4703, 4);
  });
});

describe('half the load at half the pressure, twice', () => {
  it('two wheels of 2.75 t at 45 kPa 75 cm apart against one at 90: at 50 cm 88 → 48 under, 36 between', () => {
    const wetness = 0.5;
    const concentration = concentrationAt(wetness);
    const one = stressBelow(contactOnSoil({ ...WIDE, loadKg: 5500, pressureKpa: 90 }, wetness), concentration);
    const contact = contactOnSoil(WIDE, wetness);
    const two = stressBelowAll(
      [
        { contact, x: -0.375, y: 0 },
        { contact, x: 0.375, y: 0 },
      ],
      concentration,
    );
    expect(one(0, 0, 0.5)).toBeCloseTo(88, -0.3);
    expect(two(0.375, 0, 0.5)).toBeCloseTo(48, -0.3);
    expect(two(0, 0, 0.5)).toBeCloseTo(36, -0.3);
  });

  it('an axle 1.3 m behind adds nothing at 50 cm', () => {
    const contact = contactOnSoil(WIDE, 0.5);
    const alone = stressBelow(contact, 5)(0, 0, 0.5);
    const followed = stressBelowAll(
      [
        { contact, x: 0, y: 0 },
        { contact, x: 0, y: 1.3 },
      ],
      5,
    )(0, 0, 0.5);
    expect(followed / alone).toBeLessThan(1.02);
  });
});

describe('water and strength', () => {
  it('turns round what a soil holds at a suction, for every texture', () => {
    for (const texture of TEXTURES) {
      for (const pF of [0.5, 1.0, 1.8, 2.5, 3.4, 4.1]) {
        expect(suctionOf(texture, waterAt(texture, pF))).toBeCloseTo(pF, 6);
      }
      expect(suctionOf(texture, 0)).toBe(4.2);
    }
  });

  // Published: Carsel and Parrish 1988 through van Genuchten's curve (from memory): sand drains, clay holds.
  it('lets sand hold the least and clay the most at field moisture', () => {
    const held = TEXTURES.map((texture) => waterAt(texture, 1.8));
    expect([...held].sort((a, b) => a - b)).toEqual([
      held[0],
      held[1],
      held[2],
      ...held.slice(3).sort((a, b) => a - b),
    ]);
    expect(held[0]).toBeLessThan(0.13);
    expect(waterAt(textureOf('clay'), 1.8)).toBeGreaterThan(0.33);
  });

  it('dries from the top, and never gets wetter by waiting', () => {
    for (const texture of TEXTURES) {
      for (const depthM of [0.1, 0.3, 0.5]) {
        let before = 0;
        for (const days of [0, 1, 2, 4, 8, 20, 60]) {
          const pF = suctionAfter(texture, days, depthM);
          expect(pF).toBeGreaterThanOrEqual(before - 1e-9);
          before = pF;
        }
      }
      expect(suctionAfter(texture, 10, 0.1)).toBeGreaterThanOrEqual(suctionAfter(texture, 10, 0.5));
    }
    expect([wetnessAt(1), wetnessAt(1.8), wetnessAt(2.6), wetnessAt(4)]).toEqual([1, 0.5, 0, 0]);
  });

  it('bears what its texture bears at field moisture, and four tenths of it where it is loose', () => {
    expect(strengthAt(moist, 0.3)).toBeCloseTo(70, 6);
    expect(strengthAt({ ...moist, looseToM: 0.25 }, 0.2)).toBeCloseTo(28, 6);
    expect(strengthAt({ ...moist, looseToM: 0.25 }, 0.3)).toBeCloseTo(70, 6);
    expect(strengthAt({ ...moist, strengthFactor: 1.4 }, 0.3)).toBeCloseTo(98, 6);
  });

  it('gives way half the time where stress is strength, by the normal curve of a reference library', () => {
    expect(chanceOf(70, 70)).toBeCloseTo(0.5, 7);
    for (const ratio of [0.3, 0.7, 1.2, 2, 4]) {
      expect(chanceOf(70 * ratio, 70)).toBeCloseTo(jStat.normal.cdf(Math.log(ratio) / 0.45, 0, 1), 6);
    }
  });
});

describe('laws', () => {
  // A tire that lay on more than six tenths of its diameter would be flat.
  const stands = (tire: FieldTire): boolean => contactOnSoil(tire, 0).lengthM < 0.6 * tire.diameterM;
  const tires = fc
    .record({
      widthM: fc.double({ min: 0.3, max: 0.9, noNaN: true }),
      diameterM: fc.double({ min: 0.9, max: 2.1, noNaN: true }),
      loadKg: fc.integer({ min: 300, max: 6000 }),
      pressureKpa: fc.integer({ min: 40, max: 300 }),
    })
    .filter(stands);
  const fields = fc.record({
    texture: fc.constantFrom(...TEXTURES),
    daysSinceRain: fc.integer({ min: 0, max: 20 }),
    looseToM: fc.constantFrom(0, 0.2),
    strengthFactor: fc.constantFrom(0.7, 1, 1.5),
  });

  it('more load never presses less deep, nor more pressure, and stress never grows with depth', () => {
    fc.assert(
      fc.property(tires, fields, fc.double({ min: 1.05, max: 2, noNaN: true }), (tire, field, more) => {
        const chances = (change: Partial<FieldTire>): number[] =>
          pressing(axle({ ...tire, ...change }), field, DEPTHS).depths.map(({ chance }) => chance);
        fc.pre(stands({ ...tire, loadKg: tire.loadKg * more }));
        const [as, heavier, firmer] = [
          {},
          { loadKg: tire.loadKg * more },
          { pressureKpa: tire.pressureKpa * more },
        ].map(chances);
        as!.forEach((chance, index) => {
          expect(heavier![index]!).toBeGreaterThanOrEqual(chance - 1e-9);
          expect(firmer![index]!).toBeGreaterThanOrEqual(chance - 1e-9);
        });
        const stresses = pressing(axle(tire), field, DEPTHS).depths.map(({ stressKpa }) => stressKpa);
        expect([...stresses].sort((a, b) => b - a)).toEqual(stresses);
      }),
      { numRuns: 60 },
    );
  });

  it('the spread lies round the chance, and clay that is wetter is never safer', () => {
    fc.assert(
      fc.property(tires, fields, (tire, field) => {
        for (const { chance, leastChance, mostChance } of pressing(axle(tire), field, DEPTHS).depths) {
          expect(leastChance).toBeLessThanOrEqual(chance);
          expect(mostChance).toBeGreaterThanOrEqual(chance);
        }
        const clay = { ...field, texture: textureOf('clay') };
        const at = (daysSinceRain: number): number[] =>
          pressing(axle(tire), { ...clay, daysSinceRain }, [0.35, 0.5]).depths.map(({ chance }) => chance);
        at(12).forEach((chance, index) => expect(chance).toBeLessThanOrEqual(at(1)[index]! + 1e-9));
      }),
      { numRuns: 60 },
    );
  });

  it('every lever stands on the tire’s own curve, and each that is offered helps', () => {
    fc.assert(
      fc.property(tires, fields, fc.double({ min: 0.02, max: 0.06, noNaN: true }), (tire, field, kpaPerKg) => {
        const leastKpa = (loadKg: number): number | null => (loadKg > 5000 ? null : Math.max(40, loadKg * kpaPerKg));
        const input = {
          axle: axle(tire, { passes: 3 }),
          field,
          depthsM: DEPTHS,
          leastKpa,
          lessLoad: 0.25,
          waitDays: 3,
          fewestPasses: 2,
          takesDuals: true,
        };
        const { all, none } = levers(input);
        for (const { code, to, gain, byOwnCurve } of all) {
          expect(gain).toBeGreaterThan(0);
          if (code !== 'lowerPressure' && code !== 'lessLoad' && code !== 'duals') continue;
          // As firm as its curve asks for that load, or as firm as it was, where that is firmer still than it asks.
          const loadKg = code === 'duals' ? to.loadKg / 0.88 : to.loadKg;
          const asked = leastKpa(loadKg);
          if (byOwnCurve) expect(to.pressureKpa).toBeGreaterThanOrEqual(Math.min(asked!, tire.pressureKpa) - 1e-9);
        }
        expect(all.map(({ gain }) => gain)).toEqual(all.map(({ gain }) => gain).sort((a, b) => b - a));
        expect(new Set([...all, ...none].map(({ code }) => code)).size).toBe(6);
      }),
      { numRuns: 60 },
    );
  });

  // The trade: stress at the surface follows inflation, stress at depth the load; waiting spares the top.
  it('load decides the depth, pressure the top, and waiting spares the top', () => {
    const tire: FieldTire = { widthM: 0.52, diameterM: 1.8, loadKg: 2600, pressureKpa: 160 };
    const at = (change: Partial<FieldTire>, field: FarmSoil = moist): number[] =>
      pressing(axle({ ...tire, ...change }), field, [0.1, 0.6]).depths.map(({ stressKpa }) => stressKpa);
    const [top, deep] = at({});
    const [softTop, softDeep] = at({ pressureKpa: 80 });
    const [lightTop, lightDeep] = at({ loadKg: 1300 });
    expect(1 - softTop! / top!).toBeGreaterThan(1 - softDeep! / deep!);
    expect(1 - lightDeep! / deep!).toBeGreaterThan(1 - softDeep! / deep!);
    expect(1 - softTop! / top!).toBeGreaterThan(1 - lightTop! / top! - 0.2);
    const gained = (depthM: number): number =>
      strengthAt({ ...moist, daysSinceRain: 8 }, depthM) / strengthAt(moist, depthM);
    expect(gained(0.1) - 1).toBeGreaterThan(4 * (gained(0.6) - 1));
  });

  it('comes to the same where only figures are asked for, and presses the hardest below an inner tire of a pair', () => {
    const pair = axle(WIDE, { tiresAtM: [-1.6, -0.9, 0.9, 1.6] });
    const whole = pressing(pair, moist, DEPTHS);
    const only = pressingOnly(pair, moist, DEPTHS);
    expect(only).toEqual(whole.depths.map(({ leastChance: _, mostChance: __, ...rest }) => rest));
    for (const x of pair.tiresAtM) {
      expect(whole.stressAt(whole.worstAtM, 0.5)).toBeGreaterThanOrEqual(whole.stressAt(x, 0.5) - 1e-9);
    }
  });

  it('says where the rule for moist subsoil is passed: 50 kPa at 50 cm', () => {
    // Published: Schjønning et al. 2012 (from memory).
    expect(SUBSOIL_RULE).toMatchObject({ stressKpa: 50, depthM: 0.5 });
    expect(pressing(axle({ ...WIDE, loadKg: 1500 }), moist, DEPTHS).pastRule).toBe(false);
    expect(pressing(axle({ ...WIDE, loadKg: 5000, pressureKpa: 160 }), moist, DEPTHS).pastRule).toBe(true);
  });
});

describe('ruts and tracks', () => {
  it('a firmer cone, a lighter wheel and a softer tire leave a shallower rut; past a third of the wheel there is no figure', () => {
    const tire = { ...WIDE, loadKg: 3000 };
    const rut = rutDepthM(tire, 0.1, 600)!;
    // Worked by hand: N = 600·0.65^0.8·1.7086^0.8·0.1^0.4/29.42 = 8.83; 0.224·1.7086·N^−1.25 = 0.0251 m.
    expect(rut).toBeCloseTo(0.0251, 3);
    expect(rutDepthM(tire, 0.1, 1200)!).toBeLessThan(rut);
    expect(rutDepthM({ ...tire, loadKg: 2000 }, 0.1, 600)!).toBeLessThan(rut);
    expect(rutDepthM(tire, 0.2, 600)!).toBeLessThan(rut);
    expect(rutDepthM(tire, 0.02, 60)).toBeNull();
  });

  it('counts a track once where axles follow each other, and never more than the field', () => {
    const rear = axle({ ...WIDE, widthM: 0.6 });
    const front = axle({ ...WIDE, widthM: 0.4 });
    expect(shareDrivenOn([front, rear], 6)).toBeCloseTo(0.2, 9);
    expect(shareDrivenOn([axle(WIDE, { tiresAtM: [-0.5, 0.5] }), rear], 6)).toBeCloseTo((2 * (0.325 + 0.7)) / 6, 9);
    expect(shareDrivenOn([rear], 0.5)).toBe(1);
  });
});

describe('the bulb', () => {
  it('has each band inside the one before, and reaches as deep as the chance below the tire says', () => {
    const on = axle({ ...WIDE, loadKg: 4000, pressureKpa: 120 });
    const pressed = pressing(on, moist, [0.2, 0.35, 0.5]);
    const bands = bulb(on, moist, pressed, { atM: 0.9, acrossM: 1.4, depthM: 1, from: [0.1, 0.33, 0.66, 0.9] });
    const deepest = bands.map(({ rings }) => Math.max(0, ...rings.flat().map(([, depthM]) => depthM)));
    expect(bands.map(({ chance }) => chance)).toEqual([0.1, 0.33, 0.66, 0.9]);
    expect([...deepest].sort((a, b) => b - a)).toEqual(deepest);
    // Where a band ends below the middle of the tire, the chance there is the band's own.
    const [, third] = deepest;
    const [there] = pressing(on, moist, [third!]).depths;
    expect(there!.chance).toBeCloseTo(0.33, 1);
  });
});
