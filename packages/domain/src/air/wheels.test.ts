import { wheelKey } from '@dunlinmoss/core';

import { sampleAxle, sampleRig } from '../testing/sampleRig';
import { inOrder, rigWheels, volumeOf, walksOf } from './wheels';

describe('rigWheels', () => {
  it('has every wheel in walking order with its air', () => {
    const wheels = rigWheels(sampleRig());
    expect(wheels.map(wheelKey)).toEqual(['front left', 'rear left', 'rear right', 'front right']);
    expect(wheels[0]!.volumeL).toBeCloseTo(69.3, 1);
    expect(walksOf(sampleRig(), wheels)[0]).toBe(0);
    expect(
      walksOf(sampleRig(), wheels)
        .slice(1)
        .every((seconds) => seconds > 4),
    ).toBe(true);
  });

  it('goes by the measured width where there is one', () => {
    const axle = sampleAxle('front', { tireMarking: '29x2.40' });
    expect(volumeOf({ ...axle, measuredWidthMm: 66 })).toBeGreaterThan(volumeOf({ ...axle, measuredWidthMm: 58 }));
  });
});

describe('inOrder', () => {
  it('keeps the order that was chosen, and puts new wheels last', () => {
    const wheels = rigWheels(sampleRig());
    const order = inOrder(wheels, ['rear right', 'front left']);
    expect(order.map(wheelKey).slice(0, 2)).toEqual(['rear right', 'front left']);
    expect(order).toHaveLength(4);
    expect(inOrder(wheels, undefined)).toEqual(wheels);
  });
});
