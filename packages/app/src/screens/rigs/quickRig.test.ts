import { FAMILY_CODES, familyOf, psi } from '@dunlinmoss/core';
import { rig as rigSchema } from '@dunlinmoss/contract';

import { FIRST_UNITS } from '../../settings/preferences';
import { TOLD, told } from '../../testing/toldRigs';
import { firstRows, quickRig } from './quickRig';

const units = FIRST_UNITS;
describe('quickRig', () => {
  it.each(FAMILY_CODES)('%s: with size and road pressure it can be kept as it is', (code) => {
    const body = { ...told(code), id: '0192f000-0000-7000-8000-0000000000a1' };
    expect(rigSchema.safeParse(body).error?.issues ?? []).toEqual([]);
  });
});

describe('firstRows', () => {
  it.each(FAMILY_CODES)(
    '%s: has pressures for most grounds, none above the road off pavement, and none without a size',
    (code) => {
      const rows = firstRows(told(code), units);
      expect(rows.length).toBeGreaterThanOrEqual(3);
      expect(firstRows(quickRig(code), units)).toEqual([]);
      for (const { axles, ground } of rows) {
        for (const { pressureKpa } of axles) {
          expect(pressureKpa).toBeGreaterThan(psi(1));
          // A bicycle's go by its rider, whatever it was ridden on before.
          if (familyOf(code).kind !== 'bicycle') {
            expect(`${ground} ${pressureKpa <= psi(TOLD[code][1]) + psi(0.6)}`).toBe(`${ground} true`);
          }
        }
      }
    },
  );

  it('begins with the axle that is told, and leaves out the one that is not', () => {
    const [first] = firstRows(told('adventureTwin', 1), units);
    expect(first!.axles.map(({ position }) => position)).toEqual(['front']);
  });

  it('says how far it may be off before any scale', () => {
    const rows = firstRows(told('fourWheel'), units);
    expect(Math.max(...rows.map(({ mayBeOffKpa }) => mayBeOffKpa ?? 0))).toBeGreaterThan(psi(1));
  });
});
