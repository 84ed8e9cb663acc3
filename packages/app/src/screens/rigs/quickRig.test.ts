import { FAMILIES, familyOf, psi, type FamilyCode } from '@dunlinmoss/core';
import { rig as rigSchema, type Rig } from '@dunlinmoss/contract';

import { FIRST_UNITS } from '../../settings/preferences';
import { firstRows, quickRig } from './quickRig';

const units = FIRST_UNITS;
/** A size that each kind wears, as it is said or read, and what it runs on the road, psi. */
const SIZES: Record<string, readonly [string, number]> = {
  car: ['265 70 17', 36],
  quad: ['25x8-12', 6],
  motorcycle: ['90/90-21', 30],
  bicycle: ['29 2.4', 24],
  farm: ['480/80R42', 20],
};
const told = (code: FamilyCode, only: number = Number.POSITIVE_INFINITY): Omit<Rig, 'id'> => {
  const blank = quickRig(code);
  const [marking, road] = SIZES[familyOf(code).kind]!;
  const axles = blank.axles.map((axle, index) =>
    index < only ? { ...axle, tireMarking: marking, roadKpa: psi(road) } : axle,
  );
  return { ...blank, axles };
};

describe('quickRig', () => {
  it.each(FAMILIES.map(({ code }) => code))('%s: with size and road pressure it can be kept as it is', (code) => {
    const body = { ...told(code), id: '0192f000-0000-7000-8000-0000000000a1' };
    expect(rigSchema.safeParse(body).error?.issues ?? []).toEqual([]);
  });
});

describe('firstRows', () => {
  it.each(FAMILIES.map(({ code }) => code).filter((code) => code !== 'farmTrailer'))(
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
            expect(`${ground} ${pressureKpa <= psi(SIZES[familyOf(code).kind]![1]) + psi(0.6)}`).toBe(`${ground} true`);
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
