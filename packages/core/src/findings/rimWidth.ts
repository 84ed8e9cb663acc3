import { commonPractice } from '../sources/source';
import { inch } from '../units/units';
import type { Check } from './finding';

/**
 * Inner rim width that suits a mountain bicycle tire, mm, by the tire's width. Common practice, no source. 2.2 in is
 * given as about 25 mm and 2.8 in as 35 and more: a band of ± 2 mm, one open to 45, and the row of 2.3 in, which people run
 * on 30 mm, are our assumptions.
 */
export const RIM_TABLE: readonly { readonly tireMm: number; readonly lowMm: number; readonly highMm: number }[] = [
  { tireMm: inch(2.2), lowMm: 23, highMm: 27 },
  { tireMm: inch(2.3), lowMm: 24, highMm: 30 },
  { tireMm: inch(2.4), lowMm: 25, highMm: 30 },
  { tireMm: inch(2.5), lowMm: 28, highMm: 33 },
  { tireMm: inch(2.6), lowMm: 28, highMm: 33 },
  { tireMm: inch(2.8), lowMm: 35, highMm: 45 },
];

/** Tires this little outside the table still go by its ends, mm. */
const BEYOND_MM = 2;

/** The rim that suits a tire, between the rows in a straight line; null where the table says nothing. */
export function rimBandMm(tireMm: number): { readonly lowMm: number; readonly highMm: number } | null {
  const [first, last] = [RIM_TABLE[0]!, RIM_TABLE.at(-1)!];
  if (tireMm < first.tireMm - BEYOND_MM || tireMm > last.tireMm + BEYOND_MM) return null;
  const above = RIM_TABLE.findIndex((row) => row.tireMm >= tireMm);
  if (above <= 0) return above === 0 ? first : last;
  const [narrow, wide] = [RIM_TABLE[above - 1]!, RIM_TABLE[above]!];
  const share = (tireMm - narrow.tireMm) / (wide.tireMm - narrow.tireMm);
  return {
    lowMm: narrow.lowMm + (wide.lowMm - narrow.lowMm) * share,
    highMm: narrow.highMm + (wide.highMm - narrow.highMm) * share,
  };
}

/** A bicycle rim is too narrow or too wide for its tire. Says nothing of tires that the trade's table leaves out. */
export const rimWidth = {
  severity: 'care',
  source: commonPractice,
  find: ({ axles }) =>
    axles.flatMap(({ position, tire, rimInnerMm }) => {
      if (tire.use !== 'bicycle' || rimInnerMm === null) return [];
      // The table goes by the width on the sidewall; a tire measures wider on a wider rim.
      const tireMm = tire.sectionWidthMm;
      const band = rimBandMm(tireMm);
      if (!band || (rimInnerMm >= band.lowMm && rimInnerMm <= band.highMm)) return [];
      return [{ code: 'rimWidth', position, rimInnerMm, tireMm, lowMm: band.lowMm, highMm: band.highMm }];
    }),
} as const satisfies Check;
