import { RESOURCE_NAMES } from '@dunlinmoss/contract';
import { useEffect } from 'react';
import { preload } from 'swr';

import { reachStore } from './client';
import { outboxReady, startOutbox } from './outbox';
import { firstScreenComes, firstScreenStands } from './firstScreen';
import { kindStore, loadKind, startReplica, syncStore } from './replica';
import { startSetBack } from './setBack';
import { syncFirst } from './sync';

/** Asks for all rows, from the store of this device and from the server, before anything is drawn. */
export function beginData(): void {
  firstScreenComes();
  startReplica();
  startOutbox();
  startSetBack();
  for (const name of RESOURCE_NAMES) void loadKind(name, outboxReady());
  // Away is told elsewhere.
  Promise.resolve(preload('changes', syncFirst)).catch(() => undefined);
}

/** Does something once the first screen stands with its rows, or there are none to be had: nobody waits for it. */
export function useBehind(run: () => void): void {
  const sync = syncStore.use();
  const reached = reachStore.use();
  const loaded = RESOURCE_NAMES.map((name) => kindStore(name).use().loaded).every(Boolean);
  const stands = loaded && sync !== undefined && (sync?.filled === true || !reached);
  useEffect(() => {
    if (!stands) return undefined;
    let waits = requestAnimationFrame(() => {
      waits = requestAnimationFrame(() => {
        firstScreenStands();
        run();
      });
    });
    return () => cancelAnimationFrame(waits);
  }, [stands, run]);
}
