import type { Cache, State } from 'swr';

import { answeredRows } from './rows';
import { readStored, shaped, writeStored } from '../settings/storage';

type Entry = readonly [string, State<unknown>];

/** What was read last, kept on this device, so that a reload without a signal still shows it. */
export function keptCache(): Cache {
  const entries = readStored<Entry[]>(shaped('cache')) ?? [];
  const cache = new Map<string, State<unknown>>(entries);
  const keep = (): void => {
    const known = new Map(
      [...cache].filter(([, { data }]) => data !== undefined).map(([key, { data }]) => [key, data]),
    );
    // What was saved since is newer than what was read: the next page must not begin with the old row.
    for (const [path, row] of answeredRows()) {
      const read = known.get(path) as { readonly revision?: number } | undefined;
      if (row === null) known.delete(path);
      else if (row.revision >= (read?.revision ?? 0)) known.set(path, row);
    }
    writeStored(
      shaped('cache'),
      [...known].map(([key, data]) => [key, { data }]),
    );
  };
  globalThis.addEventListener?.('pagehide', keep);
  globalThis.document?.addEventListener('visibilitychange', keep);
  return cache as Cache;
}
