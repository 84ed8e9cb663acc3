import type { Me, Role, Space } from '@dunlinmoss/contract';

import { writeStored } from './storage';
import { createStore } from './store';

const WHO = 'who';

/** Who works with this device, and whose rows are looked at. */
interface Who {
  /** As the server said last; null before it ever has. Kept, so that all of it works without a signal. */
  readonly me: Me | null;
  /** The crew whose rows are looked at; null for one's own. */
  readonly crewId: string | null;
}

export const whoStore = createStore<Who>({ me: null, crewId: null }, WHO);

/** Keeps who it is to be once the page is loaded anew; false where this browser keeps nothing. */
export const keepWho = (who: Who): boolean => writeStored(WHO, who);

/** What people and crews are called, by id: kept, so that it is known without a signal. */
export const namesStore = createStore<Readonly<Record<string, string>>>({}, 'names');

/** The server doesn't know who this is: nobody is signed in any more, or never was. */
export const signedOutStore = createStore(isSignedOut(whoStore.get().me));

function isSignedOut(me: Me | null): boolean {
  return me !== null && me.signIn && me.person === null;
}

/** Where the person was when the sign-in screen came up: there they go on. The router forgets it once nothing of it is shown. */
export const addressStore = createStore(addressNow());

export function addressNow(): string {
  const { location } = globalThis;
  return location ? location.pathname + location.search : '/';
}

/** The server says that this person is not in that crew any more. */
export const leftCrewStore = createStore(false);

/** The space that is looked at; undefined before the server has ever told. */
export function spaceOf({ me, crewId }: Who): Space | undefined {
  return me?.spaces.find(({ id, personal }) => (crewId === null ? personal : id === crewId));
}

/** What this person may do here. Before anything is known: all, as the one person of a machine may. */
export const roleHere = (who: Who): Role => spaceOf(who)?.role ?? 'own';

/** Where the rows that are looked at are asked for. */
export const apiHere = (): string => {
  const { crewId } = whoStore.get();
  return crewId === null ? '/api/v1' : `/api/v1/in/${crewId}`;
};

/** The store of the first person of a machine. */
export const FIRST_STORE = 'dunlinmoss';

/**
 * What the store of this device is called for this person and space: what waits in it is nobody else's. The first person
 * of a machine keeps the one there was before others came.
 */
export function storeNameOf({ me, crewId }: Who): string {
  if (isSignedOut(me)) return `${FIRST_STORE}-nobody`;
  const person = me?.person;
  if (!person || (person.first && crewId === null)) return FIRST_STORE;
  return `${FIRST_STORE}-${person.id}${crewId === null ? '' : `-${crewId}`}`;
}

export const storeName = (): string => storeNameOf(whoStore.get());
