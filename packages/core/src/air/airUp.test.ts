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
    expect(stalled.wheels[0]!.reachedKpa).toBe(110);
  });

  it('goes by the person’s own clock', () => expect(plan({ rate: 0.5 }).runS).toBeCloseTo(2 * plan().runS, 9));

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
