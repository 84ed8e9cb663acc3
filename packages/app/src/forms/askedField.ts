import { createContext, useContext, useEffect, useRef } from 'react';

import type { Focusable } from '../components/focusable';

/** The field that somebody was sent to, as its JSON pointer; null where the form was opened as a whole. */
export const AskedField = createContext<string | null>(null);

/** A ref for the input of a field: where it is the one asked for, it is brought into view and takes the keyboard. */
export function useAskedField(places: readonly string[]) {
  const asked = useContext(AskedField);
  const isAsked = asked !== null && places.includes(asked);
  const ref = useRef<Focusable>(null);
  useEffect(() => {
    if (isAsked) ref.current?.focus();
  }, [isAsked]);
  return ref;
}

/** Whether the field asked for is one of these, or within one of these: what folds them away starts open. */
export function useHoldsAsked(fields: readonly string[]): boolean {
  const asked = useContext(AskedField)?.split('/') ?? [];
  return fields.some((field) => asked.includes(field));
}
