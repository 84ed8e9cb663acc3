import type { Source } from '../source';
import { bead } from './bead';
import type { Floor, LimitContext } from './limit';
import { sidewallFlex } from './sidewallFlex';

export const FLOORS = [bead, sidewallFlex] as const satisfies readonly Floor[];

export type FloorCode = (typeof FLOORS)[number]['code'];

export interface BindingFloor {
  readonly code: FloorCode;
  readonly pressureKpa: number;
  readonly source: Source;
  /** Every floor with its own pressure, the binding one among them. */
  readonly all: readonly { readonly code: FloorCode; readonly pressureKpa: number }[];
}

/** The highest of the floors: the one that binds. */
export function bindingFloor(context: LimitContext): BindingFloor {
  const all = FLOORS.map(({ code, source, pressureKpa }) => ({ code, source, pressureKpa: pressureKpa(context) }));
  const highest = all.reduce((best, floor) => (floor.pressureKpa > best.pressureKpa ? floor : best));
  return { ...highest, all };
}
