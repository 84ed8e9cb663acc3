import {
  familyOf,
  type FamilyCode,
  type LengthUnit,
  type MassUnit,
  type PressureUnit,
  type Quantity,
  type SpeedUnit,
  type VolumeUnit,
} from '@dunlinmoss/core';

import { createStore } from './store';

export interface Units {
  readonly pressure: PressureUnit;
  readonly mass: MassUnit;
  readonly length: LengthUnit;
  readonly speed: SpeedUnit;
  readonly volume: VolumeUnit;
  /** Pressures to half a psi, as bicycle gauges show them. */
  readonly fine?: boolean;
}

const METRIC = { mass: 'kg', length: 'mm', speed: 'kmh', volume: 'L' } as const;
const IN_POUNDS = { mass: 'lb', length: 'in', speed: 'mph', volume: 'gal' } as const;

/** How a person likes to read: kept on this device, because a phone in glare and a desk differ. */
export const unitsStore = createStore<Units>({ pressure: 'psi', ...METRIC }, 'units');

/**
 * The units after one of them is chosen. Weights bring lengths, speeds and volumes along, since people think in pounds,
 * inches, miles and gallons or in none of them; each of those can be set apart again, and pressure always stands alone.
 */
export function withUnit(units: Units, quantity: Quantity, unit: string): Units {
  if (quantity !== 'mass') return { ...units, [quantity]: unit };
  return { ...units, ...(unit === 'lb' ? IN_POUNDS : METRIC) };
}

/** A person's units as the gauges of a rig's family show them. */
export const unitsFor = (units: Units, family: FamilyCode): Units =>
  familyOf(family).kind === 'bicycle' ? { ...units, fine: true } : units;

/** `auto` follows the device. */
export const lightStore = createStore<'auto' | 'day' | 'night'>('auto', 'light');

export const PRESSURE_UNITS: readonly PressureUnit[] = ['psi', 'bar', 'kPa'];

/** The unit after this one, round and round: for the one-tap switch. */
export const nextPressureUnit = (unit: PressureUnit): PressureUnit =>
  PRESSURE_UNITS[(PRESSURE_UNITS.indexOf(unit) + 1) % PRESSURE_UNITS.length]!;
