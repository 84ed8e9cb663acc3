import type { Cache, State } from 'swr';

import { readStored, shaped, writeStored } from './storage';

type Entry = readonly [string, State<unknown>];

/** What was read last, kept on this device, so that a reload without a signal still shows it. */
export function keptCache(): Cache {
  const entries = readStored<Entry[]>(shaped('cache')) ?? [];
  const cache = new Map<string, State<unknown>>(entries);
  const keep = (): void => {
    const known = [...cache].filter(([, { data }]) => data !== undefined).map(([key, { data }]) => [key, { data }]);
    writeStored(shaped('cache'), known);
  };
  globalThis.addEventListener?.('pagehide', keep);
  globalThis.document?.addEventListener('visibilitychange', keep);
  return cache as Cache;
}
