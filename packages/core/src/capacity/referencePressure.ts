import { assumption, published, type Source } from '../sources/source';
import type { LoadRange } from '../tires/loadRange';
import type { Tire, TireUse } from '../tires/tire';
import { inch, psi } from '../units/units';

const TRA = published('Tire and Rim Association yearbook');
const ETRTO = published('European Tyre and Rim Technical Organisation manual');

type PsiByRange = Partial<Record<LoadRange, number>>;

/** Pressure at which a light-truck tire of a load range carries its index, psi. Published: Tire and Rim Association (from memory). */
const LIGHT_TRUCK_PSI: PsiByRange = { B: 35, C: 50, D: 65, E: 80, F: 95 };
/** The same of flotation sizes 12.50 and wider; narrower ones go by the light-truck figures. Published, as above (from memory). */
const WIDE_FLOTATION_PSI: PsiByRange = { C: 35, D: 50, E: 65 };
const WIDE_FLOTATION_MM = inch(12.5);

/** Pressure at which a radial drive-wheel tire of so many stars carries its index. Published: TRA and ETRTO (from memory). */
const STARS_METRIC_KPA = [160, 240, 320];
/** The same of the older inch sizes, psi. Published, as above (from memory). */
const STARS_INCH_PSI = [18, 24, 30];

const PASSENGER_KPA = 250;
const EXTRA_LOAD_KPA = 290;

/**
 * Where nothing says at which pressure a tire carries its index. Assumptions, chosen on the high side: the higher the
 * reference, the less is promised at low pressure. None for farm tires, which differ too much to guess.
 */
const ASSUMED_KPA: Partial<Record<TireUse, number>> = {
  lightTruck: psi(65),
  commercial: 475,
  truck: 850,
  quad: psi(44),
  motorcycle: 290,
  bicycle: psi(80),
};

export interface ReferencePressure {
  readonly pressureKpa: number;
  /** An assumption must set no speed, and never ask for more than the road pressure. */
  readonly source: Source;
}

function publishedReference({ use, notation, loadRange, stars, extraLoad, flexion, sectionWidthMm }: Tire) {
  if (use === 'passenger') return { pressureKpa: extraLoad ? EXTRA_LOAD_KPA : PASSENGER_KPA, source: ETRTO };
  if (use === 'lightTruck' && loadRange !== undefined) {
    const wide = notation === 'flotation' && sectionWidthMm >= WIDE_FLOTATION_MM - 1;
    const byRange = (wide ? WIDE_FLOTATION_PSI : LIGHT_TRUCK_PSI)[loadRange];
    if (byRange !== undefined) return { pressureKpa: psi(byRange), source: TRA };
  }
  // An IF or VF tire makes its index at a pressure of its own, whatever its stars.
  if (use === 'farm' && stars !== undefined && flexion === undefined) {
    const inches = STARS_INCH_PSI[stars - 1];
    const pressureKpa = notation === 'farmInch' ? inches && psi(inches) : STARS_METRIC_KPA[stars - 1];
    if (pressureKpa !== undefined) return { pressureKpa, source: notation === 'farmInch' ? TRA : ETRTO };
  }
  return undefined;
}

/**
 * The pressure at which a tire carries its load index, kPa: a load index says how much, never at what pressure. What
 * kind, load range or stars stand for; on a light truck never more than the maximum on the sidewall. A passenger tire's
 * maximum is not its reference. Null for a farm tire of which nothing tells: nothing is promised then.
 *
 * @param maxKpa the most that the sidewall allows; null where nobody read it
 * @example an LT285/70R17 of load range E: 80 psi; with a maximum of 65 psi on its sidewall: 65
 */
export function referencePressureKpa(tire: Tire, maxKpa: number | null): ReferencePressure | null {
  const known = publishedReference(tire);
  const most = maxKpa ?? Number.POSITIVE_INFINITY;
  if (known) return { ...known, pressureKpa: Math.min(known.pressureKpa, most) };
  const assumed = maxKpa !== null && tire.use !== 'farm' ? maxKpa : ASSUMED_KPA[tire.use];
  return assumed === undefined ? null : { pressureKpa: assumed, source: assumption };
}
