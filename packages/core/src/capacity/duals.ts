import { assumption, marked, published, type Source } from '../sources/source';
import { loadIndexKg } from '../tires/loadIndex';
import type { Tire } from '../tires/tire';

/** A pair carries 0.88 of what two alone would. Published: European Tyre and Rim Technical Organisation (from memory). */
export const FARM_DUAL_FACTOR = 0.88;

/**
 * What each tire of a pair carries, as a share of one alone: as marked where the sidewall has a dual load index, else
 * the farm figure, which for other tires is our assumption.
 *
 * @example LT285/70R17 121/118Q: 1320 / 1450 = 0.91
 */
export function dualFactor({ service, use }: Tire): { readonly factor: number; readonly source: Source } {
  if (service?.dualLoadIndex !== undefined) {
    return { factor: loadIndexKg(service.dualLoadIndex)! / loadIndexKg(service.loadIndex)!, source: marked };
  }
  return {
    factor: FARM_DUAL_FACTOR,
    source: use === 'farm' ? published('European Tyre and Rim Technical Organisation') : assumption,
  };
}
