import type { Field } from '@dunlinmoss/core';

import { unitsStore } from '../../settings/preferences';
import { Choice } from '../../components/Choice';
import { NumberField } from '../../components/NumberField';
import { QuantityField } from '../../components/QuantityField';
import type { QuantityText } from '../../components/quantityText';
import { FieldNote } from '../../components/FieldNote';
import { followingUnit, quantityOf, type FieldText } from './fieldText';

interface RoutineFieldProps {
  readonly field: Field;
  readonly label: string;
  readonly spoken: string;
  readonly value: FieldText;
  readonly onChange: (value: FieldText) => void;
  readonly options?: Readonly<Record<string, string>> | undefined;
  /** The rig's wheels by key. */
  readonly wheels: Readonly<Record<string, string>>;
  readonly problem?: string | undefined;
}

const UNITS = { m: 'm', s: 's', deg: '°', times: '', rating: '1–10' } as const;

/** One field of a test, by what the test says of it. What no person types has no field. */
export function RoutineField({ field, label, spoken, value, onChange, options, wheels, problem }: RoutineFieldProps) {
  const units = unitsStore.use();
  const quantity = quantityOf(field);
  const optional = field.optional === true && field.type !== 'choice' ? ' (if you like)' : '';
  if (quantity) {
    return (
      <QuantityField
        label={label + optional}
        spokenLabel={spoken}
        quantity={quantity}
        value={value as QuantityText}
        onChange={onChange}
        problem={problem}
      />
    );
  }
  const following = followingUnit(field, units);
  if (following !== undefined) {
    const typed = (value || { text: '', unit: following }) as QuantityText;
    const unit = typed.unit || following;
    return (
      <NumberField
        label={label + optional}
        spokenLabel={spoken}
        unit={unit}
        value={typed.text}
        onChange={(text) => onChange({ text, unit })}
        problem={problem}
      />
    );
  }
  if (field.type === 'number' && field.unit !== 'kpa' && field.unit !== 'mm') {
    return (
      <NumberField
        label={label + optional}
        spokenLabel={spoken}
        unit={UNITS[field.unit as keyof typeof UNITS]}
        value={typeof value === 'string' ? value : ((value as QuantityText | null)?.text ?? '')}
        onChange={onChange}
        problem={problem}
      />
    );
  }
  if (field.type === 'choice' || field.type === 'wheel') {
    const codes = field.type === 'wheel' ? Object.keys(wheels) : field.options;
    const words = field.type === 'wheel' ? wheels : options;
    return (
      <>
        <Choice
          label={label}
          value={(value as string) || undefined}
          options={codes.map((code) => ({ code, name: words?.[code] ?? code }))}
          // One that may be left open is taken back by choosing it again.
          onChange={(code) => onChange(field.optional === true && code === value ? '' : code)}
        />
        {problem !== undefined && <FieldNote problem={problem} />}
      </>
    );
  }
  return null;
}
