import { fromCanonical, toCanonical, type LengthUnit } from '@dunlinmoss/core';

const BARS: Record<LengthUnit, readonly number[]> = {
  mm: [20, 50, 100, 200, 500, 1000, 2000],
  in: [1, 2, 4, 8, 20, 40, 80],
};

/** The longest round length that fits, in the person's unit: its length in mm and its label. */
export function scaleBar(unit: LengthUnit, roomMm: number): { readonly lengthMm: number; readonly label: string } {
  const room = fromCanonical('length', unit, roomMm);
  const fitting = BARS[unit].filter((bar) => bar <= room);
  const bar = fitting.at(-1) ?? BARS[unit][0]!;
  return { lengthMm: toCanonical('length', unit, bar), label: `${bar} ${unit}` };
}
