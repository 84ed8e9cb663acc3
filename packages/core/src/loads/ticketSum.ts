import { assumption, type Source } from '../sources/source';

/** Parts and whole may differ by so much before one of them is wrong: a weighbridge is read to 20 kg. Assumption. */
const STEP_KG = 20;
const SHARE = 0.01;
export const TICKET_SOURCE: Source = assumption;

/**
 * Whether axles that were weighed one by one sum to the whole rig.
 *
 * @example axles of 1180 and 1420 kg against a whole of 2600: agrees
 */
export function ticketSum(
  sumKg: number,
  wholeKg: number,
): { readonly agrees: boolean; readonly sumKg: number; readonly wholeKg: number; readonly toleranceKg: number } {
  const toleranceKg = Math.max(STEP_KG, SHARE * wholeKg);
  return { agrees: Math.abs(sumKg - wholeKg) <= toleranceKg, sumKg, wholeKg, toleranceKg };
}
