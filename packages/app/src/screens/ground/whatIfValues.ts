import type { AxleContext, AxlePlan, WhatIf } from '@dunlinmoss/core';
import { axleOnGauge } from '@dunlinmoss/domain';

import type { Units } from '../../settings/preferences';
import type { Store } from '../../settings/store';
import { area, length, mass, percent, pressure, speed } from '../../words/format';

export interface Shown {
  readonly context: AxleContext;
  readonly axle: AxlePlan;
  readonly units: Units;
  /** The pressure under the finger, kPa. */
  readonly tried: Store<number>;
  /** The one that is held beside it, kPa. */
  readonly held: Store<number | null>;
  readonly roadName: string;
}

export type Marks = ReturnType<typeof axleOnGauge>;

export interface FollowersProps extends Omit<Shown, 'tried' | 'held'> {
  readonly triedKpa: number;
  readonly heldKpa: number | null;
}

export interface Reading {
  readonly name: string;
  /** Null where there is nothing to read. */
  readonly read: (what: WhatIf) => string | null;
}

export const readingsIn = (units: Units): readonly Reading[] => {
  const ofPatch =
    (read: (patch: NonNullable<WhatIf['patch']>) => string): Reading['read'] =>
    ({ patch }) =>
      patch && read(patch);
  return [
    { name: 'Pressure, cold', read: ({ pressureKpa }) => pressure(pressureKpa, units) },
    { name: 'Settles by', read: ofPatch(({ deflectionMm }) => length(deflectionMm, units)) },
    { name: 'Share of its height', read: ofPatch(({ deflectionShare }) => percent(deflectionShare)) },
    { name: 'Contact length', read: ofPatch(({ lengthMm }) => length(lengthMm, units)) },
    { name: 'Print, outline', read: ofPatch(({ grossAreaMm2 }) => area(grossAreaMm2, units)) },
    { name: 'On the ground', read: ofPatch(({ groundPressureKpa }) => pressure(groundPressureKpa, units)) },
    {
      name: 'Clearance lost',
      read: ({ clearanceLostMm }) => (clearanceLostMm === null ? null : length(Math.max(0, clearanceLostMm), units)),
    },
    { name: 'Load left', read: ({ loadLeftKg }) => (loadLeftKg === null ? null : mass(loadLeftKg, units)) },
    {
      name: 'Fastest here',
      read: ({ speedKmh }) => (speedKmh === null ? null : speed(Math.floor(speedKmh / 5) * 5, units)),
    },
  ];
};

/** Of a line of large numerals; of a figure with its name above. px. */
export const NUMERAL_HEIGHT = 56;

export const FIGURE = { width: 116, height: 46 };
