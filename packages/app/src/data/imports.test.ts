import type { LoadsEvent } from '@dunlinmoss/contract';
import { ReadableStream, TextDecoderStream } from 'node:stream/web';
import { TextEncoder } from 'node:util';

import { ImportFailed, importFile, importLoads, type ImportFailure } from './imports';

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

describe('importFile', () => {
  it('gives what the server says it would do', async () => {
    const outcome = { applied: false, added: 1, alreadyThere: 0, rows: [] };
    answers(200, outcome);
    expect(await importFile(text('{}'), true, signal)).toEqual(outcome);
  });

  it('tells a file that is none, a refusal, and a server that is away apart', async () => {
    answers(400, problem);
    expect(await failureOf(importFile(text('{ "format": '), true, signal))).toEqual({ code: 'notJson' });
    expect(await failureOf(importFile(text('{}'), true, signal))).toMatchObject({ code: 'refused', problem });
    answers(503, { ...problem, status: 503, code: 'databaseAway' });
    expect(await failureOf(importFile(text('{}'), false, signal))).toEqual({ code: 'away' });
    globalThis.fetch = (async () => {
      throw new TypeError('no network');
    }) as never;
    expect(await failureOf(importFile(text('{}'), false, signal))).toEqual({ code: 'away' });
    expect(await failureOf(importFile(text('{}'), false, AbortSignal.abort()))).toEqual({ code: 'cancelled' });
  });
});

describe('importLoads', () => {
  it('hands over each event as it comes, wherever the network cuts them', async () => {
    answers(200, undefined, [
      '{"progress":0,',
      '"total":2}\n{"prog',
      'ress":2,"total":2}\n{"problem":{"code":"empty"}}\n',
    ]);
    const events: LoadsEvent[] = [];
    await importLoads(text(''), undefined, signal, (event) => events.push(event));
    expect(events).toEqual([{ progress: 0, total: 2 }, { progress: 2, total: 2 }, { problem: { code: 'empty' } }]);
  });
});
