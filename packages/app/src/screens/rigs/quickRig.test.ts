import { FAMILY_CODES, familyOf, psi, type FamilyCode } from '@dunlinmoss/core';
import { rig as rigSchema, type Rig } from '@dunlinmoss/contract';

import { FIRST_UNITS } from '../../settings/preferences';
import { firstRows, quickRig } from './quickRig';

const units = FIRST_UNITS;
/** A size that each family wears, as it is said or read, and what it runs on the road, psi. The compiler asks for every family. */
const TOLD: Record<FamilyCode, readonly [size: string, roadPsi: number]> = {
  fourWheel: ['265 70 17', 36],
  vanTruck: ['235/65R16C', 55],
  quad: ['25x8-12', 6],
  sideBySide: ['30x10R15', 16],
  adventureTwin: ['90/90-21', 33],
  trailSingle: ['90/90-21', 22],
  lightSingle: ['80/100-21', 13],
  gravelBike: ['700x40C', 40],
  mountainBike: ['29 2.4', 24],
  fatBike: ['26x4.8', 10],
  electricBike: ['29x2.6', 30],
  roadBike: ['700x28C', 80],
  cityBike: ['47-622', 45],
  tractor: ['480/80R42', 20],
  sprayer: ['380/90R46', 45],
  farmTrailer: ['550/60-22.5', 40],
};
const told = (code: FamilyCode, only: number = Number.POSITIVE_INFINITY): Omit<Rig, 'id'> => {
  const blank = quickRig(code);
  const [marking, road] = TOLD[code];
  const axles = blank.axles.map((axle, index) =>
    index < only ? { ...axle, tireMarking: marking, roadKpa: psi(road) } : axle,
  );
  return { ...blank, axles };
};

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
