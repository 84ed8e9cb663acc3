import type { Me } from '@dunlinmoss/contract';
import { deleteDB, openDB } from 'idb';

import { FIRST_STORE, storeName } from '../settings/who';
import { forgetRows } from './device';
import { forgetSeen } from './seen';

const ID = '[0-9a-f-]{36}';
/** The store of a person for a crew, or of what was seen beside its rows. */
const OF_CREW = new RegExp(`^${FIRST_STORE}-(${ID})-(${ID})(-seen)?$`);

/**
 * Takes off this device what it keeps of crews that the person is in no more, as soon as the server says so. What waits unsent
 * stays until it is saved as a file or the person is in again.
 */
export async function wipeLeftCrews({ person, spaces }: Me): Promise<void> {
  // A browser that does not tell which stores it has keeps those of other crews until it is asked for them.
  const stores = (await globalThis.indexedDB?.databases?.().catch(() => [])) ?? [];
  const names = new Set([storeName(), ...stores.map(({ name }) => name)]);
  for (const name of names) {
    const [, personId, crewId, seen] = (name !== undefined && OF_CREW.exec(name)) || [];
    if (personId === undefined || personId !== person?.id || spaces.some(({ id }) => id === crewId)) continue;
    if (name === storeName()) {
      await forgetRows();
      await forgetSeen();
    } else if (seen !== undefined) await deleteDB(name!);
    else await wipe(name!);
  }
}

/** Empties a store of rows that no page of this tab has open; removes it where nothing waits in it. */
async function wipe(name: string): Promise<void> {
  const database = await openDB(name);
  const has = (store: string): boolean => database.objectStoreNames.contains(store);
  for (const store of ['rows', 'sync', 'former'].filter(has)) await database.clear(store);
  const waits = await Promise.all(['outbox', 'photos'].filter(has).map((store) => database.count(store)));
  database.close();
  if (waits.every((count) => count === 0)) await deleteDB(name);
}
