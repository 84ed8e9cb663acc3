import { UNITS } from '@dunlinmoss/core';

import { unitsStore } from '../settings/preferences';
import { Choice } from './Choice';

interface UnitChoiceProps {
  readonly label: string;
  readonly quantity: 'mass' | 'length';
}

/** Kilograms or pounds, millimetres or inches: beside the fields that mean them. */
export function UnitChoice({ label, quantity }: UnitChoiceProps) {
  const units = unitsStore.use();
  return (
    <Choice
      label={label}
      value={units[quantity] as string}
      options={Object.keys(UNITS[quantity]).map((code) => ({ code, name: code }))}
      onChange={(unit) => unitsStore.set({ ...units, [quantity]: unit })}
    />
  );
}
