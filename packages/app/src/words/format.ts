import { fromCanonical, type Quantity, type UnitOf } from '@dunlinmoss/core';
import { onGauge, type GaugeUnits } from '@dunlinmoss/domain';

import type { Units } from '../settings/preferences';
import { UNIT_LOOKS, unitLabel } from './units';

/** A pressure on a mark of the gauge, without its unit. */
export function pressureNumber(kpa: number, units: GaugeUnits): string {
  const value = Number(fromCanonical('pressure', units.pressure, onGauge(kpa, units)).toFixed(2));
  const text = value.toFixed(
    units.fine && units.pressure === 'psi' && value % 1 !== 0 ? 1 : UNIT_LOOKS[units.pressure].digits,
  );
  return Number(text) === 0 ? text.replace('-', '') : text;
}

/** The number alone: for numerals that carry their unit beside them. */
export function number<Q extends Exclude<Quantity, 'pressure'>>(
  quantity: Q,
  unit: UnitOf<Q>,
  canonical: number,
): string {
  const value = fromCanonical(quantity, unit, canonical);
  // What one person can lift is weighed to the tenth.
  if (quantity === 'mass' && Math.abs(value) < 100) return String(Number(value.toFixed(1)));
  const text = value.toFixed(UNIT_LOOKS[unit].digits);
  return Number(text) === 0 ? text.replace('-', '') : text;
}

/** A difference or error of pressure, finer than a gauge shows it. */
export const pressureFine = (kpa: number, { pressure: unit }: Units): string =>
  `${fromCanonical('pressure', unit, kpa).toFixed({ psi: 1, bar: 2, kPa: 0 }[unit])}\u00a0${unit}`;

const withUnit = <Q extends Exclude<Quantity, 'pressure'>>(quantity: Q, unit: UnitOf<Q>, canonical: number): string =>
  `${number(quantity, unit, canonical)}\u00a0${unitLabel(unit)}`;

/** Any quantity with its unit, as it is read. */
export const quantity = (of: Quantity, canonical: number, units: Units): string =>
  of === 'pressure' ? pressure(canonical, units) : withUnit(of, units[of] as never, canonical);
export const pressure = (kpa: number, units: Units): string => `${pressureNumber(kpa, units)}\u00a0${units.pressure}`;
export const mass = (kg: number, { mass: unit }: Units): string => withUnit('mass', unit, kg);
export const length = (mm: number, { length: unit }: Units): string => withUnit('length', unit, mm);
export const volume = (liters: number, { volume: unit }: Units): string => withUnit('volume', unit, liters);
export const distance = (m: number, { distance: unit }: Units): string => withUnit('distance', unit, m);
export const flow = (litersPerMin: number, { flow: unit }: Units): string => withUnit('flow', unit, litersPerMin);
/** An area as people measure prints. */
export const area = (mm2: number, { area: unit }: Pick<Units, 'area'>): string => withUnit('area', unit, mm2);
/** An amount of air as it is outside: who reads flows in cubic feet reads it in them, and no one in gallons. */
export const air = (liters: number, { flow: unit }: Pick<Units, 'flow'>): string =>
  unit === 'Lmin' ? `${liters.toFixed(0)}\u00a0L` : `${fromCanonical('flow', unit, liters).toFixed(1)}\u00a0ft³`;

/** What is told of a speed is what may not be passed: rounded down, but for less than a speedometer shows. */
const SPEEDOMETER = 0.3;

/** The number of a speed alone. */
export const speedNumber = (kmh: number, { speed: unit }: Pick<Units, 'speed'>): string =>
  String(Math.floor(fromCanonical('speed', unit, kmh) + SPEEDOMETER));
export const speed = (kmh: number, units: Pick<Units, 'speed'>): string =>
  `${speedNumber(kmh, units)}\u00a0${unitLabel(units.speed)}`;
export const percent = (share: number): string => `${(100 * share).toFixed(0)}\u00a0%`;

/** A range in one unit; one number where both ends read the same. */
export function pressureRange(lowKpa: number, highKpa: number, units: Units): string {
  const low = pressureNumber(lowKpa, units);
  const high = pressureNumber(highKpa, units);
  return low === high ? `${high}\u00a0${units.pressure}` : `${low}–${high}\u00a0${units.pressure}`;
}

/** As a person would type it: short, and no finer than they could have meant. */
export function editText<Q extends Quantity>(quantity: Q, unit: UnitOf<Q>, canonical: number): string {
  return String(Number(fromCanonical(quantity, unit, canonical).toFixed(UNIT_LOOKS[unit].typedDigits)));
}

/*
 * Times and numbers are written out here and not asked of the device: the first question to its tables of languages takes 20 ms
 * on a slow phone.
 */

/** As British English shortens them. */
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sept', 'Oct', 'Nov', 'Dec'];
const two = (value: number): string => String(value).padStart(2, '0');
const dayOf = (date: Date): string => `${date.getDate()} ${MONTHS[date.getMonth()]}`;

/** The time of day in the reader's own clock: `07:40`. */
export function timeOfDay(ms: number): string {
  const at = new Date(ms);
  return `${two(at.getHours())}:${two(at.getMinutes())}`;
}

/** `27 Nov 2026`. */
export function day(iso: string): string {
  const date = new Date(iso);
  return `${dayOf(date)} ${date.getFullYear()}`;
}

/** A day and time as people in the field write it, in their own clock. */
export const dayAndTime = (iso: string): string => `${day(iso)}, ${timeOfDay(Date.parse(iso))}`;

/** `07:40` of today, `27 Nov, 07:40` of this half year, with its year before that. */
export function when(iso: string, nowMs: number): string {
  const [then, now] = [new Date(iso), new Date(nowMs)];
  if (then.toDateString() === now.toDateString()) return timeOfDay(then.getTime());
  const recent = Math.abs(nowMs - then.getTime()) < HALF_A_YEAR_MS;
  return recent ? `${dayOf(then)}, ${timeOfDay(then.getTime())}` : day(iso);
}
const HALF_A_YEAR_MS = 180 * 86_400_000;

/** `98 of 100`, never rounded up to a certainty that the draws do not have. */
export const ofHundred = (share: number): string => {
  const kept = 100 * (1 - share);
  return `${share > 0 ? Math.min(99, Math.floor(kept)) : 100} of 100`;
};

/** A whole number as people read it: `20,000`. */
export const countText = (value: number): string => String(value).replace(/\B(?=(\d{3})+$)/g, ',');
