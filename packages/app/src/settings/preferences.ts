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

/** What people have who chose nothing yet. */
export const FIRST_UNITS: Units = { pressure: 'psi', ...METRIC };

/** How a person likes to read: kept on this device, because a phone in glare and a desk differ. */
export const unitsStore = createStore<Units>(FIRST_UNITS, 'units');

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
