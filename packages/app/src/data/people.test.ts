import type { Me, Problem } from '@dunlinmoss/contract';
import { bodyOf } from '@dunlinmoss/contract';
import { fullRig } from '@dunlinmoss/domain/testing';
import { IDBFactory } from 'fake-indexeddb';

import { readStored } from '../settings/storage';
import { leftCrewStore, signedOutStore, whoStore } from '../settings/who';
import { Away, reachStore, Refused, request } from './client';
import { forgetDevice, openDevice } from './device';
import { become, forgetOutbox, save } from './outbox';
import { outboxStore } from './outboxStore';
import { wipeLeftCrews } from './leftCrews';
import { switchTo } from './people';
import { forgetDeviceRows } from './deviceRows';
import { arrived } from './takeIn';

const CREW = { id: '0192f000-0000-7000-8000-0000000000c1', name: 'Sluice crew', personal: false } as const;
const ME = '0192f000-0000-7000-8000-0000000000a1';
const meOf = (role: 'viewer' | 'member', id = ME): Me => ({
  signIn: true,
  person: { id, name: 'Sedge', first: false },
  spaces: [
    { id, name: 'Sedge', role: 'own', personal: true },
    { ...CREW, role },
  ],
});
const refusal = (code: Problem['code'], status: number): Response =>
  ({
    ok: false,
    status,
    headers: new Headers(),
    json: async () => ({ type: 'urn:x', title: 'No', status, code }),
  }) as unknown as Response;
const rig = fullRig({ id: '0192f000-0000-7000-8000-000000000001' });

let heard: { readonly address: string; readonly headers: Record<string, string> }[];
let answer: () => Response;
beforeEach(() => {
  heard = [];
  answer = () => ({ ok: true, status: 200, headers: new Headers(), json: async () => ({}) }) as unknown as Response;
  globalThis.fetch = (async (address: string, { headers }: RequestInit) => {
    heard.push({ address, headers: headers as Record<string, string> });
    return answer();
  }) as typeof fetch;
  globalThis.indexedDB = new IDBFactory();
  forgetOutbox();
  forgetDeviceRows();
  forgetDevice();
  reachStore.set(true);
  signedOutStore.set(false);
  leftCrewStore.set(false);
  whoStore.set({ me: null, crewId: null });
});

describe('request', () => {
  it('goes to the space that is looked at, and names its person', async () => {
    await request('GET', '/rigs');
    whoStore.set({ me: meOf('member'), crewId: CREW.id });
    await request('GET', '/rigs');
    await request('GET', '/me', undefined, { ofPeople: true });
    expect(heard.map(({ address }) => address)).toEqual(['/api/v1/rigs', `/api/v1/in/${CREW.id}/rigs`, '/api/v1/me']);
    expect(heard.map(({ headers }) => headers['dunlinmoss-person'])).toEqual([undefined, ME, ME]);
  });

  it('takes a missing session for a line that is away: what waits is not refused for it', async () => {
    answer = () => refusal('signIn', 401);
    await expect(request('GET', '/rigs')).rejects.toBeInstanceOf(Away);
    expect(signedOutStore.get()).toBe(true);
  });

  it('notes that one is not in a crew any more', async () => {
    answer = () => refusal('notMember', 403);
    await expect(request('GET', '/rigs')).rejects.toBeInstanceOf(Refused);
    expect(leftCrewStore.get()).toBe(true);
  });

  it('tells too many wrong tries apart from a server that has too much to do', async () => {
    answer = () => refusal('tooManyTries', 429);
    await expect(request('POST', '/session')).rejects.toBeInstanceOf(Refused);
    answer = () => refusal('overloaded', 429);
    await expect(request('GET', '/rigs')).rejects.toBeInstanceOf(Away);
  });
});

describe('a device without a session', () => {
  it('keeps what is saved, and sends it when the same person is back', async () => {
    whoStore.set({ me: meOf('member'), crewId: CREW.id });
    answer = () => refusal('signIn', 401);
    const { id: _, ...body } = bodyOf('rigs', rig);
    expect(await save('rigs', { ...body, id: rig.id, revision: 0 })).toEqual({ kind: 'waiting' });
    expect(Object.values(outboxStore.get())).toMatchObject([{ id: rig.id }]);
    expect(Object.values(outboxStore.get())[0]!.refused).toBeUndefined();
  });

  it('has another store for every person and space', async () => {
    const names: (string | undefined)[] = [];
    for (const who of [
      { me: meOf('member'), crewId: CREW.id },
      { me: meOf('member'), crewId: null },
      { me: meOf('member', '0192f000-0000-7000-8000-0000000000a2'), crewId: CREW.id },
      { me: { signIn: true, person: null, spaces: [] }, crewId: null },
    ]) {
      whoStore.set(who);
      forgetDevice();
      names.push((await openDevice())?.name);
    }
    expect(new Set(names).size).toBe(4);
  });
});

describe('a device of somebody who was let go', () => {
  const OTHER = '0192f000-0000-7000-8000-0000000000c2';
  const rowsLeft = async (): Promise<number> => (await (await openDevice())!.getAll('rows')).length;
  const storesNow = async (): Promise<string[]> => (await globalThis.indexedDB.databases()).map(({ name }) => name!);

  it('has the crew’s rows no more, after a reload either, and keeps what waits', async () => {
    whoStore.set({ me: meOf('member'), crewId: CREW.id });
    await arrived('rigs', rig);
    answer = () => refusal('signIn', 401);
    const { id: _, ...body } = bodyOf('rigs', rig);
    await save('rigs', { ...body, id: rig.id, revision: 0 });
    expect(await rowsLeft()).toBe(1);
    await wipeLeftCrews({ ...meOf('member'), spaces: [meOf('member').spaces[0]!] });
    forgetDevice();
    expect(await rowsLeft()).toBe(0);
    expect(await (await openDevice())!.count('outbox')).toBe(1);
  });

  it('has no store left of other crews in which nothing waits, and touches no other', async () => {
    for (const crewId of [OTHER, CREW.id, null]) {
      whoStore.set({ me: meOf('member'), crewId });
      forgetDevice();
      await arrived('rigs', rig);
      await (await openDevice())!.get('rows', ['rigs', rig.id]);
    }
    expect(await storesNow()).toHaveLength(3);
    await wipeLeftCrews(meOf('member'));
    expect((await storesNow()).filter((name) => name.includes(OTHER))).toEqual([]);
    expect(await storesNow()).toHaveLength(2);
    expect(await rowsLeft()).toBe(1);
  });
});

describe('a viewer', () => {
  it('is refused at once, and nothing is left waiting', async () => {
    await arrived('rigs', rig);
    whoStore.set({ me: meOf('viewer'), crewId: CREW.id });
    expect(await save('rigs', bodyOf('rigs', rig))).toMatchObject({ kind: 'refused', problem: { code: 'notAllowed' } });
    await become('rigs', rig.id, 'archive', rig.revision);
    expect(outboxStore.get()).toEqual({});
    expect(heard).toEqual([]);
    // In their own space they are nobody's viewer.
    whoStore.set({ me: meOf('viewer'), crewId: null });
    await save('rigs', bodyOf('rigs', rig));
    expect(heard.map(({ address }) => address)).toContain(`/api/v1/rigs/${rig.id}`);
  });
});

describe('another space', () => {
  it('is kept for the next page, and this one stays what it is: what waits on it is not sent there', async () => {
    const assign = jest.fn();
    const { location } = globalThis;
    Object.defineProperty(globalThis, 'location', { value: { ...location, assign }, configurable: true });
    whoStore.set({ me: meOf('member'), crewId: null });
    switchTo(CREW.id);
    expect(assign).toHaveBeenCalledWith('/');
    expect(readStored('who')).toMatchObject({ crewId: CREW.id });
    await request('PUT', '/rigs/1', {});
    expect(heard.at(-1)!.address).toBe('/api/v1/rigs/1');
    Object.defineProperty(globalThis, 'location', { value: location, configurable: true });
  });
});
