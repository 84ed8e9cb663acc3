import { useSyncExternalStore } from 'react';

import { readStored, writeStored } from './storage';

export interface Store<T> {
  readonly get: () => T;
  readonly set: (next: T) => void;
  readonly use: () => T;
}

/** A value that every screen sees at once; with a key it is kept on this device. */
export function createStore<T>(initial: T, key?: string): Store<T> {
  let value = key === undefined ? initial : (readStored<T>(key) ?? initial);
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
  };
}
