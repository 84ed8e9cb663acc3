import { PHOTO_PATH, PHOTO_TYPE } from '@dunlinmoss/contract';

import { createStore } from '../settings/store';
import { apiHere } from '../settings/who';
import { Away, Refused, request } from './client';
import { kept, openDevice } from './device';
import { rowsHere } from './deviceRows';
import { keepSeenPhoto, seenPhoto } from './seen';

/** How many photos wait on this device. The outbox sends them, behind the rows. */
export const waitingPhotosStore = createStore(0);

/** Longer than a row takes: a photo over a poor line. */
const TIMEOUT_MS = 60_000;

const waitingIds = async (): Promise<string[]> =>
  (await (await openDevice())?.getAllKeys('photos').catch(() => [])) ?? [];

/** Keeps a photo on this device until it is sent. False where it could not be kept. */
export async function photosWait(id: string, photo: Blob): Promise<boolean> {
  const isKept = await kept((device) => device.put('photos', photo, id));
  waitingPhotosStore.set((await waitingIds()).length);
  return isKept;
}

/** Sends a photo. Throws `Away` or `Refused`. */
const putPhoto = (id: string, photo: Blob): Promise<unknown> =>
  request('PUT', `/${PHOTO_PATH}/${id}`, photo, { type: PHOTO_TYPE, timeoutMs: TIMEOUT_MS });

/** Sends a photo that this device could not keep; false where it did not arrive. */
export const sendPhoto = (id: string, photo: Blob): Promise<boolean> =>
  putPhoto(id, photo).then(
    () => true,
    () => false,
  );

/** Sends the photos that wait. False where the server is away, so that some still do; a photo that is refused stays here. */
export async function sendWaitingPhotos(): Promise<boolean> {
  const device = await openDevice();
  const ids = await waitingIds();
  waitingPhotosStore.set(ids.length);
  for (const [index, id] of ids.entries()) {
    try {
      const photo = await device!.get('photos', id);
      if (photo) {
        await putPhoto(id, photo);
        await keepSeenPhoto(id, photo);
      }
      await device!.delete('photos', id);
      waitingPhotosStore.set(ids.length - index - 1);
    } catch (error) {
      if (error instanceof Away) return false;
      if (!(error instanceof Refused)) throw error;
    }
  }
  return true;
}

/** Where a kept photo can be shown from: here while it waits or was seen before, else the server; null where neither has it. */
export async function photoAddress(id: string): Promise<string | null> {
  const waiting = await (await openDevice())?.get('photos', id).catch(() => undefined);
  const here = waiting ?? (await seenPhoto(id));
  if (here) return URL.createObjectURL(here);
  const answer = await fetch(`${apiHere()}/${PHOTO_PATH}/${id}`).catch(() => undefined);
  if (!answer?.ok) return null;
  const photo = await answer.blob();
  void keepSeenPhoto(id, photo);
  return URL.createObjectURL(photo);
}

/** The photos that tests name, those of the newest first. */
export async function photosOfTests(): Promise<string[]> {
  const tests = await rowsHere('tests');
  tests.sort((one, other) => (one.performedAt < other.performedAt ? 1 : -1));
  return tests.flatMap((test) =>
    test.kind === 'print'
      ? test.details.runs.flatMap(({ photoId }) => (typeof photoId === 'string' ? [photoId] : []))
      : [],
  );
}
