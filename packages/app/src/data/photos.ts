import { PHOTO_PATH, PHOTO_TYPE } from '@dunlinmoss/contract';
import { createStore as createKept, del, entries, get, set } from 'idb-keyval';

import { createStore } from '../settings/store';
import { Away, Refused, request } from './client';

/** Photos that have not arrived at the server yet, by id. Survives a reload. The outbox sends them, behind the rows. */
const waiting = createKept('dunlinmoss-photos', 'waiting');

/** How many photos wait on this device. */
export const waitingPhotosStore = createStore(0);

/** Longer than a row takes: a photo over a poor line. */
const TIMEOUT_MS = 60_000;

/** Keeps a photo on this device until it is sent. */
export async function keepWaiting(id: string, photo: Blob): Promise<void> {
  await set(id, photo, waiting);
  waitingPhotosStore.set(waitingPhotosStore.get() + 1);
}

/** Sends the photos that wait. False where the server is away, so that some still do; a photo that is refused stays here. */
export async function sendWaitingPhotos(): Promise<boolean> {
  // A browser that keeps nothing has none.
  const kept = await entries<string, Blob>(waiting).catch(() => []);
  waitingPhotosStore.set(kept.length);
  for (const [index, [id, photo]] of kept.entries()) {
    try {
      await request('PUT', `/${PHOTO_PATH}/${id}`, photo, { type: PHOTO_TYPE, timeoutMs: TIMEOUT_MS });
      await del(id, waiting);
      waitingPhotosStore.set(kept.length - index - 1);
    } catch (error) {
      if (error instanceof Away) return false;
      if (!(error instanceof Refused)) throw error;
    }
  }
  return true;
}

/** Where a kept photo can be shown from: here while it waits, else the server. */
export async function photoAddress(id: string): Promise<string> {
  const photo = await get<Blob>(id, waiting).catch(() => undefined);
  return photo ? URL.createObjectURL(photo) : `/api/v1/${PHOTO_PATH}/${id}`;
}
