import { useEffect } from 'react';
import type { FieldValues, UseFormReturn } from 'react-hook-form';

import { DRAFTS, readStored, writeStored } from '../settings/storage';
import { FIRST_STORE, storeName } from '../settings/who';
import { notKeptStore } from './device';

/** A draft is of one person and space, as the store is. */
const keyOf = (name: string): string => {
  const store = storeName();
  return store === FIRST_STORE ? `${DRAFTS}:${name}` : `${DRAFTS}:${store}:${name}`;
};

export const readDraft = <T>(name: string): T | undefined => readStored<T>(keyOf(name));
export const dropDraft = (name: string): void => void writeStored(keyOf(name), undefined);

/** Keeps a draft; that it could not be kept is said on every screen. */
export function writeDraft(name: string, value: unknown): void {
  if (!writeStored(keyOf(name), value)) notKeptStore.set('full');
}

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
