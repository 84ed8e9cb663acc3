import { useSyncExternalStore } from 'react';

import { readStored, writeStored } from './storage';

export interface Store<T> {
  readonly get: () => T;
  readonly set: (next: T) => void;
  readonly use: () => T;
  /** Hears of every change. Gives back the way to stop. */
  readonly subscribe: (listener: () => void) => () => void;
}

/** A value that every screen sees at once; with a key it is kept on this device. */
export function createStore<T>(initial: T, key?: string): Store<T> {
  let value = key === undefined ? initial : withNew(initial, readStored<T>(key));
  const listeners = new Set<() => void>();
  const subscribe = (listener: () => void): (() => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  };
  const get = (): T => value;
  return {
    get,
    set(next) {
      value = next;
      if (key !== undefined) writeStored(key, next);
      listeners.forEach((listener) => listener());
    },
    use: () => useSyncExternalStore(subscribe, get, get),
    subscribe,
  };
}

/** What is kept on this device, with whatever a newer version of the application added to it. */
function withNew<T>(initial: T, stored: T | undefined): T {
  if (stored === undefined) return initial;
  const plain = (value: unknown): value is object =>
    typeof value === 'object' && value !== null && !Array.isArray(value);
  return plain(initial) && plain(stored) ? { ...initial, ...stored } : stored;
}
