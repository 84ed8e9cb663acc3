import jstat from 'jstat';

import { normalBelow, normalQuantile } from './normal';

describe('normalBelow and normalQuantile', () => {
  it.each([0.001, 0.03125, 0.16, 0.5, 0.84, 0.975, 0.999])(
    '%d as a general-purpose library has it, and turned round',
    (share) => {
      expect(normalQuantile(share)).toBeCloseTo(jstat.normal.inv(share, 0, 1), 3);
      expect(normalBelow(normalQuantile(share))).toBeCloseTo(share, 7);
      expect(normalQuantile(share)).toBeCloseTo(-normalQuantile(1 - share), 6);
    },
  );
});
