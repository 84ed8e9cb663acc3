import type { Changes } from '@dunlinmoss/contract';
import { useEffect } from 'react';
import useSWR from 'swr';

import { apiHere, whoStore } from '../settings/who';
import { request } from './client';
import type { SyncState } from './device';
import { syncStateHere } from './deviceRows';
import { afterFirstScreen } from './firstScreen';
import { followLine } from './liveLine';
import { readLists, syncChanged } from './lists';
import { compareWithStore, keepAside } from './setBack';
import { alone } from './tabs';
import { takeIn } from './takeIn';

/** How often a device that is looked at asks what changed, ms. */
const LOOK_MS = 15_000;

/** Brings this device up to what the server has: everything the first time, then what changed. Throws `Away`. */
export const syncNow = (): Promise<boolean> =>
  alone('sync', async () => {
    // What the store has counts: another tab may have come further.
    let state = await syncStateHere();
    const wasFilled = state?.filled === true;
    let startedOver = false;
    let isNew = false;
    try {
      for (let more = true; more;) {
        const page = (await request('GET', `/changes${state ? `?after=${state.mark}` : ''}`)) as Changes;
        // What is not kept aside must not be taken off this device.
        if (page.setBack && !(await keepAside(page.setBack))) return false;
        state = stateAfter(page, state);
        isNew = true;
        startedOver ||= page.startsOver;
        // Before the lists are emptied, so that nobody takes them for all there is.
        if (startedOver || !wasFilled) await syncChanged({ ...state, filled: false });
        await takeIn(page.items, { sync: state, anew: page.startsOver });
        more = page.more;
      }
    } finally {
      // Everything has come, or no more can be had just now: lists are read before they count as all there is.
      if (isNew && (startedOver || !wasFilled)) await readLists();
      if (isNew) await syncChanged(state);
    }
    await compareWithStore();
    return true;
  });

function stateAfter(page: Changes, before: SyncState | null): SyncState {
  const { filled, got, total } =
    before && !page.startsOver ? before : { filled: false, got: 0, total: page.total ?? 0 };
  return { mark: page.next, filled: filled || !page.more, got: filled ? got : got + page.items.length, total };
}

/** The same when the application opens: a device that has its rows draws them before it asks what has changed since. */
export async function syncFirst(): Promise<boolean> {
  if ((await syncStateHere())?.filled) await afterFirstScreen();
  return syncNow();
}

/** Keeps this device current while the application is open, as soon as it is looked at again, and when a line is back. */
export function useSync(): void {
  useSWR('changes', syncNow, { refreshInterval: LOOK_MS, dedupingInterval: 500 });
  const { me } = whoStore.use();
  const several = me?.signIn === true && me.person !== null;
  useEffect(() => {
    if (!several) return undefined;
    // What the others of a crew do is seen at once; without this line it is within the quarter of a minute.
    return followLine(`${apiHere()}/changes/stream`, {
      onOpen: (again) => again && readAgain(),
      on: { changed: readAgain },
    });
  }, [several]);
}

/** Much may have changed on the server at once: it is asked. */
export const readAgain = (): void => void syncNow().catch(() => undefined);
