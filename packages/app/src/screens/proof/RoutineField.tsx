import { optionsFor, type Field, type FieldUnit, type Kind } from '@dunlinmoss/core';

import { Choice } from '../../components/Choice';
import { NumberField } from '../../components/NumberField';
import { QuantityField } from '../../components/QuantityField';
import type { QuantityText } from '../../components/quantityText';
import { FieldNote } from '../../components/FieldNote';
import { asQuantityText, quantityOf, type FieldText } from './fieldText';

interface RoutineFieldProps {
  readonly field: Field;
  readonly label: string;
  readonly spoken: string;
  readonly value: FieldText;
  readonly onChange: (value: FieldText) => void;
  readonly options?: Readonly<Record<string, string>> | undefined;
  /** The kind of rig: some options are only for some. */
  readonly kind: Kind;
  /** The rig's wheels by key. */
  readonly wheels: Readonly<Record<string, string>>;
  readonly problem?: string | undefined;
  readonly hint?: string | undefined;
}

/** Units that nobody chooses. */
const UNITS: Partial<Record<FieldUnit, string>> = { s: 's', deg: '°', watt: 'W', rating: '10 is best' };

/** One field of a test, by what the test says of it. What no person types has no field. */
export function RoutineField({
  field,
  label,
  spoken,
  value,
  onChange,
  options,
  kind,
  wheels,
  problem,
  hint,
}: RoutineFieldProps) {
  const quantity = quantityOf(field);
  const optional = field.optional === true && field.type !== 'choice' ? ' (if you like)' : '';
  if (quantity) {
    return (
      <QuantityField
        label={label + optional}
        spokenLabel={spoken}
        quantity={quantity}
        value={asQuantityText(value)}
        onChange={onChange}
        problem={problem}
        hint={hint}
      />
    );
  }
  if (field.type === 'number') {
    return (
      <NumberField
        label={label + optional}
        spokenLabel={spoken}
        unit={UNITS[field.unit] ?? ''}
        value={typeof value === 'string' ? value : ((value as QuantityText | null)?.text ?? '')}
        onChange={onChange}
        problem={problem}
      />
    );
  }
  if (field.type === 'choice' || field.type === 'wheel') {
    const codes = field.type === 'wheel' ? Object.keys(wheels) : optionsFor(field, kind);
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
