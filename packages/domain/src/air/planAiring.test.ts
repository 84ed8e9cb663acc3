import { psi } from '@dunlinmoss/core';

import { sampleRig } from '../testing/sampleRig';
import { planAiring, type AiringQuestion } from './planAiring';
import { rigWheels } from './wheels';

const rig = sampleRig();
const wheels = rigWheels(rig);
const ask = (way: 'out' | 'in', inIt: number | undefined, change: Partial<AiringQuestion> = {}) =>
  planAiring({
    way,
    rig,
    wheels,
    used: { kind: way === 'out' ? 'coreDeflator' : 'batteryClipCompressor', tool: undefined },
    airings: [],
    conditions: { coldTempC: 20, tireTempC: 20, altitudeM: 0 },
    justDriven: false,
    floorKpa: () => psi(12),
    outsideKpaAbs: 101.325,
    known: (wheel) =>
      inIt === undefined
        ? undefined
        : {
            position: wheel.position,
            wheel: wheel.wheel,
            coldKpa: psi(inIt),
            known: 'read',
            from: 'reading',
            at: null,
            low: false,
          },
    coldKpa: () => psi(way === 'out' ? 16 : 36),
    onGauge: (kpa) => psi(Math.round(kpa / psi(1))),
    ...change,
  });

describe('planAiring', () => {
  it('goes from what is in each wheel to its number, as warm as the tires are', () => {
    const { rows, totalS, drain } = ask('out', 36, { conditions: { coldTempC: 10, tireTempC: 38, altitudeM: 0 } });
    expect(rows.map(({ fromKpa, targetKpa }) => [fromKpa! / psi(1), targetKpa! / psi(1)])).toEqual(
      wheels.map(() => [expect.closeTo(41, 6), expect.closeTo(19, 6)]),
    );
    expect(drain!.totalS).toBe(totalS);
  });

  it.each([
    ['its number, far from the floor', 16, 12, 16],
    ['no lower than what is the floor once it has cooled', 12, 12, 14],
    ['its number where nothing says how low', 12, undefined, 12],
  ])('goes just driven, nothing measured, to %s', (_, target, floor, expected) => {
    const change = { justDriven: true, coldKpa: () => psi(target), floorKpa: () => floor && psi(floor) };
    const rowsOf = (way: 'out' | 'in') => ask(way, 36, change).rows.map(({ targetKpa }) => targetKpa! / psi(1));
    expect(rowsOf('out')).toEqual(wheels.map(() => expect.closeTo(expected, 6)));
    // Pumped up, nobody knows how warm it is: the number itself, and a cold reading later.
    expect(rowsOf('in')).toEqual(wheels.map(() => expect.closeTo(target, 6)));
  });

  it('takes longer from higher up, and from softer in', () => {
    expect(ask('out', 40).totalS).toBeGreaterThan(ask('out', 30).totalS);
    expect(ask('in', 12).totalS).toBeGreaterThan(ask('in', 20).totalS);
  });

  it('says which wheels are past their number already', () => {
    expect(ask('out', 12).rows.every(({ past }) => past)).toBe(true);
    expect(ask('in', 40).rows.every(({ past }) => past)).toBe(true);
    expect(ask('out', 16).rows.some(({ past }) => past)).toBe(false);
    // Of what nobody knows nothing is said.
    expect(ask('out', undefined).rows.some(({ past }) => past)).toBe(false);
  });

  it('leaves a wheel without a number open', () => {
    expect(ask('out', 36, { coldKpa: () => undefined }).rows[0]!.targetKpa).toBeUndefined();
  });
});
