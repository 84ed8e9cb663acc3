import { familyOf, type FamilyCode, type LengthUnit, type MassUnit, type PressureUnit } from '@dunlinmoss/core';

import { createStore } from './store';

export interface Units {
  readonly pressure: PressureUnit;
  readonly mass: MassUnit;
  readonly length: LengthUnit;
  /** Pressures to half a psi, as bicycle gauges show them. */
  readonly fine?: boolean;
}

/** How a person likes to read: kept on this device, because a phone in glare and a desk differ. */
export const unitsStore = createStore<Units>({ pressure: 'psi', mass: 'kg', length: 'mm' }, 'units');

/** A person's units as the gauges of a rig's family show them. */
export const unitsFor = (units: Units, family: FamilyCode): Units =>
  familyOf(family).kind === 'bicycle' ? { ...units, fine: true } : units;

/** `auto` follows the device. */
export const lightStore = createStore<'auto' | 'day' | 'night'>('auto', 'light');

export const PRESSURE_UNITS: readonly PressureUnit[] = ['psi', 'bar', 'kPa'];

/** The unit after this one, round and round: for the one-tap switch. */
export const nextPressureUnit = (unit: PressureUnit): PressureUnit =>
  PRESSURE_UNITS[(PRESSURE_UNITS.indexOf(unit) + 1) % PRESSURE_UNITS.length]!;
