import type { Changes } from '@dunlinmoss/contract';
import { useEffect } from 'react';
import useSWR from 'swr';

import { apiHere, whoStore } from '../settings/who';
import { request } from './client';
import { openDevice, type SyncState } from './device';
import { afterFirstScreen } from './firstScreen';
import { followLine } from './liveLine';
import { syncStateHere, takeIn, tellWhatCame } from './replica';
import { compareWithStore, keepAside } from './setBack';
import { alone } from './tabs';

/** How often a device that is looked at asks what changed, ms. */
const LOOK_MS = 15_000;

/** Brings this device up to what the server has: everything the first time, then what changed. Throws `Away`. */
export const syncNow = (): Promise<boolean> =>
  alone('sync', async () => {
    // What the store has counts: another tab may have come further, and on a full device rows of this page are not in it.
    const device = await openDevice();
    let state = (device ? await device.get('sync', 'state') : syncStateHere()) ?? null;
    for (let more = true; more;) {
      const after = state ? `?after=${state.mark}` : '';
      const page = (await request('GET', `/changes${after}`).catch((error: unknown) => {
        tellWhatCame();
        throw error;
      })) as Changes;
      const before: Pick<SyncState, 'filled' | 'got' | 'total'> =
        state && !page.startsOver ? state : { filled: false, got: 0, total: page.total ?? 0 };
      state = {
        mark: page.next,
        filled: before.filled || !page.more,
        got: before.filled ? before.got : before.got + page.items.length,
        total: before.total,
      };
      // What is not kept aside must not be taken off this device.
      if (page.setBack && !(await keepAside(page.setBack))) return false;
      await takeIn(page.items, { sync: state, anew: page.startsOver });
      more = page.more;
    }
    await compareWithStore();
    return true;
  });

/** The same when the application opens: a device that has its rows draws them before it asks what has changed since. */
export async function syncFirst(): Promise<boolean> {
  const state = await openDevice()
    .then((device) => device?.get('sync', 'state'))
    .catch(() => undefined);
  if (state?.filled) await afterFirstScreen();
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
