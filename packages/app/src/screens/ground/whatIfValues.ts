import { contactPatch, whatIf, type AxleContext, type AxlePlan, type WhatIf } from '@dunlinmoss/core';
import type { axleOnGauge } from '@dunlinmoss/domain';

import { createLive, type Live } from '../../settings/live';
import type { Units } from '../../settings/preferences';
import type { Store } from '../../settings/store';
import { area, length, mass, percent, pressure, speed } from '../../words/format';

/** A pressure under the finger. */
export interface Tried {
  readonly pressureKpa: number;
  /** Squeezed flat: no tire left to stand on. */
  readonly isFlat: boolean;
  /** What the axle would do at it: worked out when somebody first asks, which is not in every frame. */
  readonly what: () => WhatIf;
}

export interface Trying {
  readonly live: Live<Tried>;
  /** While the finger is on it, kPa. */
  readonly move: (pressureKpa: number) => void;
  /** When it is off, kPa. */
  readonly settle: (pressureKpa: number) => void;
}

export function tryingOf(context: AxleContext, axle: AxlePlan, startKpa: number): Trying {
  const at = (pressureKpa: number): Tried => {
    let known: WhatIf | undefined;
    return {
      pressureKpa,
      isFlat: !contactPatch(context.build, context.wheelLoadKg, pressureKpa),
      what: () => (known ??= whatIf(context, axle, pressureKpa)),
    };
  };
  const live = createLive(at(startKpa));
  return {
    live,
    move(kpa) {
      const next = at(kpa);
      // Squeezed flat there are no pictures to write into.
      if (next.isFlat === live.rest.get().isFlat) live.move(next);
      else live.settle(next);
    },
    settle: (kpa) => live.settle(at(kpa)),
  };
}

export interface Shown {
  readonly context: AxleContext;
  readonly axle: AxlePlan;
  readonly units: Units;
  readonly trying: Trying;
  /** What is kept beside it. */
  readonly held: Store<WhatIf | null>;
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

/** Of a line of large numerals; of a figure with its name above. px. */
export const NUMERAL_HEIGHT = 56;

/** Two lines. */
export const VERDICT_HEIGHT = 44;

export const FIGURE = { width: 116, height: 46 };
