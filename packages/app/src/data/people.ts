import {
  KINDS,
  type BodyOf,
  type Crew,
  type Me,
  type PasskeyList,
  type ResourceName,
  type RigRow,
  type Role,
  type SessionList,
  type ShownInvitation,
} from '@dunlinmoss/contract';
import useSWR from 'swr';

import { keepWho, leftCrewStore, namesStore, signedOutStore, spaceOf, storeNameOf, whoStore } from '../settings/who';
import { request } from './client';
import { forgetRows } from './device';
import { wipeLeftCrews } from './leftCrews';
import { forgetSeen } from './seen';
import { newId } from './newId';

/*
 * People and crews: who is signed in here, and whose rows are looked at. A page belongs to one person and one space; where
 * either changes it is loaded anew, so that nothing of the one is left in the other.
 */

const ask = (method: string, path: string, body?: object): Promise<unknown> =>
  request(method, path, body, { ofPeople: true });

/**
 * Loads the page anew as somebody else, or for another space. Until then it stays what it is: what waits on it must not be
 * sent from one space into another. Where this browser keeps nothing there is but this page, and it changes where it is.
 */
function becomes(next: ReturnType<typeof whoStore.get>, go: () => void): void {
  if (keepWho(next)) return go();
  whoStore.set(next);
  signedOutStore.set(next.me?.person === null);
}

const goTo = (address: string) => (): void => globalThis.location.assign(address);

const NOBODY: Me = { signIn: true, person: null, spaces: [] };

/** Takes in what the server says of who is here. */
function take(me: Me): void {
  if (me.signIn && me.person === null) {
    signedOutStore.set(true);
    return;
  }
  const before = whoStore.get();
  const next = { me, crewId: before.me?.person?.id === me.person?.id ? before.crewId : null };
  if (storeNameOf(before) !== storeNameOf(next)) {
    becomes(next, () => globalThis.location.reload());
    return;
  }
  whoStore.set(next);
  leftCrewStore.set(next.crewId !== null && spaceOf(next) === undefined);
  if (me.signIn) void wipeLeftCrews(me).catch(() => undefined);
}

/** Asks the server who is here: names, crews and roles may have changed. */
const askMe = async (): Promise<Me> => {
  const me = (await ask('GET', '/me')) as Me;
  take(me);
  return me;
};

/** How often, ms. */
const LOOK_MS = 60_000;

/** Keeps who is here current, for as long as the page is open. */
export function followPeople(): void {
  const look = async (): Promise<void> => {
    const { person } = await askMe();
    const { crewId } = whoStore.get();
    if (person && crewId !== null) await askCrew(`/crews/${crewId}`);
  };
  const quietly = (): void => void look().catch(() => undefined);
  quietly();
  setInterval(quietly, LOOK_MS);
}

export const useMe = () => useSWR('me', askMe);

/** What this device is called in the list of sessions. */
export const usualDeviceName = (): string =>
  globalThis.matchMedia?.('(pointer: coarse)').matches ? 'A phone' : 'A computer';

export interface Credentials {
  readonly name: string;
  readonly passphrase: string;
  readonly device: string;
}

/** Goes on as whoever the server says, at an address. */
function enter(me: Me, address: string): void {
  const before = whoStore.get();
  const crewId = before.me?.person?.id === me.person?.id ? before.crewId : null;
  const stays = crewId !== null && me.spaces.some(({ id }) => id === crewId);
  becomes({ me, crewId: stays ? crewId : null }, goTo(address));
}

export const signIn = async (credentials: Credentials, address = '/'): Promise<void> =>
  enter((await ask('POST', '/session', credentials)) as Me, address);

export const recover = async (asked: Credentials & { readonly code: string }): Promise<void> =>
  enter((await ask('POST', '/recovery', asked)) as Me, '/crew');

/** The one person of this machine takes a name; from now on people sign in here. */
export async function letOthersIn(credentials: Credentials): Promise<void> {
  take((await ask('POST', '/people', credentials)) as Me);
}

/** Ends the session. The rows leave this device; what waits stays on it, for the same person. */
export async function signOut(): Promise<void> {
  await ask('DELETE', '/session');
  await forgetRows();
  await forgetSeen();
  becomes({ me: NOBODY, crewId: null }, goTo('/'));
}

/** Looks at the rows of a crew, or at one's own. */
export function switchTo(crewId: string | null): void {
  becomes({ ...whoStore.get(), crewId }, goTo('/'));
}

async function askCrew(path: string): Promise<Crew> {
  const crew = (await ask('GET', path)) as Crew;
  namesStore.set({
    ...namesStore.get(),
    ...Object.fromEntries([crew, ...crew.members].map(({ id, name }) => [id, name])),
  });
  return crew;
}

export const useCrew = (crewId: string | null) => useSWR(crewId === null ? null : `/crews/${crewId}`, askCrew);

export const useSessions = () => useSWR('/sessions', async (path: string) => (await ask('GET', path)) as SessionList);

export const endSession = (id: string) => ask('DELETE', `/sessions/${id}`);

export async function makeCrew(name: string): Promise<void> {
  const id = newId();
  await ask('POST', '/crews', { id, name });
  await askMe();
  switchTo(id);
}

export const renameCrew = (crewId: string, name: string) => ask('PUT', `/crews/${crewId}`, { name });

export const changeRole = (crewId: string, personId: string, role: Role) =>
  ask('PUT', `/crews/${crewId}/members/${personId}`, { role });

export const letGo = (crewId: string, personId: string) => ask('DELETE', `/crews/${crewId}/members/${personId}`);

export async function leaveCrew(crewId: string): Promise<void> {
  await letGo(crewId, whoStore.get().me!.person!.id);
  await askMe().catch(() => undefined);
  switchTo(null);
}

export interface MadeInvitation {
  readonly id: string;
  readonly token: string;
  readonly expiresAt: string;
}

export const invite = async (crewId: string, role: Role): Promise<MadeInvitation> =>
  (await ask('POST', `/crews/${crewId}/invitations`, { role })) as MadeInvitation;

export const withdrawInvitation = (crewId: string, id: string) => ask('DELETE', `/crews/${crewId}/invitations/${id}`);

export const lookAtInvitation = async (token: string): Promise<ShownInvitation> =>
  (await ask('POST', '/invitations/look', { token })) as ShownInvitation;

/** Takes an invitation, and goes to that crew. */
export async function joinCrew(token: string, person: Credentials | null): Promise<void> {
  const before = whoStore.get().me?.spaces ?? [];
  const me = (await ask('POST', '/invitations/take', { token, person })) as Me;
  const joined = me.spaces.find(({ id, personal }) => !personal && !before.some((space) => space.id === id));
  becomes({ me, crewId: joined?.id ?? null }, goTo('/'));
}

/** Whether this browser, at this address, has passkeys: none are made for an address in digits. */
export const hasPasskeys = (): boolean =>
  'PublicKeyCredential' in globalThis && !/^[\d.]+$|^\[/.test(globalThis.location.hostname);

export const usePasskeys = () => useSWR('/passkeys', async (path: string) => (await ask('GET', path)) as PasskeyList);

/** Has this device make a passkey, and keeps it. Throws where the person or the device did not. */
export async function addPasskey(name: string): Promise<void> {
  const { startRegistration } = await import('@simplewebauthn/browser');
  const optionsJSON = (await ask('POST', '/passkeys/options')) as Parameters<
    typeof startRegistration
  >[0]['optionsJSON'];
  await ask('POST', '/passkeys', { name, response: await startRegistration({ optionsJSON }) });
}

export const removePasskey = (id: string) => ask('DELETE', `/passkeys/${id}`);

export async function signInByPasskey(device: string, address: string): Promise<void> {
  const { startAuthentication } = await import('@simplewebauthn/browser');
  const optionsJSON = (await ask('POST', '/session/passkey-options')) as Parameters<
    typeof startAuthentication
  >[0]['optionsJSON'];
  enter(
    (await ask('POST', '/session/passkey', { device, response: await startAuthentication({ optionsJSON }) })) as Me,
    address,
  );
}

export const ownCodes = async (): Promise<readonly string[]> =>
  ((await ask('POST', '/recovery-codes')) as { codes: string[] }).codes;

export const codeFor = async (crewId: string, personId: string): Promise<string> =>
  ((await ask('POST', `/crews/${crewId}/members/${personId}/recovery-code`)) as { codes: [string] }).codes[0];

/** Deletes this person with everything of their own, for good, here and on the server. */
export async function deleteMe(passphrase: string): Promise<void> {
  await ask('DELETE', '/me', { passphrase });
  await forgetRows();
  await forgetSeen();
  becomes({ me: NOBODY, crewId: null }, goTo('/'));
}

/** Deletes a crew with everything in it, for good. Its name says that it is meant. */
export async function deleteCrew(crewId: string, name: string): Promise<void> {
  await ask('DELETE', `/crews/${crewId}`, { name });
  await forgetRows();
  await forgetSeen();
  await askMe().catch(() => undefined);
  switchTo(null);
}

export const changePassphrase = (before: string, passphrase: string) =>
  ask('PUT', '/passphrase', { before, passphrase });

/** One's own rigs, while a crew's are looked at. */
export const useOwnRigs = (isAsked: boolean) =>
  useSWR(
    isAsked ? 'ownRigs' : null,
    async () => ((await ask('GET', '/rigs?limit=100')) as { items: readonly RigRow[] }).items,
  );

/** Moves one of one's own rigs into the crew that is looked at, with its outings, tests and readings; here it is archived. */
export async function moveToCrew(rig: RigRow): Promise<void> {
  const file = await ask('GET', `/export?rig=${rig.id}`);
  await request('POST', '/import', file as object);
  await ask('DELETE', `/rigs/${rig.id}?revision=${rig.revision}`);
}

/** One version of a row. */
export interface PastRow {
  readonly revision: number;
  readonly deed: 'saved' | 'archived' | 'restored';
  readonly savedAt: string;
  readonly savedBy?: string;
  readonly body: BodyOf<ResourceName>;
}

/** What a row was, newest first. Needs the server; asked again when the row changes. */
export const useHistory = (name: ResourceName, id: string, revision: number) =>
  useSWR(
    `${KINDS[name].path}/${id}/history?${revision}`,
    async () => ((await request('GET', `/${KINDS[name].path}/${id}/history`)) as { items: readonly PastRow[] }).items,
    { shouldRetryOnError: false },
  );
