import fc from 'fast-check';

import { fillPlan, type FillInput, type FillWheel } from './airUp';
import type { Pump } from '../tools/pump';
import { fillSeconds } from './compressor';

const pump: Pump = { flow: [{ pressureKpa: 0, litersPerMin: 60 }], duty: null, budget: null };
const wheel = (change: Partial<FillWheel> = {}): FillWheel => ({
  position: 'front',
  wheel: 'left',
  volumeL: 60,
  fromKpa: 110,
  toKpa: 250,
  walkS: 5,
  ...change,
});
const four = [
  wheel(),
  wheel({ wheel: 'right' }),
  wheel({ position: 'rear' }),
  wheel({ position: 'rear', wheel: 'right' }),
];
const plan = (change: Partial<FillInput> = {}) =>
  fillPlan({ wheels: four, pump, outsideKpaAbs: 101.325, setUpS: 10, ...change });

describe('fillPlan', () => {
  it('is the sum of its wheels, with walking and screwing on', () => {
    const one = fillSeconds(pump.flow, 60, 110, 250, 101.325);
    expect(plan().totalS).toBeCloseTo(4 * (one + 15), 9);
    expect(plan().shortAt).toBeNull();
    expect(plan().missingLiters).toBeCloseTo(0, 9);
    expect(plan().wheels[3]!.leftLiters).toBeNull();
  });

  it('rests when the pump has run its time, not before and not at the very end', () => {
    // 83 s a wheel: two minutes of running end inside the second and the third wheel; the pauses cool little.
    const rested = plan({ pump: { ...pump, duty: { onMin: 2, restMin: 10 } } });
    expect(rested.wheels.map(({ restS }) => restS)).toEqual([0, 600, 600, 0]);
    expect(plan({ pump: { ...pump, duty: { onMin: 30, restMin: 10 } } }).restS).toBe(0);
  });

  it('cools while one walks', () => {
    const slow = four.map((each) => ({ ...each, walkS: 3600 }));
    expect(plan({ wheels: slow, pump: { ...pump, duty: { onMin: 2, restMin: 10 } } }).restS).toBe(0);
  });

  it('says before it begins which wheel will be short, and how far it comes', () => {
    // 82.9 L a wheel: 300 L are enough for three and 51 L of the fourth.
    const short = plan({ pump: { ...pump, budget: { kind: 'liters', liters: 300 } } });
    expect(short.shortAt).toEqual({ position: 'rear', wheel: 'right' });
    expect(short.wheels.map(({ enough }) => enough)).toEqual([true, true, true, false]);
    expect(short.wheels[3]!.reachedKpa).toBeCloseTo(110 + ((300 - 3 * 82.902) * 101.325) / 60, 1);
    expect(short.missingLiters).toBeCloseTo(4 * 82.902 - 300, 1);
    expect(short.wheels[3]!.leftLiters).toBeCloseTo(0, 9);
  });

  it('says which wheel a pump that stalls can’t fill', () => {
    const weak: Pump = {
      ...pump,
      flow: [
        { pressureKpa: 0, litersPerMin: 10 },
        { pressureKpa: 200, litersPerMin: 0 },
      ],
    };
    const stalled = plan({ pump: weak });
    expect(stalled.shortAt).toEqual({ position: 'front', wheel: 'left' });
    // It comes to rest where it delivers nothing any more, and its air is not what is missing.
    expect(stalled.wheels[0]!.reachedKpa).toBe(200);
    expect(stalled.shortBecause).toBe('stalls');
    const dry = plan({ pump: { ...weak, budget: { kind: 'liters', liters: 20 } } });
    expect(dry.shortBecause).toBe('runsOut');
    expect(plan().shortBecause).toBeNull();
    // Firmer than the pump can: nothing is let out of it.
    expect(plan({ pump: weak, wheels: [wheel({ fromKpa: 230 })] }).wheels[0]!.reachedKpa).toBe(230);
  });

  it('fills four on four hoses in the minutes of the pump, without the rests between', () => {
    const one = fillSeconds(pump.flow, 60, 110, 250, 101.325);
    const together = plan({ wheelsAtOnce: 4 });
    expect(together.totalS).toBeCloseTo(4 * one + 4 * 15, 9);
    expect(together.wheels.map(({ startS }) => startS)).toEqual([60, 60, 60, 60]);
    const duty = { onMin: 2, restMin: 10 };
    expect(plan({ wheelsAtOnce: 4, pump: { ...pump, duty } }).restS).toBe(2 * 600);
    // Two hoses: two and two.
    expect(plan({ wheelsAtOnce: 2 }).wheels.map(({ endS }) => endS)).toEqual(
      [1, 1, 2, 2].map((pair) => expect.closeTo(pair * (2 * one + 30), 9)),
    );
  });

  it('levels what hoses join, takes off who has enough, and goes on with the others', () => {
    const mixed = [wheel({ fromKpa: 100, toKpa: 240 }), wheel({ position: 'rear', fromKpa: 140, toKpa: 290 })];
    const { wheels, runS } = plan({ wheels: mixed, wheelsAtOnce: 4 });
    expect(runS).toBeCloseTo(
      fillSeconds(pump.flow, 120, 120, 240, 101.325) + fillSeconds(pump.flow, 60, 240, 290, 101.325),
      9,
    );
    expect(wheels.map(({ reachedKpa }) => reachedKpa)).toEqual([240, 290]);
    expect(wheels[0]!.endS).toBeLessThan(wheels[1]!.endS);
  });

  it('asks for the same air on any number of hoses, and leaves the same', () => {
    const pressureKpa = fc.double({ min: 60, max: 180, noNaN: true });
    fc.assert(
      fc.property(fc.array(pressureKpa, { minLength: 1, maxLength: 6 }), fc.integer({ min: 1, max: 6 }), (from, at) => {
        const wheels = from.map((fromKpa, index) => wheel({ fromKpa, toKpa: 250 + 10 * index, volumeL: 40 + index }));
        const [alone, joined] = [1, at].map((wheelsAtOnce) => plan({ wheels, wheelsAtOnce }));
        expect(joined!.liters).toBeCloseTo(alone!.liters, 6);
        expect(joined!.runS).toBeCloseTo(alone!.runS, 6);
        expect(joined!.shortAt).toBeNull();
      }),
      { seed: 1502 },
    );
  });

  it('goes by the person’s own clock', () => expect(plan({ rate: 0.5 }).runS).toBeCloseTo(2 * plan().runS, 9));

  it('keeps its air on hoses that run dry half way', () => {
    const short = plan({ wheelsAtOnce: 4, pump: { ...pump, budget: { kind: 'liters', liters: 200 } } });
    expect(short.liters).toBeCloseTo(200, 6);
    expect(short.wheels.every(({ reachedKpa }) => reachedKpa === short.wheels[0]!.reachedKpa)).toBe(true);
    expect(short.missingLiters).toBeCloseTo(4 * 82.902 - 200, 1);
    expect(short.shortBecause).toBe('runsOut');
  });

  it('keeps its air: what went in is what was there less what is left', () => {
    fc.assert(
      fc.property(fc.double({ min: 20, max: 600, noNaN: true }), (liters) => {
        const { wheels, liters: used } = plan({ pump: { ...pump, budget: { kind: 'liters', liters } } });
        expect(used + wheels.at(-1)!.leftLiters!).toBeCloseTo(liters, 6);
      }),
      { seed: 504 },
    );
  });
});
