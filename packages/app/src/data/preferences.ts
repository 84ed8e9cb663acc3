import type { LengthUnit, MassUnit, PressureUnit } from '@dunlinmoss/core';

import { createStore } from './store';

export interface Units {
  readonly pressure: PressureUnit;
  readonly mass: MassUnit;
  readonly length: LengthUnit;
}

/** How a person likes to read: kept on this device, because a phone in glare and a desk differ. */
export const unitsStore = createStore<Units>({ pressure: 'psi', mass: 'kg', length: 'mm' }, 'units');

/** `auto` follows the device. */
export const lightStore = createStore<'auto' | 'day' | 'night'>('auto', 'light');

export const PRESSURE_UNITS: readonly PressureUnit[] = ['psi', 'bar', 'kPa'];

/** The unit after this one, round and round: for the one-tap switch. */
export const nextPressureUnit = (unit: PressureUnit): PressureUnit =>
  PRESSURE_UNITS[(PRESSURE_UNITS.indexOf(unit) + 1) % PRESSURE_UNITS.length]!;
