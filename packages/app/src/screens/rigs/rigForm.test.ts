import { rig as rigSchema } from '@dunlinmoss/contract';
import { FAMILY_CODES, familyOf } from '@dunlinmoss/core';

import { sampleAxle, sampleRig } from '@dunlinmoss/domain/testing';
import { addedAxle, axlesOf, emptyRig, markedLoadRange, wearsAlike, withSameTires } from './rigForm';

const rig = sampleRig();
const ID = '0192f000-0000-7000-8000-000000000001';

describe('emptyRig', () => {
  it.each(FAMILY_CODES)('is a %s but for a name and its tires', (code) => {
    const blank = emptyRig(code);
    const filled = {
      ...blank,
      id: ID,
      name: 'Ruff',
      axles: blank.axles.map((axle) => ({ ...axle, tireMarking: '29x2.40' })),
    };
    expect(rigSchema.safeParse(filled)).toMatchObject({ success: true });
    expect(blank.axles).toHaveLength(familyOf(code).axles.length);
  });
});

describe('addedAxle', () => {
  it('adds a bogie behind the last axle with its tires, and a trailer of its own', () => {
    expect(addedAxle(rig.axles, 'tandem')).toEqual({ ...rig.axles[1]!, position: 'rear2', behindMm: 2790 + 1300 });
    expect(addedAxle(rig.axles, 'trailer')).toMatchObject({ position: 'trailer', tireMarking: '', driven: false });
    const towing = [...rig.axles, sampleAxle('trailer', { tireMarking: '185R14C 102/100R' })];
    expect(addedAxle(towing, 'tandem')).toMatchObject({ position: 'trailer2', tireMarking: '185R14C 102/100R' });
  });
});

describe('tires of a group', () => {
  const towing = [...rig.axles, sampleAxle('trailer', { tireMarking: '185R14C 102/100R' })];

  it('are alike where every field of theirs is, whenever they were fitted', () => {
    expect(wearsAlike('vehicle', towing)).toBe(true);
    expect(wearsAlike('vehicle', [sampleAxle('front', { fittedAt: rig.createdAt }), sampleAxle('rear')])).toBe(true);
    expect(wearsAlike('vehicle', [sampleAxle('front'), sampleAxle('rear', { tube: true })])).toBe(false);
    expect(axlesOf('trailer', towing)).toEqual([2]);
  });

  it('are made alike on the vehicle alone, pressures left as they are', () => {
    const unlike = [
      sampleAxle('front', { casing: 'thin', roadKpa: 200 }),
      sampleAxle('rear', { roadKpa: 250 }),
      towing[2]!,
    ];
    const alike = withSameTires('vehicle', unlike);
    expect(alike.map(({ casing, roadKpa }) => [casing, roadKpa])).toEqual([
      ['thin', 200],
      ['thin', 250],
      [null, towing[2]!.roadKpa],
    ]);
  });
});

describe('markedLoadRange', () => {
  it.each([
    ['LT285/70R17 121/118Q E', 'E'],
    ['265/65R17 112T', undefined],
    ['round', undefined],
  ])('of %s is %s', (marking, expected) => {
    expect(markedLoadRange(marking)).toBe(expected);
  });
});
