import type { AxleContext } from '../plan/axleContext';
import type { Source } from '../source';
import { bead } from './bead';
import { heatAndSpeed } from './heatAndSpeed';
import type { Limit } from './limit';
import { loadAtSpeed } from './loadAtSpeed';
import { own } from './own';
import { rimStrike } from './rimStrike';
import { sidewallMinimum } from './sidewallMinimum';

/** Everything that says how low at the most. */
export const FLOORS = [
  bead,
  heatAndSpeed,
  loadAtSpeed,
  rimStrike,
  sidewallMinimum,
  own,
] as const satisfies readonly Limit[];

export type FloorCode = (typeof FLOORS)[number]['code'];

/** One floor with the pressure it comes to, kPa. */
export interface FloorValue {
  readonly code: FloorCode;
  readonly pressureKpa: number;
  readonly source: Source;
}

/** The floor that binds, with all that have something to say, itself among them. */
export interface BindingFloor extends FloorValue {
  readonly all: readonly FloorValue[];
}

/** The highest of the floors: the one that binds. */
export function bindingFloor(context: AxleContext): BindingFloor {
  const all = FLOORS.flatMap(({ code, source, pressureKpa }): FloorValue[] => {
    const value = pressureKpa(context);
    return value === null ? [] : [{ code, source, pressureKpa: value }];
  });
  const highest = all.reduce((best, floor) => (floor.pressureKpa > best.pressureKpa ? floor : best));
  return { ...highest, all };
}

/** The same as a number alone, where it is asked for many times over, kPa. */
export function lowestAllowedKpa(context: AxleContext): number {
  let highest = Number.NEGATIVE_INFINITY;
  for (const floor of FLOORS) {
    const value = floor.pressureKpa(context);
    if (value !== null && value > highest) highest = value;
  }
  return highest;
}
