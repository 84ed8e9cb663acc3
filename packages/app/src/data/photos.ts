import { PHOTO_PATH, PHOTO_TYPE } from '@dunlinmoss/contract';
import { createStore as createKept, del, entries, get, set } from 'idb-keyval';

/** Photos that have not arrived at the server yet, by id. Survives a reload. */
const waiting = createKept('dunlinmoss-photos', 'waiting');
const RETRY_MS = 30_000;
let timer: ReturnType<typeof setTimeout> | undefined;

const addressOf = (id: string): string => `/api/v1/${PHOTO_PATH}/${id}`;

/** Sends one; true once it is there, or can never be. */
async function send(id: string, photo: Blob): Promise<boolean> {
  try {
    const answer = await fetch(addressOf(id), { method: 'PUT', headers: { 'content-type': PHOTO_TYPE }, body: photo });
    return answer.ok || (answer.status >= 400 && answer.status < 500);
  } catch {
    return false;
  }
}

/** Sends what waits; tries again later while the server is away. */
export async function sendPhotos(): Promise<void> {
  clearTimeout(timer);
  for (const [id, photo] of await entries<string, Blob>(waiting)) {
    if (!(await send(id, photo))) {
      timer = setTimeout(() => void sendPhotos(), RETRY_MS);
      return;
    }
    await del(id, waiting);
  }
}

/** Keeps a photo here at once, and at the server as soon as that can be reached. */
export async function keepPhoto(id: string, photo: Blob): Promise<void> {
  await set(id, photo, waiting);
  void sendPhotos();
}

/** Where a kept photo can be shown from: here while it waits, else the server. */
export async function photoAddress(id: string): Promise<string> {
  const photo = await get<Blob>(id, waiting).catch(() => undefined);
  return photo ? URL.createObjectURL(photo) : addressOf(id);
}
