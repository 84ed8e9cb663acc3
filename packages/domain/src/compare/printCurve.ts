import { contactPatch, type AxleContext, type ContactPatch, type Observation } from '@dunlinmoss/core';

/** What a print is told by. */
export const PRINT_MEASURES = ['grossAreaMm2', 'lengthMm', 'widthMm', 'groundPressureKpa'] as const;
export type PrintMeasure = (typeof PRINT_MEASURES)[number];

const POINTS = 48;

/** The print of a wheel from one pressure up to another, in even steps; pressures at which it would lie flat are left out. */
export function printCurve(
  { build, wheelLoadKg }: Pick<AxleContext, 'build' | 'wheelLoadKg'>,
  fromKpa: number,
  toKpa: number,
): ContactPatch[] {
  const [low, high] = [Math.min(fromKpa, toKpa), Math.max(fromKpa, toKpa)];
  return Array.from({ length: POINTS + 1 }, (_, index) => low + ((high - low) * index) / POINTS).flatMap(
    (pressureKpa) => contactPatch(build, wheelLoadKg, pressureKpa) ?? [],
  );
}

/** How a measure at one pressure differs from that at another, as a share; null where a wheel would lie flat. */
export function printChange(
  { build, wheelLoadKg }: Pick<AxleContext, 'build' | 'wheelLoadKg'>,
  measure: PrintMeasure,
  fromKpa: number,
  toKpa: number,
): number | null {
  const [from, to] = [fromKpa, toKpa].map((kpa) => contactPatch(build, wheelLoadKg, Math.max(0, kpa)));
  return from && to ? to[measure] / from[measure] - 1 : null;
}

/** Something that was measured on the wheel itself. */
export interface MeasuredPoint {
  readonly pressureKpa: number;
  readonly value: number;
}

/** A reading at another load by more than this is not of this wheel as it stands today, as a share. Assumption. */
const SAME_LOAD = 0.1;

/** What one's own prints and tapes say of a measure, at about today's load. Readings that read long by a constant are no lengths. */
export function measuredPoints(
  observations: readonly Observation[],
  measure: PrintMeasure,
  wheelLoadKg: number,
): MeasuredPoint[] {
  const here = observations.filter(
    ({ loadKg, offset }) => offset === null && Math.abs(loadKg - wheelLoadKg) <= SAME_LOAD * wheelLoadKg,
  );
  const of = (what: Observation['of']) => here.filter((each) => each.of === what);
  if (measure === 'lengthMm' || measure === 'widthMm') {
    return of(measure === 'lengthMm' ? 'length' : 'width').map(({ pressureKpa, valueMm }) => ({
      pressureKpa,
      value: valueMm,
    }));
  }
  return [];
}
