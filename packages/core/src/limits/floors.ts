import type { Source } from '../source';
import { bead } from './bead';
import type { Floor, LimitContext } from './limit';
import { sidewallFlex } from './sidewallFlex';

export const FLOORS = [bead, sidewallFlex] as const satisfies readonly Floor[];

export type FloorCode = (typeof FLOORS)[number]['code'];

/** One floor with the pressure it comes to, kPa. */
export interface FloorValue {
  readonly code: FloorCode;
  readonly pressureKpa: number;
  readonly source: Source;
}

/** The floor that binds, with all of them, itself among them. */
export interface BindingFloor extends FloorValue {
  readonly all: readonly FloorValue[];
}

/** The highest of the floors: the one that binds. */
export function bindingFloor(context: LimitContext): BindingFloor {
  const all = FLOORS.map(({ code, source, pressureKpa }) => ({ code, source, pressureKpa: pressureKpa(context) }));
  const highest = all.reduce((best, floor) => (floor.pressureKpa > best.pressureKpa ? floor : best));
  return { ...highest, all };
}
