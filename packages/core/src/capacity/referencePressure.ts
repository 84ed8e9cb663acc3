import { assumption, marked, published, type Source } from '../source';
import type { LoadRange } from '../tires/loadRange';
import type { Tire, TireUse } from '../tires/tire';
import { psi } from '../units/units';

const TRA = published('Tire and Rim Association yearbook');
const ETRTO = published('European Tyre and Rim Technical Organisation manual');

/** Pressure at which a light-truck tire of a load range carries its index, psi. Published: Tire and Rim Association (from memory). */
const LIGHT_TRUCK_PSI: Partial<Record<LoadRange, number>> = { B: 35, C: 50, D: 65, E: 80, F: 95 };
/** Pressure at which a radial drive-wheel tire of so many stars carries its index, psi. Published: Tire and Rim Association (from memory). */
const STAR_PSI = [18, 24, 30, 36];
const PASSENGER_KPA = 250;
const EXTRA_LOAD_KPA = 290;

/**
 * Where nothing says at which pressure a tire carries its index. Assumptions, chosen on the high side: the higher the
 * reference, the less is promised at low pressure.
 */
const ASSUMED_KPA: Record<TireUse, number> = {
  passenger: PASSENGER_KPA,
  lightTruck: psi(65),
  commercial: 475,
  truck: 850,
  quad: psi(44),
  motorcycle: 290,
  bicycle: psi(80),
  farm: 240,
};

/**
 * The pressure at which a tire carries its load index, kPa: the sidewall's maximum where the person has read it, else
 * what load range, stars or kind of tire stand for.
 */
export function referencePressureKpa(
  { use, loadRange, stars, extraLoad, flexion }: Tire,
  maxKpa: number | null,
): { readonly pressureKpa: number; readonly source: Source } {
  if (maxKpa !== null) return { pressureKpa: maxKpa, source: marked };
  const byRange = use === 'lightTruck' && loadRange !== undefined ? LIGHT_TRUCK_PSI[loadRange] : undefined;
  if (byRange !== undefined) return { pressureKpa: psi(byRange), source: TRA };
  const byStars = use === 'farm' && stars !== undefined && flexion === undefined ? STAR_PSI[stars - 1] : undefined;
  if (byStars !== undefined) return { pressureKpa: psi(byStars), source: TRA };
  if (use === 'passenger') return { pressureKpa: extraLoad ? EXTRA_LOAD_KPA : PASSENGER_KPA, source: ETRTO };
  return { pressureKpa: ASSUMED_KPA[use], source: assumption };
}
