import type { Ref } from 'react';

import { NUMBER_INPUT } from '../theme/type';
import { Field } from './Field';
import { inputRefOf, type Focusable } from './focusable';

interface NumberFieldProps {
  readonly label: string;
  /** Of the input itself, to bring it into view. */
  readonly inputRef?: Ref<Focusable> | undefined;
  /** The unit that is always meant: km/h, %, l. */
  readonly unit: string;
  readonly spokenLabel?: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly onBlur?: () => void;
  readonly problem?: string | undefined;
  readonly hint?: string | undefined;
}

/** A number of a unit that nobody chooses. */
export function NumberField({ inputRef, label, unit, spokenLabel = label, onChange, ...rest }: NumberFieldProps) {
  return (
    <Field
      {...rest}
      ref={inputRefOf(inputRef)}
      label={unit === '' ? label : `${label}, ${unit}`}
      spokenLabel={unit === '' ? spokenLabel : `${spokenLabel} in ${unit}`}
      onChangeText={onChange}
      inputMode="decimal"
      contentStyle={NUMBER_INPUT}
    />
  );
}
