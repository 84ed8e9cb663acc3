import type { Rig } from '@dunlinmoss/contract';
import { psi } from '@dunlinmoss/core';

import type { Units } from '../../data/preferences';
import { EMPTY_RIG, rigValues, toRig, type RigFormValues } from './rigForm';

const units: Units = { pressure: 'psi', mass: 'lb', length: 'in' };
const id = '0192f000-0000-7000-8000-000000000001';
const axle = (position: 'front' | 'rear') => ({
  position,
  tireMarking: 'LT285/70R17 121/118Q E',
  loadRange: 'E' as const,
  placardKpa: psi(45),
  loadsFrom: 'wheel' as const,
  leftLoadKg: 600,
  rightLoadKg: 620,
});
const rig: Rig = {
  id,
  revision: 3,
  family: 'fourWheel',
  name: 'Knot',
  beadLocks: true,
  axles: [axle('front'), axle('rear')],
};
const values = rigValues(rig, units);
const problemsOf = (changed: RigFormValues) => {
  const result = toRig(changed, id, units);
  return result.ok ? {} : result.problems;
};

describe('toRig', () => {
  it('gives back the rig that the form was filled from, to what a form can show', () => {
    const result = toRig(values, id, units);
    expect(result.ok).toBe(true);
    if (!result.ok) return;
    expect(result.rig).toMatchObject({ name: 'Knot', beadLocks: true, revision: 3 });
    expect(result.rig.axles[0]!.placardKpa).toBeCloseTo(psi(45), 6);
    expect(Math.abs(result.rig.axles[1]!.rightLoadKg - 620)).toBeLessThan(0.25);
  });

  it('halves an axle load, and puts the front tire on the rear when they are the same', () => {
    const whole = { text: '2,400', unit: 'lb' };
    const changed = {
      ...values,
      rear: { ...values.rear, marking: 'ignored', loadsFrom: 'axle' as const, axleLoad: { ...whole, text: '2400' } },
    };
    const result = toRig(changed, id, units);
    expect(result.ok && result.rig.axles[1]).toMatchObject({
      tireMarking: 'LT285/70R17 121/118Q E',
      loadsFrom: 'axle',
    });
    expect(result.ok && result.rig.axles[1]!.leftLoadKg).toBeCloseTo(544.31, 2);
  });

  it('takes the load range from the marking where it says one', () => {
    const changed = { ...values, front: { ...values.front, loadRange: 'C' as const } };
    const result = toRig(changed, id, units);
    expect(result.ok && result.rig.axles[0]!.loadRange).toBe('E');
  });

  it('puts a sentence beside every empty field', () => {
    expect(Object.keys(problemsOf(EMPTY_RIG)).sort()).toEqual([
      'front.axleLoad',
      'front.marking',
      'front.placard',
      'name',
      'rear.axleLoad',
      'rear.placard',
    ]);
  });

  it('tells the bound of a whole axle where a whole axle was typed', () => {
    const light = {
      ...values,
      front: { ...values.front, loadsFrom: 'axle' as const, axleLoad: { text: '90', unit: 'lb' } },
    };
    expect(problemsOf(light)['front.axleLoad']?.replace(/\u00a0/g, ' ')).toBe(
      'Expected 220 lb or more. Check the unit.',
    );
  });

  it('tells a rear tire apart when the tires differ', () => {
    const changed = { ...values, sameTires: false, rear: { ...values.rear, marking: 'round' } };
    expect(problemsOf(changed)).toEqual({ 'rear.marking': expect.stringContaining("can't be read") });
  });
});
