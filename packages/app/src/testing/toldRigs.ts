import { psi, type FamilyCode } from '@dunlinmoss/core';
import type { Rig, RigRow } from '@dunlinmoss/contract';

import { quickRig } from '../screens/rigs/quickRig';

/** A size that each family wears, as it is said or read, and what it runs on the road, psi. The compiler asks for every family. */
export const TOLD: Record<FamilyCode, readonly [size: string, roadPsi: number]> = {
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

/** A rig as it stands after the short form: sizes and road pressures of so many axles, nothing else. */
export function told(code: FamilyCode, only: number = Number.POSITIVE_INFINITY): Omit<Rig, 'id'> {
  const blank = quickRig(code);
  const [marking, road] = TOLD[code];
  const axles = blank.axles.map((axle, index) =>
    index < only ? { ...axle, tireMarking: marking, roadKpa: psi(road) } : axle,
  );
  return { ...blank, axles };
}

/** The same as a saved row. */
export const toldRow = (code: FamilyCode): RigRow => ({
  ...told(code),
  id: '0192f000-0000-7000-8000-0000000000a1',
  revision: 1,
  createdAt: '2026-11-28T08:00:00.000Z',
  updatedAt: '2026-11-28T08:00:00.000Z',
});
