import { useEffect } from 'react';
import type { FieldValues, UseFormReturn } from 'react-hook-form';

import { readStored, shaped, writeStored } from '../settings/storage';

const keyOf = (name: string): string => `${shaped('draft')}:${name}`;

export const readDraft = <T>(name: string): T | undefined => readStored<T>(keyOf(name));
export const writeDraft = (name: string, value: unknown): void => writeStored(keyOf(name), value);
export const dropDraft = (name: string): void => writeStored(keyOf(name), undefined);

/** Keeps what is typed into a form as it is typed, so that leaving the screen loses nothing. */
export function useDraft<Values extends FieldValues>(name: string, { subscribe }: UseFormReturn<Values>): void {
  useEffect(
    () =>
      subscribe({
        formState: { values: true },
        callback: ({ values, name: field }) => {
          // Without a field it is a reset, not something a person typed.
          if (field !== undefined) writeDraft(name, values);
        },
      }),
    [name, subscribe],
  );
}
