import type { AxleContext, AxlePlan, WhatIf } from '@dunlinmoss/core';
import type { axleOnGauge } from '@dunlinmoss/domain';

import type { Units } from '../../settings/preferences';
import { area, length, mass, percent, pressure, speed } from '../../words/format';

/** A pressure that is tried on an axle, and what is compared with it. */
export interface Tried {
  readonly context: AxleContext;
  readonly axle: AxlePlan;
  readonly units: Units;
  /** What the axle does at the pressure. */
  readonly now: WhatIf;
  /** What was kept for comparison; null where nothing was. */
  readonly kept: WhatIf | null;
  readonly roadName: string;
}

export type Marks = ReturnType<typeof axleOnGauge>;

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

/** What a reading says, and a dash where there is nothing to read. */
export const readText = ({ read }: Reading, what: WhatIf | null): string => (what && read(what)) ?? '–';
