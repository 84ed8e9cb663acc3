import { dropShare } from '../contact/bicycleDrop';
import { assumption, commonPractice, type Source } from '../source';
import { inch, psi } from '../units/units';

/**
 * What a rider of 80 kg starts with on a trail, medium casing, tubeless: front and rear in psi by measured width.
 * Common practice, no source. What the bicycle weighs and how the rider sits is our assumption.
 */
const POINTS = [
  { widthMm: 40, frontPsi: 30, rearPsi: 35, totalKg: 90, frontShare: 0.4 },
  { widthMm: 45, frontPsi: 30, rearPsi: 35, totalKg: 90, frontShare: 0.4 },
  { widthMm: inch(2.2), frontPsi: 25, rearPsi: 26.5, totalKg: 94, frontShare: 0.375 },
  { widthMm: inch(2.4), frontPsi: 23, rearPsi: 24, totalKg: 94, frontShare: 0.375 },
  { widthMm: inch(2.6), frontPsi: 21.5, rearPsi: 23, totalKg: 94, frontShare: 0.375 },
] as const;

export const POINTS_SOURCE: Source = commonPractice;
/** Widths between and beyond the points. */
export const BETWEEN_POINTS_SOURCE: Source = assumption;

const DROPS = POINTS.map(({ widthMm, frontPsi, rearPsi, totalKg, frontShare }) => ({
  widthMm,
  front: dropShare(widthMm, totalKg * frontShare, psi(frontPsi)),
  rear: dropShare(widthMm, totalKg * (1 - frontShare), psi(rearPsi)),
}));

/**
 * How far the trade lets a bicycle tire of a width drop, as a share of its height: what its reference points come to
 * under the rider they are told for. Between the points as a power of the width, beyond them as at the last.
 *
 * The front drops less than the rear: braking and steep descents throw weight on it.
 */
export function tradeDropShare(widthMm: number, wheel: 'front' | 'rear'): number {
  const above = DROPS.findIndex((point) => point.widthMm >= widthMm);
  if (above === 0) return DROPS[0]![wheel];
  if (above === -1) return DROPS.at(-1)![wheel];
  const [narrow, wide] = [DROPS[above - 1]!, DROPS[above]!];
  const share = Math.log(widthMm / narrow.widthMm) / Math.log(wide.widthMm / narrow.widthMm);
  return narrow[wheel] * (wide[wheel] / narrow[wheel]) ** share;
}
