import { FROM_VERSION_2, RESOURCES, type BodyOf, type ResourceName } from '@dunlinmoss/contract';
import { openDB } from 'idb';

import { readStored, storedKeys, writeStored } from '../settings/storage';
import { openDevice } from './device';
import { flush, takeBodies } from './outbox';
import { outboxReady } from './outboxStore';

/** Where an earlier version kept its photos. */
const OLD_PHOTOS = { name: 'dunlinmoss-photos', store: 'waiting' };

/** Takes in what earlier versions left unsent, and sends it. */
export async function takeWhatEarlierVersionsLeft(): Promise<void> {
  // Photos go out behind the rows that name them.
  await takePhotos();
  await takeOutbox();
  await flush();
}

async function takePhotos(): Promise<void> {
  const known = (await globalThis.indexedDB?.databases?.().catch(() => [])) ?? [];
  const device = await openDevice();
  if (!device || !known.some(({ name }) => name === OLD_PHOTOS.name)) return;
  const old = await openDB(OLD_PHOTOS.name);
  let areTaken = true;
  if (old.objectStoreNames.contains(OLD_PHOTOS.store)) {
    for (const id of (await old.getAllKeys(OLD_PHOTOS.store)) as string[]) {
      const photo = (await old.get(OLD_PHOTOS.store, id)) as Blob;
      areTaken &&= await device.put('photos', photo, id).then(
        () => true,
        () => false,
      );
    }
  }
  old.close();
  // What a full device could not take stays where it is, for the next time.
  if (areTaken) globalThis.indexedDB.deleteDatabase(OLD_PHOTOS.name);
}

/** Whatever the shape was called in which it was kept, in the shape of today. */
async function takeOutbox(): Promise<void> {
  await outboxReady();
  for (const place of storedKeys('outbox')) {
    const old = readStored<Record<string, { name: ResourceName; body: BodyOf<ResourceName> }>>(place) ?? {};
    const entries = Object.values(old).flatMap(({ name, body }) => {
      if (!(name in RESOURCES)) return [];
      const whole = FROM_VERSION_2[name]?.(body) ?? body;
      // Fields that came since take what stands for nobody having said anything.
      const today = RESOURCES[name].body.safeParse(whole);
      return [{ name, body: (today.success ? today.data : whole) as BodyOf<ResourceName> }];
    });
    if (await takeBodies(entries)) writeStored(place, undefined);
  }
  // What it remembered of the server has come anew.
  for (const place of storedKeys('cache')) writeStored(place, undefined);
}
