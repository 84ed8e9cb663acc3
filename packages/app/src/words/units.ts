import type { Unit } from '@dunlinmoss/core';

/** How numbers of a unit look. */
interface UnitLook {
  readonly label: string;
  /** Decimals where a number is read. */
  readonly digits: number;
  /** Decimals where it stands in a field to be changed. */
  readonly typedDigits: number;
  /** How far one tap of a stepper goes, in the unit itself. */
  readonly step: number;
}

const look = (label: string, digits: number, typedDigits: number, step: number): UnitLook => ({
  label,
  digits,
  typedDigits,
  step,
});

export const UNIT_LOOKS: Record<Unit, UnitLook> = {
  psi: look('psi', 0, 1, 1),
  bar: look('bar', 2, 2, 0.05),
  kPa: look('kPa', 0, 0, 5),
  kg: look('kg', 0, 1, 10),
  lb: look('lb', 0, 1, 20),
  mm: look('mm', 0, 1, 5),
  in: look('in', 1, 2, 0.2),
  kmh: look('km/h', 0, 1, 5),
  mph: look('mph', 0, 1, 5),
  L: look('L', 0, 1, 50),
  gal: look('gal', 0, 1, 10),
  m: look('m', 0, 1, 5),
  ft: look('ft', 0, 1, 10),
  Lmin: look('L/min', 0, 1, 5),
  cfm: look('ft³/min', 1, 2, 0.2),
  cm2: look('cm²', 0, 1, 5),
  in2: look('in²', 1, 1, 1),
  mL: look('mL', 0, 1, 50),
  floz: look('fl oz', 0, 1, 1),
};

export const unitLabel = (unit: Unit): string => UNIT_LOOKS[unit].label;
