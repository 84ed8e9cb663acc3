import { rigLoads } from '@dunlinmoss/contract';

import type { Units } from '../../data/preferences';
import { sampleAxle, sampleCase, sampleRig } from '../../testing/sampleRig';
import { loadValues, newItem, placeMm, placesOf, toLoadCase, typedCase, type LoadFormValues } from './loadForm';

const units: Units = { pressure: 'psi', mass: 'kg', length: 'mm' };
const rig = sampleRig();
const [touring] = rig.loadCases;
const typed = (text: string) => ({ text, unit: 'kg' });
const caseOf = (values: LoadFormValues, of = rig) => {
  const result = toLoadCase(values, touring!.id, of, units);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.loadCase;
};
const problemsOf = (values: LoadFormValues, id = touring!.id) => {
  const result = toLoadCase(values, id, rig, units);
  return result.ok ? {} : result.problems;
};

describe('toLoadCase', () => {
  it('gives back the case that the form was filled from', () => {
    expect(caseOf(loadValues(rig, touring, units))).toEqual(touring);
    const worked = sampleCase({
      method: 'moments',
      weighed: [],
      unladen: [
        { position: 'front', loadKg: 1090 },
        { position: 'rear', loadKg: 960 },
      ],
      items: [
        { kind: 'thing', name: 'Roof tent', body: 'vehicle', behindMm: 1680, rightMm: -100, massKg: 62 },
        {
          kind: 'tank',
          name: 'Water',
          body: 'vehicle',
          behindMm: 2450,
          rightMm: null,
          liters: 60,
          densityKgPerL: 1,
          level: 0.35,
        },
      ],
    });
    expect(caseOf(loadValues(rig, worked, units))).toEqual(worked);
  });

  it('asks only for what its way of weighing needs, and keeps the rest while it is typed', () => {
    const values = loadValues(rig, touring, units);
    const axles = values.axles.map((axle) => ({
      ...axle,
      by: 'axle' as const,
      parts: { ...axle.parts, axle: typed('1130+5') },
    }));
    expect(caseOf({ ...values, axles }).weighed).toEqual([
      { position: 'front', part: 'axle', loadKg: 1135 },
      { position: 'rear', part: 'axle', loadKg: 1135 },
    ]);
    expect(axles[0]!.parts.left.text).toBe('560');
  });

  it('lets loads be missing: what hangs on them waits', () => {
    const values = loadValues(rig, undefined, units);
    expect(caseOf({ ...values, name: 'Later' }).weighed).toEqual([]);
  });

  it('puts a sentence beside what is no number, and beside a name that is taken', () => {
    const values = loadValues(rig, touring, units);
    const parts = { ...values.axles[1]!.parts, right: typed('heavy') };
    const bad = { ...values, axles: [values.axles[0]!, { ...values.axles[1]!, parts }] };
    expect(problemsOf(bad)).toEqual({ 'axles.1.parts.right': 'Expected a number, like 36 or 2.4.' });
    expect(problemsOf({ ...values, name: 'TOURING' }, '0192f000-0000-7000-8000-0000000000ff')).toEqual({
      name: expect.stringContaining('has this name'),
    });
    expect(problemsOf({ ...values, name: ' ' })).toHaveProperty('name');
  });

  it('refuses half a thing in its own place', () => {
    const moments = { ...loadValues(rig, undefined, units), name: 'Packed', method: 'moments' as const };
    const items = [newItem('thing', 'roof', rig, units), { ...newItem('tank', 'tray', rig, units), density: 'x' }];
    expect(Object.keys(problemsOf({ ...moments, items })).sort()).toEqual([
      'items.0.mass',
      'items.1.density',
      'items.1.liters',
    ]);
  });

  it('takes a bicycle by posture, with the person’s own share in percent', () => {
    const bike = sampleRig({
      family: 'gravelBike',
      axles: [
        sampleAxle('front', { wheels: 1, trackMm: null, tireMarking: '700x42C' }),
        sampleAxle('rear', { wheels: 1, trackMm: null, tireMarking: '700x42C', behindMm: 1040 }),
      ],
      loadCases: [],
    });
    const values: LoadFormValues = {
      ...loadValues(bike, undefined, units),
      name: 'Ridden',
      method: 'posture',
      rider: typed('74'),
      bike: typed('11'),
    };
    expect(caseOf(values, bike).posture).toEqual({ posture: 'gravel', frontShare: null, riderKg: 74, bikeKg: 11 });
    expect(caseOf({ ...values, frontShare: '42,5' }, bike).posture!.frontShare).toBeCloseTo(0.425, 9);
    expect(toLoadCase({ ...values, frontShare: '142' }, 'x', bike, units)).toMatchObject({
      ok: false,
      problems: { frontShare: expect.any(String) },
    });
  });
});

describe('typedCase', () => {
  it('follows a half-typed form: what is no number yet is left out', () => {
    const values = { ...loadValues(rig, undefined, units), method: 'moments' as const };
    const axles = values.axles.map((axle, index) => ({ ...axle, unladen: typed(index === 0 ? '1090' : '96x') }));
    const half = typedCase({ ...values, axles, items: [newItem('thing', 'roof', rig, units)] }, rig);
    expect(half.unladen).toEqual([{ position: 'front', loadKg: 1090 }]);
    expect(half.items).toEqual([]);
    expect(rigLoads(rig, half)).toMatchObject({ ok: false, problem: { code: 'unladenMissing', position: 'rear' } });
  });
});

describe('places', () => {
  it('lie by the rig’s own wheelbase', () => {
    expect(placeMm('roof', rig)).toBe(Math.round(0.6 * 2790));
    expect(placeMm('aheadOfFront', rig)).toBeLessThan(0);
  });

  it('are those of the trailer too where there is one', () => {
    expect(placesOf(rig)).not.toContain('trailerMiddle');
    const towing = sampleRig({ axles: [...rig.axles, sampleAxle('trailer', { behindMm: 3000 })] });
    expect(placesOf(towing)).toContain('trailerMiddle');
    expect(placeMm('trailerMiddle', towing)).toBe(2850);
    expect(newItem('thing', 'trailerMiddle', towing, units).body).toBe('trailer');
  });
});
