import type { AxleContext } from '../axle/axleContext';
import type { Source } from '../sources/source';
import { bead } from './bead';
import { farmBend } from './farmBend';
import { firstRow } from './firstRow';
import { handling } from './handling';
import { heatAndSpeed } from './heatAndSpeed';
import type { Limit } from './limit';
import { loadAtSpeed } from './loadAtSpeed';
import { lowestRidden } from './lowestRidden';
import { own } from './own';
import { rimStrike } from './rimStrike';
import { freeRolling, roadPressure } from './roadEvidence';
import { sidewallMinimum } from './sidewallMinimum';

/** Everything that says how low at the most. */
export const FLOORS = [
  bead,
  heatAndSpeed,
  handling,
  loadAtSpeed,
  firstRow,
  farmBend,
  roadPressure,
  freeRolling,
  rimStrike,
  lowestRidden,
  sidewallMinimum,
  own,
] as const satisfies readonly Limit[];

export type FloorCode = (typeof FLOORS)[number]['code'];

/** The floor of a code. */
export const floorOf = (code: FloorCode): Limit => BY_CODE.get(code)!;
const BY_CODE: ReadonlyMap<string, Limit> = new Map(FLOORS.map((floor) => [floor.code, floor]));

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

/** What a floor comes to, kPa; of an axle that nobody weighed those that need a load say nothing. */
const floorKpa = ({ withoutLoad, pressureKpa }: Limit, context: AxleContext): number | null =>
  context.unweighed && !withoutLoad ? null : pressureKpa(context);

/** The highest of the floors: the one that binds. */
export function bindingFloor(context: AxleContext): BindingFloor {
  const all: FloorValue[] = [];
  for (const limit of FLOORS as readonly Limit[]) {
    const value = floorKpa(limit, context);
    if (value === null) continue;
    const source = limit.sourceOf?.(context) ?? limit.source;
    all.push({ code: limit.code as FloorCode, source, pressureKpa: value });
  }
  const highest = all.reduce((best, floor) => (floor.pressureKpa > best.pressureKpa ? floor : best));
  return { ...highest, all };
}

/** Floors that a table or a model comes to, with some in hand; at the others something lets go. */
const BY_TABLE: ReadonlySet<FloorCode> = new Set([
  'heatAndSpeed',
  'handling',
  'loadAtSpeed',
  'firstRow',
  'farmBend',
  'roadPressure',
  'freeRolling',
]);

/** The highest floor of each sort as a number alone, where it is asked for many times over, kPa. */
export function floorsKpa(context: AxleContext): { readonly letsGoKpa: number; readonly byTableKpa: number } {
  let letsGoKpa = Number.NEGATIVE_INFINITY;
  let byTableKpa = Number.NEGATIVE_INFINITY;
  for (const floor of FLOORS) {
    const value = floorKpa(floor, context);
    if (value === null) continue;
    if (BY_TABLE.has(floor.code)) byTableKpa = Math.max(byTableKpa, value);
    else letsGoKpa = Math.max(letsGoKpa, value);
  }
  return { letsGoKpa, byTableKpa };
}
