import { psi, type FamilyCode } from '@dunlinmoss/core';

import type { Units } from '../../data/preferences';
import { rigBody } from '../../data/rigs';
import { sampleAxle, sampleRig } from '../../testing/sampleRig';
import { addedAxle, emptyRig, formField, rigValues, toRig, type RigFormValues } from './rigForm';

const units: Units = { pressure: 'psi', mass: 'lb', length: 'in' };
const gauges = new Map([['0192f000-0000-7000-8000-000000000401', psi(1)]]);
const rig = sampleRig({
  axles: [
    sampleAxle('front', { tireMarking: 'LT285/70R17 121/118Q E', loadRange: 'E', roadKpa: psi(45), ratingKg: 1500 }),
    sampleAxle('rear', { tireMarking: 'LT285/70R17 121/118Q E', loadRange: 'E', roadKpa: psi(50), beadHold: 'none' }),
  ],
});
const { id, family, loadCases, loadCaseId, school, beadFloorKpa } = rig;
const rest = { id, family, loadCases, loadCaseId, school, beadFloorKpa };
const values = rigValues(rig, units);
const typed = (text: string, unit: string) => ({ text, unit });
const changed = (
  index: number,
  change: Partial<RigFormValues['axles'][number]>,
  more: Partial<RigFormValues> = {},
) => ({
  ...values,
  ...more,
  axles: values.axles.map((axle, at) => (at === index ? { ...axle, ...change } : axle)),
});
const problemsOf = (of: RigFormValues, as = rest) => {
  const result = toRig(of, as, gauges, units);
  return result.ok ? {} : result.problems;
};
const rigOf = (of: RigFormValues) => {
  const result = toRig(of, rest, gauges, units);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.rig;
};

describe('toRig', () => {
  it('gives back the rig that the form was filled from, to what a form can show', () => {
    const back = rigOf(values);
    expect(back).toMatchObject({ name: 'Knot', revision: 1, loadCases, loadCaseId });
    expect(back.axles[0]!.roadKpa).toBeCloseTo(psi(45), 6);
    expect(Math.abs(back.axles[1]!.behindMm - 2790)).toBeLessThan(0.2);
    expect(Math.abs(back.axles[0]!.ratingKg! - 1500)).toBeLessThan(0.05);
    expect(back.axles[1]).toMatchObject({ trackMm: expect.any(Number), rimInnerMm: null, present: null });
  });

  it('is exact where the units are those that are kept', () => {
    const plain: Units = { pressure: 'kPa', mass: 'kg', length: 'mm' };
    const whole = { ...rig, axles: rig.axles.map((axle) => ({ ...axle, roadKpa: 250 })) };
    const result = toRig(rigValues(whole, plain), rest, gauges, plain);
    expect(result.ok && result.rig).toEqual(rigBody(whole));
  });

  it('puts the front tire on the rear when they are the same, and its own on a trailer', () => {
    const same = changed(1, { marking: 'ignored' });
    expect(rigOf(same).axles[1]!.tireMarking).toBe('LT285/70R17 121/118Q E');
    const trailer = {
      ...addedAxle(values.axles, 'trailer', units),
      marking: '185R14C 102/100R',
      road: typed('40', 'psi'),
    };
    const towing = { ...values, hitch: typed('140', 'in'), axles: [...values.axles, trailer] };
    expect(rigOf(towing).axles[2]).toMatchObject({ position: 'trailer', tireMarking: '185R14C 102/100R' });
    expect(rigOf(towing).hitchMm).toBeCloseTo(3556, 6);
  });

  it('takes the load range from the marking where it says one', () => {
    expect(rigOf(changed(0, { loadRange: 'C' })).axles[0]!.loadRange).toBe('E');
  });

  it('keeps what a gauge showed with its offset of the day', () => {
    const [gaugeId] = gauges.keys();
    expect(rigOf(changed(0, { present: typed('41', 'psi'), gaugeId: gaugeId! })).axles[0]!.present).toEqual({
      rawKpa: expect.closeTo(psi(41), 6),
      gaugeId,
      offsetKpa: psi(1),
    });
  });

  it('keeps an absurd number as it was typed', () => {
    expect(rigOf(changed(1, { behind: typed('0', 'in') })).axles[1]!.behindMm).toBe(0);
  });

  it('drops lines that are blank and refuses those that are half', () => {
    const blank = { pressure: typed('', ''), load: typed('', '') };
    const line = { pressure: typed('50', 'psi'), load: typed('2205', 'lb') };
    expect(rigOf(changed(0, { lines: [line, blank] })).axles[0]!.lines).toHaveLength(1);
    expect(problemsOf(changed(0, { lines: [{ ...line, load: typed('', '') }] }))).toHaveProperty([
      'axles.0.lines.0.load',
    ]);
  });

  it('puts a sentence beside every field that is needed and empty', () => {
    expect(Object.keys(problemsOf(emptyRig('fourWheel', units))).sort()).toEqual(['axles.0.marking', 'name']);
    const bad = changed(1, { road: typed('5o', 'psi') }, { sameTires: false });
    expect(problemsOf(bad)).toEqual({ 'axles.1.road': 'Expected a number, like 36 or 2.4.' });
  });

  it('tells a rear tire apart when the tires differ', () => {
    const bad = changed(1, { marking: 'round' }, { sameTires: false });
    expect(problemsOf(bad)).toEqual({ 'axles.1.marking': expect.stringContaining("can't be read") });
    expect(formField('/axles/1/tireMarking', values)).toBe('axles.0.marking');
  });

  it.each(['quad', 'gravelBike', 'tractor', 'farmTrailer', 'trailSingle'] as FamilyCode[])(
    'makes a %s of nothing but a name and a tire',
    (code) => {
      const blank = emptyRig(code, units);
      const marking =
        { quad: 'AT25x8-12', gravelBike: '700x42C', trailSingle: '90/90-21' }[code as string] ?? '480/80R50 159A8';
      const filled = { ...blank, name: 'Ruff', axles: blank.axles.map((axle) => ({ ...axle, marking })) };
      expect(toRig(filled, { ...rest, family: code }, gauges, units)).toMatchObject({ ok: true });
    },
  );
});

describe('addedAxle', () => {
  it('adds a bogie behind the last axle, and a trailer of its own', () => {
    const second = addedAxle(values.axles, 'tandem', units);
    expect(second.position).toBe('rear2');
    expect(Number(second.behind.text)).toBeCloseTo((2790 + 1300) / 25.4, 1);
    expect(addedAxle(values.axles, 'trailer', units)).toMatchObject({
      position: 'trailer',
      marking: '',
      driven: false,
    });
  });
});
