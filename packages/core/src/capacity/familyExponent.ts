import { assumption, type Source } from '../sources/source';
import type { Tire, TireUse } from '../tires/tire';

/**
 * How load grows with pressure, L ∝ pⁿ, where a tire's own lines do not tell. Assumptions near the practice of the
 * Tire and Rim Association and the European Tyre and Rim Technical Organisation; a higher n promises less at low
 * pressure, so it errs on the safe side. Truck, motorcycle and bicycle tires take the most cautious.
 */
const BY_USE: Record<TireUse, number> = {
  passenger: 0.8,
  lightTruck: 0.7,
  commercial: 0.7,
  truck: 0.8,
  quad: 0.585,
  motorcycle: 0.8,
  bicycle: 0.8,
  farm: 0.7,
};
const FLOTATION = 0.585;

export const FAMILY_EXPONENT_SOURCE: Source = assumption;

/** @example a 35x12.50R17LT: 0.585 */
export const familyExponent = ({ use, notation }: Tire): number => (notation === 'flotation' ? FLOTATION : BY_USE[use]);
