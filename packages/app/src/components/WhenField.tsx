import { createElement, type ChangeEvent, type CSSProperties, type Ref } from 'react';

import { FACES } from '../theme/type';
import { rem } from '../theme/rem';
import { usePalette } from '../theme/useLight';
import { Field } from './Field';
import type { Focusable } from './focusable';

interface WhenFieldProps {
  /** `2026-12-05`, or `14:05`; empty where nothing is chosen. */
  readonly kind: 'date' | 'time';
  readonly label: string;
  readonly spokenLabel?: string;
  readonly inputRef?: Ref<Focusable> | undefined;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly onBlur?: () => void;
  readonly problem?: string | undefined;
  readonly hint?: string | undefined;
}

/** A day or a time of the day: the browser's own input in Paper's frame, with the device's calendar and order of numbers. */
export function WhenField(props: WhenFieldProps) {
  const { kind, label, spokenLabel = label, inputRef, value, onChange, onBlur, problem, hint } = props;
  const { ink } = usePalette();
  return (
    <Field
      label={label}
      spokenLabel={spokenLabel}
      problem={problem}
      hint={hint}
      // The browser's input is never empty to look at: the label is above it.
      value={value || ' '}
      render={(given) => {
        const { 'aria-invalid': invalid, 'aria-describedby': describedBy } = given as unknown as Record<string, string>;
        return createElement('input', {
          ref: inputRef,
          type: kind,
          'aria-label': spokenLabel,
          'aria-invalid': invalid,
          'aria-describedby': describedBy,
          value,
          onChange: (event: ChangeEvent<HTMLInputElement>) => onChange(event.target.value),
          onFocus: given.onFocus,
          onBlur: (event: never) => {
            given.onBlur?.(event);
            onBlur?.();
          },
          style: { ...INPUT, color: ink },
        });
      }}
    />
  );
}

const INPUT: CSSProperties = {
  width: '100%',
  minHeight: 56,
  boxSizing: 'border-box',
  padding: '0 16px',
  border: 0,
  background: 'transparent',
  // Paper's frame shows the focus.
  outline: 'none',
  fontFamily: FACES.number,
  fontSize: rem(20),
};
