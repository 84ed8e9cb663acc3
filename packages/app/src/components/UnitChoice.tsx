import { UNITS, type Quantity, type Unit } from '@dunlinmoss/core';

import { unitsStore, withUnit } from '../settings/preferences';
import { unitLabel } from '../words/units';
import { Choice } from './Choice';

interface UnitChoiceProps {
  readonly label: string;
  readonly quantity: Quantity;
}

/** Kilograms or pounds, millimetres or inches: beside the fields that mean them. */
export function UnitChoice({ label, quantity }: UnitChoiceProps) {
  const units = unitsStore.use();
  return (
    <Choice
      label={label}
      value={units[quantity] as Unit}
      options={(Object.keys(UNITS[quantity]) as Unit[]).map((code) => ({ code, name: unitLabel(code) }))}
      onChange={(unit) => unitsStore.set(withUnit(units, quantity, unit))}
    />
  );
}
