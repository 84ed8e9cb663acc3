import {
  familyOf,
  type FamilyCode,
  type PressureUnit,
  type Quantity,
  type TubeKind,
  type UnitOf,
} from '@dunlinmoss/core';

import { createStore } from './store';

type ChosenUnits = { readonly [Q in Quantity]: UnitOf<Q> };

export interface Units extends ChosenUnits {
  /** Pressures to half a psi, as bicycle gauges show them. */
  readonly fine?: boolean;
}

type BesidesPressure = Omit<ChosenUnits, 'pressure'>;
const METRIC: BesidesPressure = {
  ...{ mass: 'kg', length: 'mm', speed: 'kmh', volume: 'L' },
  ...{ distance: 'm', flow: 'Lmin', area: 'cm2', pour: 'mL' },
};
const IN_POUNDS: BesidesPressure = {
  ...{ mass: 'lb', length: 'in', speed: 'mph', volume: 'gal' },
  ...{ distance: 'ft', flow: 'cfm', area: 'in2', pour: 'floz' },
};

/** Gauges in psi, weights in kilograms. */
export const FIRST_UNITS: Units = { pressure: 'psi', ...METRIC };

/** Regions that weigh in pounds and drive by miles; of those that do not, the ones whose gauges read psi. Common practice. */
const POUNDS: ReadonlySet<string> = new Set(['US', 'LR', 'MM']);
const MILES: ReadonlySet<string> = new Set(['GB']);
const PSI: ReadonlySet<string> = new Set(['GB', 'IE', 'AU', 'NZ', 'CA', 'IN', 'ZA']);

function regionOf(locale: string | undefined): string | undefined {
  try {
    return locale === undefined ? undefined : new Intl.Locale(locale).maximize().region;
  } catch {
    // Some systems call their language "C".
    return undefined;
  }
}

/** The units of a device's language and region (BCP 47), until a person chooses others. */
export function unitsOfLocale(locale: string | undefined): Units {
  const region = regionOf(locale);
  if (region === undefined) return FIRST_UNITS;
  if (POUNDS.has(region)) return { pressure: 'psi', ...IN_POUNDS };
  return {
    pressure: PSI.has(region) ? 'psi' : 'bar',
    ...METRIC,
    ...(MILES.has(region) && { speed: 'mph', distance: 'ft' }),
  };
}

/** How a person likes to read: kept on this device, because a phone in glare and a desk differ. */
export const unitsStore = createStore<Units>(unitsOfLocale(globalThis.navigator?.language), 'units');

/** What goes along with a choice: nobody measures a print in square inches and a tread in millimeters. */
const ALONG: Partial<Record<Quantity, readonly (keyof BesidesPressure)[]>> = {
  mass: Object.keys(METRIC) as (keyof BesidesPressure)[],
  length: ['area', 'pour'],
};

/**
 * The units after one of them is chosen. Weights bring all others along, since people think in pounds, inches, miles
 * and gallons or in none of them; each can be set apart again, and pressure always stands alone.
 */
export function withUnit(units: Units, quantity: Quantity, unit: string): Units {
  const from = unit === IN_POUNDS[quantity as keyof BesidesPressure] ? IN_POUNDS : METRIC;
  const along = (ALONG[quantity] ?? []).map((each) => [each, from[each]]);
  return { ...units, ...Object.fromEntries(along), [quantity]: unit };
}

/** A person's units as the gauges of a rig's family show them. */
export const unitsFor = (units: Units, family: FamilyCode): Units =>
  familyOf(family).kind === 'bicycle' ? { ...units, fine: true } : units;

/** What holds the air in, by rig, where somebody said; kept on this device. */
export const tubesStore = createStore<Readonly<Record<string, TubeKind>>>({}, 'tubes');

/** `auto` follows the device. */
export const lightStore = createStore<'auto' | 'day' | 'night'>('auto', 'light');

/** Whether single keys lead from place to place: who dictates, or rests a hand on the keyboard, may not want them. */
export const singleKeysStore = createStore(true, 'singleKeys');

export const PRESSURE_UNITS: readonly PressureUnit[] = ['psi', 'bar', 'kPa'];

/** The unit after this one, round and round: for the one-tap switch. */
export const nextPressureUnit = (unit: PressureUnit): PressureUnit =>
  PRESSURE_UNITS[(PRESSURE_UNITS.indexOf(unit) + 1) % PRESSURE_UNITS.length]!;
