import type { LoadsEvent, LogEvent, Sheets } from '@dunlinmoss/contract';
import { renderHook, waitFor } from '@testing-library/react';
import { ReadableStream, TextDecoderStream } from 'node:stream/web';
import { TextEncoder } from 'node:util';

import {
  ImportFailed,
  importFile,
  importLoads,
  importLog,
  layOutAtServer,
  LEFT,
  previewFile,
  previewLoads,
  putTogether,
  useOpenImports,
  type ImportFailure,
} from './imports';

const signal = new AbortController().signal;
// The browser of these tests does not have it.
globalThis.TextDecoderStream ??= TextDecoderStream as never;
globalThis.TextEncoder ??= TextEncoder as never;

/** The next answer of the server. */
function answers(status: number, body: unknown, chunks?: readonly string[]): void {
  const stream = new ReadableStream({
    start(controller) {
      for (const chunk of chunks ?? []) controller.enqueue(new TextEncoder().encode(chunk));
      controller.close();
    },
  });
  globalThis.fetch = (async () => ({ ok: status < 400, status, body: stream, json: async () => body })) as never;
}
const text = (content: string) => ({ text: async () => content }) as Blob;
const failureOf = async (work: Promise<unknown>): Promise<ImportFailure> => {
  const error = await work.catch((caught: unknown) => caught);
  if (!(error instanceof ImportFailed)) throw new Error(`Not refused: ${String(error)}`);
  return error.failure;
};
const problem = { type: 'x', title: 'Some fields are not as expected', status: 400, code: 'invalid', fields: [] };

describe('previewFile', () => {
  it('gives what the server says it would do', async () => {
    const outcome = { applied: false, added: 1, alreadyThere: 0, rows: [] };
    answers(200, outcome);
    expect(await previewFile(text('{}'), signal)).toEqual(outcome);
  });

  it('tells a file that is none, a refusal, and a server that is away apart', async () => {
    answers(400, problem);
    expect(await failureOf(previewFile(text('{ "format": '), signal))).toEqual({ code: 'notJson' });
    expect(await failureOf(previewFile(text('{}'), signal))).toMatchObject({ code: 'refused', problem });
    answers(503, { ...problem, status: 503, code: 'databaseAway' });
    expect(await failureOf(previewFile(text('{}'), signal))).toEqual({ code: 'away' });
    globalThis.fetch = (async () => {
      throw new TypeError('no network');
    }) as never;
    expect(await failureOf(previewFile(text('{}'), signal))).toEqual({ code: 'away' });
    expect(await failureOf(previewFile(text('{}'), AbortSignal.abort()))).toEqual({ code: 'cancelled' });
  });
});

describe('previewLoads', () => {
  it('hands over each event as it comes, wherever the network cuts them', async () => {
    answers(200, undefined, [
      '{"progress":0,',
      '"total":2}\n{"prog',
      'ress":2,"total":2}\n{"problem":{"code":"empty"}}\n',
    ]);
    const events: LoadsEvent[] = [];
    await previewLoads(text(''), signal, (event) => events.push(event));
    expect(events).toEqual([{ progress: 0, total: 2 }, { progress: 2, total: 2 }, { problem: { code: 'empty' } }]);
  });
});

describe('what is long', () => {
  /** What a server was asked, each with its answer: a status, lines, or a broken line. */
  type Answer = number | object | readonly object[] | 'broken';
  function server(answers: readonly Answer[]): { readonly asked: string[] } {
    const asked: string[] = [];
    const left = [...answers];
    globalThis.fetch = (async (address: string, init: RequestInit = {}) => {
      const name = /[0-9a-f-]{36}/.exec(address.replace('/import/log/', ''))?.[0] ?? '';
      const path = address.replace(/^.*\/api\/v1/, '').replace(name, 'NAME');
      asked.push(`${init.method ?? 'GET'} ${path}${init.body instanceof Blob ? ` ${init.body.size}` : ''}`);
      const answer = left.shift();
      if (answer === undefined || answer === 'broken') throw new TypeError('no network');
      if (typeof answer === 'number')
        return { ok: answer < 400, status: answer, json: async () => ({ status: answer }) };
      const lines = Array.isArray(answer) ? answer : undefined;
      const body = new ReadableStream({
        start(controller) {
          for (const line of lines ?? []) controller.enqueue(new TextEncoder().encode(`${JSON.stringify(line)}\n`));
          controller.close();
        },
      });
      return { ok: true, status: 200, body, json: async () => answer };
    }) as never;
    return { asked };
  }
  const file = new File(['0123456789'], 'log.csv', { lastModified: 1 });
  const done = { done: { added: 2, alreadyThere: 0, from: null, to: null } };
  const coming = (bytes: number) => ({ kind: 'log', state: 'coming', bytes, told: null });
  const run = async (abort = new AbortController()) => {
    const events: LogEvent[] = [];
    let waits = 0;
    const wait = (): void => void (waits += 1);
    const failure = await importLog('R', file, {
      signal: abort.signal,
      onEvent: (event) => events.push(event),
      onWaiting: wait,
    }).then(
      () => null,
      (error: ImportFailed) => error.failure,
    );
    return { events, waits, failure };
  };
  beforeEach(() => {
    jest
      .spyOn(globalThis, 'setTimeout')
      .mockImplementation(((work: () => void) => void Promise.resolve().then(work)) as never);
  });
  afterEach(() => jest.restoreAllMocks());

  it('goes on from what has come where the line breaks, again and again', async () => {
    const { asked } = server([
      404,
      'broken',
      'broken',
      coming(4),
      [{ progress: 1, bytes: 4, ofBytes: 10 }],
      coming(8),
      [{ taken: 0, of: 1 }, { problem: { code: 'databaseAway' } }],
      { ...coming(10), state: 'working' },
      [done],
    ]);
    const { events, waits, failure } = await run();
    expect(failure).toBeNull();
    expect(asked).toEqual([
      'GET /imports/NAME',
      'POST /import/log/R?as=NAME&from=0 10',
      'GET /imports/NAME',
      'GET /imports/NAME',
      'POST /import/log/R?as=NAME&from=4 6',
      'GET /imports/NAME',
      'POST /import/log/R?as=NAME&from=8 2',
      'GET /imports/NAME',
      // All of it has come: nothing is sent again.
      'POST /import/log/R?as=NAME&from=0 0',
    ]);
    expect(waits).toBe(4);
    expect(events.at(-1)).toEqual(done);
    expect(events.some((event) => 'problem' in event)).toBe(false);
  });

  it('chosen again after its end is meant anew, and goes on where it was left by a reload', async () => {
    const anew = server([{ ...coming(10), state: 'done', told: done }, 204, [done]]);
    await run();
    expect(anew.asked.slice(1)).toEqual(['DELETE /imports/NAME', 'POST /import/log/R?as=NAME&from=0 10']);
    const left = server([coming(6), [done]]);
    await run();
    expect(left.asked[1]).toBe('POST /import/log/R?as=NAME&from=6 4');
  });

  it('stopped is forgotten by the server, or too late', async () => {
    const abort = new AbortController();
    abort.abort();
    const { asked } = server(['broken', 204]);
    expect((await run(abort)).failure).toEqual({ code: 'cancelled' });
    expect(asked.at(-1)).toBe('DELETE /imports/NAME');
    server(['broken', 409]);
    expect((await run(abort)).failure).toEqual({ code: 'underWay' });
  });

  it('whose screen was left stays at the server for who chooses the file again', async () => {
    const abort = new AbortController();
    abort.abort(LEFT);
    const { asked } = server(['broken', 204]);
    expect((await run(abort)).failure).toEqual({ code: 'cancelled' });
    expect(asked).toEqual(['GET /imports/NAME']);
  });

  it('that another tab sends as well is gone on with from where that has come to', async () => {
    const { asked } = server([coming(4), 400, coming(8), [done]]);
    const real = globalThis.fetch;
    const otherMark = { ...problem, fields: [{ path: '/from', code: 'otherMark', message: 'Expected 8' }] };
    globalThis.fetch = (async (address: string, init: RequestInit) => {
      const answer = await real(address, init);
      return answer.status === 400 ? { ok: false, status: 400, json: async () => otherMark } : answer;
    }) as never;
    expect((await run()).failure).toBeNull();
    expect(asked.at(-1)).toBe('POST /import/log/R?as=NAME&from=8 2');
  });

  it('refused is told at once', async () => {
    server([404, 415]);
    globalThis.fetch = ((real) => async (address: string, init: RequestInit) =>
      init.method === 'POST' ? { ok: false, status: 400, json: async () => problem } : real(address, init))(
      globalThis.fetch as never as (a: string, b: RequestInit) => unknown,
    ) as never;
    expect((await run()).failure).toMatchObject({ code: 'refused' });
  });

  it('a table of loads is sent whole each time, under one name, and its end is told once', async () => {
    const sum = { applied: true, counts: { add: 2 }, newCases: 0, rigs: 1, digest: 'D' };
    const { asked } = server([
      404,
      'broken',
      { ...coming(10), state: 'working' },
      [{ progress: 1, total: 2 }],
      404,
      [{ done: sum }],
    ]);
    const events: LoadsEvent[] = [];
    const onEvent = (event: LoadsEvent): void => void events.push(event);
    let waits = 0;
    await importLoads(file, 'D', { signal, onEvent, onWaiting: () => void (waits += 1) });
    const sent = 'POST /import/loads?apply=D&as=NAME 10';
    expect(asked).toEqual(['GET /imports/NAME', sent, 'GET /imports/NAME', sent, 'GET /imports/NAME', sent]);
    expect(waits).toBe(2);
    expect(events).toEqual([{ progress: 1, total: 2 }, { done: sum }]);
  });

  it('a file of rows is sent again where its answer was lost, and tells what it came to', async () => {
    const outcome = { applied: true, added: 3, alreadyThere: 0, rows: [] };
    const { asked } = server([404, 'broken', { ...coming(10), state: 'working' }, outcome]);
    let waits = 0;
    expect(await importFile(file, signal, () => void (waits += 1))).toEqual(outcome);
    expect(asked.filter((one) => one.startsWith('POST'))).toEqual(Array(2).fill('POST /import?as=NAME 10'));
    expect(waits).toBe(1);
  });

  describe('everything as one file', () => {
    const out = (state: string, bytes: number) => ({ kind: 'out', state, bytes, told: null });
    const go = () => {
      const written: number[] = [];
      let waits = 0;
      const hands = {
        signal,
        onEvent: (event: { readonly written: number }) => void written.push(event.written),
        onWaiting: () => void (waits += 1),
      };
      return putTogether(hands).then(
        (whole) => ({ whole, written, waits, failure: null }),
        (error: ImportFailed) => ({ whole: null, written, waits, failure: error.failure }),
      );
    };

    it('is asked for until it is there, across a line that breaks, under one name', async () => {
      const { asked } = server([
        'broken',
        out('working', 0),
        out('working', 5),
        503,
        out('working', 7),
        out('working', 8),
        out('done', 9),
      ]);
      const { whole, written, waits } = await go();
      expect(whole).toMatchObject({ bytes: 9 });
      expect(whole!.path).toMatch(/^\/archives\/[0-9a-f-]{36}$/);
      expect(written).toEqual([5, 8]);
      expect(waits).toBe(2);
      const [put, get] = ['PUT /archives/NAME', 'GET /imports/NAME'];
      expect(asked).toEqual([put, put, get, get, put, get, get]);
    });

    it('is begun anew where it was forgotten, and given up where it came to nothing or is refused', async () => {
      const { asked } = server([out('working', 0), 404, out('working', 0), out('done', 4)]);
      expect((await go()).whole).toMatchObject({ bytes: 4 });
      expect(asked.filter((one) => one.startsWith('PUT'))).toHaveLength(2);
      server([out('working', 0), out('refused', 0)]);
      expect((await go()).failure).toEqual({ code: 'failed' });
      server([409]);
      globalThis.fetch = (async () => ({
        ok: false,
        status: 409,
        json: async () => ({ ...problem, status: 409 }),
      })) as never;
      expect((await go()).failure).toMatchObject({ code: 'refused' });
    });
  });

  it('sheets are laid out under the name of what is in them, and not waited for where nobody answers', async () => {
    const sheets = (title: string): Sheets => ({
      ...{ name: 'cards', paper: 'A6' },
      sheets: [{ title, about: '', parts: [], foot: '' }],
    });
    const made: number[] = [];
    const hands = { signal, onEvent: (event: { readonly made: number }) => void made.push(event.made) };
    const paper = (state: string, told: unknown) => ({ kind: 'paper', state, bytes: 9, told });
    const { asked } = server([
      paper('working', null),
      paper('working', null),
      paper('working', { made: 3, of: 7 }),
      paper('done', { made: 7, of: 7 }),
    ]);
    const file = await layOutAtServer(sheets('Snipe'), hands);
    expect(asked).toEqual(['PUT /papers/NAME', ...Array(3).fill('GET /imports/NAME')]);
    expect(made).toEqual([0, 3]);
    server([paper('done', null), paper('done', null)]);
    expect(await layOutAtServer(sheets('Snipe'), hands)).toEqual(file);
    server([paper('done', null), paper('done', null)]);
    expect((await layOutAtServer(sheets('Curlew'), hands)).path).not.toBe(file.path);
    for (const answers of [['broken'], [503], [paper('working', null), 'broken']] as const) {
      server(answers);
      expect(await failureOf(layOutAtServer(sheets('Snipe'), hands))).toEqual({ code: 'away' });
    }
    server([paper('working', null), paper('refused', { problem: { code: 'tooLong' } })]);
    expect(await failureOf(layOutAtServer(sheets('Snipe'), hands))).toEqual({ code: 'failed' });
  });
});

describe('what comes in just now', () => {
  it('is asked for again until it has ended, and is nothing where the server is away', async () => {
    const one = {
      id: '0192f000-0000-7000-8000-00000000c001',
      rigId: '0192f000-0000-7000-8000-00000000b001',
      ...{ kind: 'log', state: 'working', bytes: 10, told: { taken: 1, of: 2 } },
    };
    const answers: (readonly object[] | 'away')[] = [[one], [{ ...one, told: null }], []];
    globalThis.fetch = (async () => {
      const items = answers.length > 1 ? answers.shift()! : answers[0]!;
      if (items === 'away') throw new TypeError('no network');
      return { ok: true, status: 200, json: async () => ({ items }) };
    }) as never;
    const { result, unmount } = renderHook(() => useOpenImports());
    expect(result.current).toEqual([]);
    await waitFor(() => expect(result.current).toEqual([one]));
    await waitFor(() => expect(result.current).toEqual([]), { timeout: 10_000 });
    expect(answers).toEqual([[]]);
    unmount();
  });
});
