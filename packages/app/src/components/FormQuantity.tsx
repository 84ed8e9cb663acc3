import { askAbout } from '@dunlinmoss/contract';
import type { Likely } from '@dunlinmoss/core';
import { Controller, type Control, type FieldValues, type Path } from 'react-hook-form';

import { unitsStore } from '../settings/preferences';
import { questionText } from '../words/questions';
import { QuantityField } from './QuantityField';
import { canonicalOf, type QuantityText } from './quantityText';

interface FormQuantityProps<Values extends FieldValues> {
  readonly control: Control<Values>;
  readonly name: Path<Values>;
  readonly label: string;
  readonly spoken?: string;
  readonly quantity: 'pressure' | 'mass' | 'length';
  /** What such a value commonly is; anything else is asked about beside the field. */
  readonly likely?: Likely | null;
  readonly hint?: string | undefined;
}

/** A quantity of a form. */
export function FormQuantity<Values extends FieldValues>(props: FormQuantityProps<Values>) {
  const { control, name, label, spoken, quantity, likely = null, hint } = props;
  const units = unitsStore.use();
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => {
        const typed = field.value as QuantityText;
        const question = askAbout(quantity, canonicalOf(quantity, typed) ?? null, likely);
        return (
          <QuantityField
            label={label}
            {...(spoken !== undefined && { spokenLabel: spoken })}
            quantity={quantity}
            value={typed}
            onChange={field.onChange}
            onBlur={field.onBlur}
            problem={fieldState.error?.message}
            question={question && questionText(quantity, question, units)}
            hint={hint}
          />
        );
      }}
    />
  );
}
