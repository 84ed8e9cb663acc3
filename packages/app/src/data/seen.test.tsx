import type { DownsampledLog } from '@dunlinmoss/contract';
import { sampleRig } from '@dunlinmoss/domain/testing';
import { renderHook, waitFor } from '@testing-library/react';
import { IDBFactory } from 'fake-indexeddb';
import type { ReactNode } from 'react';
import { SWRConfig } from 'swr';

import { FakeServer } from '../testing/fakeServer';
import { reachStore, request } from './client';
import { forgetDevice } from './device';
import { fillSeen, useLog } from './logs';
import { photoAddress } from './photos';
import { forgetDeviceRows } from './deviceRows';
import { closeSeen, forgetSeen, keepSeenLog, keepSeenPhoto, seenLog, seenPhoto } from './seen';
import { syncNow } from './sync';

const AT = '2026-11-20T06:00:00.000Z';
const logOf = (readings: number): DownsampledLog => ({ from: AT, to: AT, readings, wheels: [] });
const R1 = '0192f000-0000-7000-8000-00000000b001';
const R2 = '0192f000-0000-7000-8000-00000000b002';

let server: FakeServer;
/** What is asked for beside rows, and what comes: undefined where nobody answers. */
let beside: (path: string) => unknown;
let asked: string[];
const before = globalThis.fetch;
beforeEach(() => {
  server = new FakeServer();
  asked = [];
  beside = () => undefined;
  globalThis.fetch = (async (address: string, init?: RequestInit) => {
    const path = address.replace(/^.*\/api\/v1/, '');
    if (!/\/log\?|\/photos\//.test(path)) return server.fetch(address, init);
    asked.push(path);
    const body = beside(path);
    if (body === undefined) throw new TypeError('no network');
    return { ok: true, status: 200, headers: new Headers(), json: async () => body, blob: async () => body };
  }) as never;
  globalThis.indexedDB = new IDBFactory();
  globalThis.URL.createObjectURL = (blob) => `blob:${(blob as Blob).size}`;
  reachStore.set(true);
  forgetDeviceRows();
  forgetDevice();
  closeSeen();
});
afterEach(() => {
  globalThis.fetch = before;
});

const wrapper = ({ children }: { readonly children: ReactNode }) => (
  <SWRConfig
    value={{ provider: () => new Map(), fetcher: (path: string) => request('GET', path), shouldRetryOnError: false }}
  >
    {children}
  </SWRConfig>
);
const log = () => renderHook(() => useLog(R1), { wrapper }).result;

describe('a log', () => {
  it('is the server’s, and without it what this device saw last, with when', async () => {
    beside = () => logOf(7);
    const there = log();
    await waitFor(() => expect(there.current).toMatchObject({ log: { readings: 7 }, asOf: null }));
    await waitFor(async () => expect(await seenLog(R1)).toBeDefined());
    beside = () => undefined;
    closeSeen();
    const away = log();
    await waitFor(() => expect(away.current.log).toMatchObject({ readings: 7 }));
    expect(Date.now() - Date.parse(away.current.asOf!)).toBeLessThan(60_000);
  });

  it('that was never seen is not there, and is not waited for', async () => {
    const away = log();
    await waitFor(() => expect(away.current.log).toBeNull());
    expect(away.current.asOf).toBeNull();
  });
});

describe('what is fetched while nobody waits', () => {
  it('is what is not here yet, or old; where the server goes away it is left off', async () => {
    for (const id of [R1, R2]) server.put('rigs', sampleRig({ id }));
    await syncNow();
    const now = Date.parse(AT);
    await keepSeenLog(R1, { log: logOf(1), at: AT });
    beside = () => logOf(2);
    await fillSeen(now + 3_600_000);
    expect(asked.map((path) => path.slice(0, 42))).toEqual([`/rigs/${R2}`]);
    expect((await seenLog(R1))!.log.readings).toBe(1);
    await fillSeen(now + 14 * 3_600_000);
    expect((await seenLog(R1))!.log.readings).toBe(2);
    asked = [];
    beside = () => undefined;
    await fillSeen(now + 72 * 3_600_000);
    expect(asked).toHaveLength(1);
    expect((await seenLog(R2))!.log.readings).toBe(2);
  });
});

describe('a photo', () => {
  it('that was looked at once is here without the server, and one that nobody has is told', async () => {
    beside = () => new Blob(['a print']);
    expect(await photoAddress('p')).toBe('blob:7');
    await waitFor(async () => expect(await seenPhoto('p')).toBeDefined());
    beside = () => undefined;
    expect(await photoAddress('p')).toBe('blob:7');
    expect(await photoAddress('q')).toBeNull();
  });

  it('the oldest goes where there are too many', async () => {
    for (let index = 0; index < 402; index += 1) await keepSeenPhoto(`p${index}`, new Blob(['x']), index);
    expect(await seenPhoto('p1')).toBeUndefined();
    expect(await seenPhoto('p2')).toBeDefined();
    expect(await seenPhoto('p401')).toBeDefined();
  });
});

it('all of it goes when its person signs out, and none of it is needed where the browser keeps nothing', async () => {
  await keepSeenLog(R1, { log: logOf(1), at: AT });
  await keepSeenPhoto('p', new Blob(['x']));
  await forgetSeen();
  expect(await seenLog(R1)).toBeUndefined();
  expect(await seenPhoto('p')).toBeUndefined();
  closeSeen();
  globalThis.indexedDB = undefined as never;
  await keepSeenLog(R1, { log: logOf(1), at: AT });
  expect(await seenLog(R1)).toBeUndefined();
});
