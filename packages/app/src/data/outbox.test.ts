import { bodyOf, type Rig } from '@dunlinmoss/contract';

import { sampleRig } from '@dunlinmoss/domain/testing';
import { outboxStore, save, savePhoto, settle, startOutbox } from './outbox';
import { waitingPhotosStore } from './photos';

// What a browser keeps of photos; the environment of these tests has no such store.
const mockKept = new Map<string, unknown>();
jest.mock('idb-keyval', () => ({
  createStore: () => undefined,
  set: async (id: string, photo: unknown) => void mockKept.set(id, photo),
  get: async (id: string) => mockKept.get(id),
  del: async (id: string) => void mockKept.delete(id),
  entries: async () => [...mockKept],
}));

const rig = (change: Partial<Rig> = {}): Rig => ({ ...bodyOf('rigs', sampleRig()), revision: 0, ...change });
const other = rig({ id: '0192f000-0000-7000-8000-000000000002', name: 'Ruff' });

type Answer = { status: number; body?: unknown } | 'away';
const sent: string[] = [];
let answers: ((method: string, url: string, body: Rig) => Answer)[] = [];
let stop: () => void;
const arrived: unknown[] = [];
const problem = (code: string, status: number, more = {}) => ({
  status,
  body: { type: 'x', title: code, status, code, ...more },
});
const kept: Answer = { status: 200, body: { ...rig(), revision: 1 } };

// The browser of these tests does not have it.
AbortSignal.timeout ??= () => new AbortController().signal;

beforeEach(() => {
  sent.length = 0;
  arrived.length = 0;
  outboxStore.set({});
  answers = [];
  globalThis.fetch = (async (url: string, init: RequestInit) => {
    const body = (init.body instanceof Blob ? { name: 'photo', revision: '' } : JSON.parse(String(init.body))) as Rig;
    sent.push(`${init.method} ${body.name} ${body.revision}`);
    const answer = (answers.shift() ?? (() => kept))(init.method!, url, body);
    if (answer === 'away') throw new TypeError('Failed to fetch');
    return { ok: answer.status < 400, status: answer.status, json: async () => answer.body } as Response;
  }) as typeof fetch;
  stop = startOutbox((_, row) => arrived.push(row));
});
afterEach(() => stop());

describe('save', () => {
  it('sends a second save of a row once the first has arrived, on top of it, and never loses sight of it', async () => {
    answers = [
      () => ({ status: 200, body: { ...rig({ name: 'First' }), revision: 1 } }),
      () => ({ status: 200, body: { ...rig({ name: 'Second' }), revision: 2 } }),
    ];
    const first = save('rigs', rig({ name: 'First' }));
    const second = save('rigs', rig({ name: 'Second' }));
    await first;
    expect(outboxStore.get()[`rigs/${rig().id}`]!.body).toMatchObject({ name: 'Second', revision: 1 });
    expect(await second).toMatchObject({ kind: 'saved', row: { revision: 2 } });
    expect(sent).toEqual(['PUT First 0', 'PUT Second 1']);
    expect(outboxStore.get()).toEqual({});
  });

  it('hands on the row that arrived and forgets the entry', async () => {
    expect(await save('rigs', rig())).toMatchObject({ kind: 'saved', row: { revision: 1 } });
    expect(arrived).toHaveLength(1);
    expect(outboxStore.get()).toEqual({});
  });

  it.each([
    ['no answer', 'away' as const],
    ['a database away', problem('databaseAway', 503)],
    ['a page that is no answer', { status: 502, body: undefined }],
  ])('keeps the entry on %s', async (_, answer) => {
    answers = [() => answer];
    expect((await save('rigs', rig())).kind).toBe('waiting');
    expect(Object.values(outboxStore.get())).toEqual([{ name: 'rigs', body: rig() }]);
  });

  it('sends what waits first, in the order of saving', async () => {
    answers = [() => 'away'];
    await save('rigs', rig());
    await save('rigs', other);
    expect(sent).toEqual(['PUT Knot 0', 'PUT Knot 0', 'PUT Ruff 0']);
    expect(outboxStore.get()).toEqual({});
  });

  it('sends what is saved while older rows are on their way, each in its turn', async () => {
    answers = [() => 'away'];
    await save('rigs', rig());
    const third = rig({ id: '0192f000-0000-7000-8000-000000000003', name: 'Dunlin' });
    const results = await Promise.all([save('rigs', other), save('rigs', third)]);
    expect(results.map(({ kind }) => kind)).not.toContain('refused');
    expect(sent).toEqual(['PUT Knot 0', 'PUT Knot 0', 'PUT Ruff 0', 'PUT Dunlin 0']);
    expect(outboxStore.get()).toEqual({});
  });

  it('keeps only the newest of several saves of one row', async () => {
    answers = [() => 'away', () => 'away'];
    await save('rigs', rig());
    await save('rigs', rig({ name: 'Knot, renamed' }));
    expect(Object.values(outboxStore.get()).map(({ body }) => (body as Rig).name)).toEqual(['Knot, renamed']);
  });

  it('gives a refusal back and does not try it again', async () => {
    answers = [() => problem('invalid', 400)];
    expect(await save('rigs', rig())).toMatchObject({ kind: 'refused', problem: { code: 'invalid' } });
    expect(outboxStore.get()).toEqual({});
  });
});

describe('settle', () => {
  const key = `rigs/${rig().id}`;
  const present = { ...rig({ name: 'Theirs' }), revision: 7 };
  beforeEach(async () => {
    answers = [() => problem('staleRevision', 409, { present })];
    expect((await save('rigs', rig())).kind).toBe('stale');
  });

  it('mine goes out over what is there', async () => {
    await settle(key, 'mine');
    expect(sent.at(-1)).toBe('PUT Knot 7');
    expect(outboxStore.get()).toEqual({});
  });

  it('theirs drops what is here and hands theirs on', async () => {
    await settle(key, 'theirs');
    expect(sent).toHaveLength(1);
    expect(arrived).toEqual([present]);
    expect(outboxStore.get()).toEqual({});
  });
});

describe('savePhoto', () => {
  const photo = new Blob(['jpeg']);
  const settled = async (): Promise<void> => {
    for (let turn = 0; turn < 20; turn += 1) await Promise.resolve();
  };
  // What began with the outbox itself has ended.
  beforeEach(settled);
  afterEach(() => mockKept.clear());

  it('goes out behind the rows that wait, and stays while the server is away', async () => {
    answers = [() => 'away'];
    await save('rigs', rig());
    answers = [() => 'away'];
    await savePhoto('p', photo);
    await settled();
    // The row first: the photo was not tried while it waits.
    expect(sent).toEqual(['PUT Knot 0', 'PUT Knot 0']);
    expect(mockKept.size).toBe(1);
    globalThis.dispatchEvent(new Event('online'));
    await settled();
    expect(sent.slice(2)).toEqual(['PUT Knot 0', 'PUT photo ']);
    expect([mockKept.size, waitingPhotosStore.get()]).toEqual([0, 0]);
  });

  it.each([
    ['too many at once', 429],
    ['an error of its own', 500],
    ['a refusal', 413],
  ])('is kept here after %s', async (_, status) => {
    answers = [() => problem('x', status)];
    await savePhoto('p', photo);
    await settled();
    expect(sent).toEqual(['PUT photo ']);
    expect(mockKept.size).toBe(1);
  });
});
