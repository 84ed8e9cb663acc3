import { pathOf } from '@dunlinmoss/domain';

import { stepName } from './steps';

describe('stepName', () => {
  it('speaks of a ride on a bicycle', () => {
    const names = pathOf('decide', 'bicycle').map(({ step }) => stepName(step, 'bicycle'));
    expect(names).toEqual(['Set the pressure', 'Decide', 'End the ride']);
  });
});
