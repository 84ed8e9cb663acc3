import {
  fromCanonical,
  toCanonical,
  type AxlePlan,
  type PressureUnit,
  type Quantity,
  type UnitOf,
} from '@dunlinmoss/core';

import type { Units } from '../data/preferences';

/** What a gauge of the trade can show, in its own unit; bicycle gauges show half a psi. */
const GAUGE_STEP: Record<PressureUnit, number> = { psi: 1, bar: 0.05, kPa: 5 };
const FINE_STEP: Record<PressureUnit, number> = { psi: 0.5, bar: 0.05, kPa: 5 };
type GaugeUnits = Pick<Units, 'pressure' | 'fine'>;
const stepOf = ({ pressure: unit, fine }: GaugeUnits): number => (fine ? FINE_STEP : GAUGE_STEP)[unit];

const DIGITS: Record<string, number> = { psi: 0, bar: 2, kPa: 0, kg: 0, lb: 0, mm: 0, in: 1, kmh: 0, mph: 0 };

const LABELS: Record<string, string> = { kmh: 'km/h' };
export const unitLabel = (unit: string): string => LABELS[unit] ?? unit;

/** Rounding dust must not push a value that lies on a mark over to the next one. */
const DUST = 1e-6;

/**
 * A pressure on the nearest mark of a gauge, kPa; `up` for what must not be gone below, `down` for what must not be
 * passed.
 */
export function onGauge(
  pressureKpa: number,
  units: GaugeUnits,
  direction: 'nearest' | 'up' | 'down' = 'nearest',
): number {
  const { pressure: unit } = units;
  const step = stepOf(units);
  const steps = fromCanonical('pressure', unit, pressureKpa) / step;
  const whole =
    direction === 'up'
      ? Math.ceil(steps - DUST)
      : direction === 'down'
        ? Math.floor(steps + DUST)
        : Math.round(steps + DUST);
  return toCanonical('pressure', unit, whole * step);
}

export const gaugeStepKpa = (units: GaugeUnits): number => toCanonical('pressure', units.pressure, stepOf(units));

/**
 * An axle's pressures as a gauge shows them, kPa: the floor never rounded down, the ceiling never up, nothing past
 * either.
 */
export function axleOnGauge({ startKpa, window, floor, ceiling, roadKpa }: AxlePlan, units: GaugeUnits) {
  const floorKpa = onGauge(floor.pressureKpa, units, 'up');
  const ceilingKpa = ceiling && onGauge(ceiling.pressureKpa, units, ceiling.code === 'placard' ? 'nearest' : 'down');
  const held = (kpa: number): number =>
    Math.max(Math.min(onGauge(kpa, units), ceilingKpa ?? Number.POSITIVE_INFINITY), floorKpa);
  return {
    startKpa: held(startKpa),
    lowKpa: held(window.lowKpa),
    highKpa: held(window.highKpa),
    floorKpa,
    ceilingKpa,
    roadKpa: roadKpa === null ? null : onGauge(roadKpa, units),
  };
}

/** A pressure on a mark of the gauge, without its unit. */
export function pressureNumber(kpa: number, units: GaugeUnits): string {
  const value = Number(fromCanonical('pressure', units.pressure, onGauge(kpa, units)).toFixed(2));
  const text = value.toFixed(units.fine && units.pressure === 'psi' && value % 1 !== 0 ? 1 : DIGITS[units.pressure]);
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
  const text = value.toFixed(DIGITS[unit]);
  return Number(text) === 0 ? text.replace('-', '') : text;
}

/** A difference or error of pressure, finer than a gauge shows it. */
export const pressureFine = (kpa: number, { pressure: unit }: Units): string =>
  `${fromCanonical('pressure', unit, kpa).toFixed({ psi: 1, bar: 2, kPa: 0 }[unit])}\u00a0${unit}`;

const withUnit = <Q extends Exclude<Quantity, 'pressure'>>(quantity: Q, unit: UnitOf<Q>, canonical: number): string =>
  `${number(quantity, unit, canonical)}\u00a0${unitLabel(unit)}`;

export const pressure = (kpa: number, units: Units): string => `${pressureNumber(kpa, units)}\u00a0${units.pressure}`;
export const mass = (kg: number, { mass: unit }: Units): string => withUnit('mass', unit, kg);
export const length = (mm: number, { length: unit }: Units): string => withUnit('length', unit, mm);
export const speed = (kmh: number): string => withUnit('speed', 'kmh', kmh);
export const percent = (share: number): string => `${(100 * share).toFixed(0)}\u00a0%`;

/** A range in one unit; one number where both ends read the same. */
export function pressureRange(lowKpa: number, highKpa: number, units: Units): string {
  const low = pressureNumber(lowKpa, units);
  const high = pressureNumber(highKpa, units);
  return low === high ? `${high}\u00a0${units.pressure}` : `${low}–${high}\u00a0${units.pressure}`;
}

/** As a person would type it: short, and no finer than they could have meant. */
export function editText<Q extends Quantity>(quantity: Q, unit: UnitOf<Q>, canonical: number): string {
  const digits: Record<string, number> = { psi: 1, bar: 2, kPa: 0, kg: 1, lb: 1, mm: 1, in: 2 };
  return String(Number(fromCanonical(quantity, unit, canonical).toFixed(digits[unit] ?? 1)));
}

/** A sum as people type it beside two scales: `41.2+38−3`. Undefined where a part of it is no number. */
export function parseSum(text: string): number | undefined {
  const parts = text
    .replace(/[−–]/g, '-')
    .replace(/\s+/g, '')
    .match(/[+-]?[^+-]+/g);
  if (!parts || parts.join('') !== text.replace(/[−–]/g, '-').replace(/\s+/g, '')) return undefined;
  const numbers = parts.map(parseNumber);
  return numbers.every((each) => each !== undefined) ? numbers.reduce((sum, each) => sum + each, 0) : undefined;
}

/** A number as people type it: comma or point, blanks around it. Undefined where it is none. */
export function parseNumber(text: string): number | undefined {
  const tidy = text.trim().replace(',', '.');
  return /^[+-]?(\d+\.?\d*|\.\d+)$/.test(tidy) ? Number(tidy) : undefined;
}

/** A day and time as people in the field write it, in their own clock. */
export const dayAndTime = (iso: string): string =>
  new Date(iso).toLocaleString('en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
  });

export const day = (iso: string): string =>
  new Date(iso).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });
