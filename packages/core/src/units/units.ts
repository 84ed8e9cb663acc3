/** Standard gravity, m/s². Exact by definition (3rd CGPM, 1901; NIST SP 811, from memory). */
export const STANDARD_GRAVITY = 9.80665;

/** 0 °C in kelvin. Exact by definition. */
export const CELSIUS_ZERO_K = 273.15;

const KG_PER_LB = 0.45359237; // exact: international avoirdupois pound
const MM_PER_INCH = 25.4; // exact: international inch
const KM_PER_MILE = 1.609344; // exact: international mile
const L_PER_GALLON = (231 * MM_PER_INCH ** 3) / 1e6; // exact: US gallon of 231 cubic inches
const ML_PER_FLUID_OUNCE = (1000 * L_PER_GALLON) / 128; // exact: 128 US fluid ounces to the gallon
const L_PER_CUBIC_FOOT = (12 * MM_PER_INCH) ** 3 / 1e6; // exact

/** One pound-force on a square inch in kPa, from the exact pound, inch and gravity: 6.894757293… */
const KPA_PER_PSI = (KG_PER_LB * STANDARD_GRAVITY) / (MM_PER_INCH / 1000) ** 2 / 1000;

/**
 * Every unit a person may choose, as its size in the canonical unit of its quantity
 * (kPa, kg, mm, km/h, L; m for what is driven, L/min for air, mm² for prints, mL for what is poured). All of them are
 * exact.
 */
export const UNITS = {
  pressure: { kPa: 1, psi: KPA_PER_PSI, bar: 100 },
  mass: { kg: 1, lb: KG_PER_LB },
  length: { mm: 1, in: MM_PER_INCH },
  speed: { kmh: 1, mph: KM_PER_MILE },
  volume: { L: 1, gal: L_PER_GALLON },
  distance: { m: 1, ft: (12 * MM_PER_INCH) / 1000 },
  flow: { Lmin: 1, cfm: L_PER_CUBIC_FOOT },
  area: { cm2: 100, in2: MM_PER_INCH ** 2 },
  pour: { mL: 1, floz: ML_PER_FLUID_OUNCE },
} as const;

export type Quantity = keyof typeof UNITS;

/** Any unit of any quantity: no two quantities share a code. */
export type Unit = { [Q in Quantity]: keyof (typeof UNITS)[Q] }[Quantity];
export type UnitOf<Q extends Quantity> = keyof (typeof UNITS)[Q] & Unit;
export type PressureUnit = UnitOf<'pressure'>;
export type MassUnit = UnitOf<'mass'>;
export type LengthUnit = UnitOf<'length'>;

const sizeOf = <Q extends Quantity>(quantity: Q, unit: UnitOf<Q>): number =>
  (UNITS[quantity] as Record<string, number>)[unit]!;

/**
 * A value in a person's unit, as the canonical unit of its quantity.
 *
 * @example toCanonical('pressure', 'psi', 36) // 248.2112…
 */
export function toCanonical<Q extends Quantity>(quantity: Q, unit: UnitOf<Q>, value: number): number {
  return value * sizeOf(quantity, unit);
}

/**
 * A canonical value in a person's unit.
 *
 * @example fromCanonical('mass', 'lb', 500) // 1102.3113…
 */
export function fromCanonical<Q extends Quantity>(quantity: Q, unit: UnitOf<Q>, value: number): number {
  return value / sizeOf(quantity, unit);
}

/** Psi to kPa, for the tables of the trade that are kept in psi. */
export const psi = (value: number): number => toCanonical('pressure', 'psi', value);

/** Inches to mm, for the sizes that sidewalls give in inches. */
export const inch = (value: number): number => toCanonical('length', 'in', value);
