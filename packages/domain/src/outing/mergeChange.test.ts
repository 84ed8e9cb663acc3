import fc from 'fast-check';

import { mergeChange } from './mergeChange';

const base = { state: 'lowered', title: 'South bar', pressures: [{ kpa: 110 }] };

describe('mergeChange', () => {
  it.each([
    ['nobody else changed anything', { state: 'closed' }, base, { ...base, state: 'closed' }],
    ['both ended it', { state: 'closed' }, { ...base, state: 'closed' }, { ...base, state: 'closed' }],
    [
      'the other named it meanwhile',
      { state: 'closed' },
      { ...base, title: 'North bar' },
      { ...base, state: 'closed', title: 'North bar' },
    ],
    ['both set other pressures', { pressures: [{ kpa: 90 }] }, { ...base, pressures: [{ kpa: 80 }] }, null],
    [
      'both set the same',
      { pressures: [{ kpa: 80 }] },
      { ...base, pressures: [{ kpa: 80 }] },
      { ...base, pressures: [{ kpa: 80 }] },
    ],
  ])('where %s', (_, change, present, merged) => expect(mergeChange(base, change, present)).toEqual(merged));

  it('never loses what somebody else wrote in a field of theirs', () => {
    const row = fc.record({ a: fc.integer(), b: fc.integer(), c: fc.integer() });
    fc.assert(
      fc.property(row, row, fc.integer(), (before, present, a) => {
        const merged = mergeChange(before, { a }, present);
        if (merged) expect(merged).toEqual({ ...present, a });
        else expect(new Set([before.a, present.a, a]).size).toBeGreaterThan(1);
      }),
      { seed: 5, numRuns: 200 },
    );
  });
});
