import type { AxleContext } from '../axle/axleContext';
import type { Source } from '../sources/source';
import { lastOfCurve } from './lastOfCurve';
import type { Limit } from './limit';
import { belowRoad, placard } from './placard';
import { hooklessRim, rimUnknown } from './hooklessRim';
import { sidewallMaximum } from './sidewallMaximum';
import { unreadSidewall } from './unreadSidewall';

/** Everything that says how high at the most. */
export const CEILINGS = [
  placard,
  sidewallMaximum,
  lastOfCurve,
  unreadSidewall,
  hooklessRim,
  rimUnknown,
] as const satisfies readonly Limit[];

export type CeilingCode = (typeof CEILINGS)[number]['code'];
export type SoftCeilingCode = typeof belowRoad.code;

/** The ceiling of a code. */
export const ceilingOf = (code: CeilingCode): Limit => BY_CODE.get(code)!;
const BY_CODE: ReadonlyMap<string, Limit> = new Map(CEILINGS.map((ceiling) => [ceiling.code, ceiling]));

/** One ceiling with the pressure it comes to, kPa. */
export interface CeilingValue {
  readonly code: CeilingCode;
  readonly pressureKpa: number;
  readonly source: Source;
}

/** The ceiling that binds, with all that have something to say, itself among them. */
export interface BindingCeiling extends CeilingValue {
  readonly all: readonly CeilingValue[];
}

/** The lowest of the ceilings: the one that binds; null where unknown how high a tire may go. */
export function bindingCeiling(context: AxleContext): BindingCeiling | null {
  const all: CeilingValue[] = [];
  for (const { code, source, pressureKpa } of CEILINGS) {
    const value = pressureKpa(context);
    if (value !== null) all.push({ code, source, pressureKpa: value });
  }
  if (all.length === 0) return null;
  const lowest = all.reduce((best, ceiling) => (ceiling.pressureKpa < best.pressureKpa ? ceiling : best));
  return { ...lowest, all };
}

/** What a start stays below where nothing forbids it: gives way to a floor above it. Null where there is none, kPa. */
export function softCeilingKpa(context: AxleContext, floorKpa: number): number | null {
  const value = belowRoad.pressureKpa(context);
  return value === null || value < floorKpa ? null : value;
}
