import type { MessagePort } from 'node:worker_threads';

import { readArchiveInThread } from '../src/archive/inThread';

const mockRun = jest.fn();
jest.mock('../src/threads', () => ({ threads: () => () => ({ run: mockRun }) }));

const batch = { part: 'gauges', lines: 1, rows: [] };
const sleep = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** A thread that gives a batch and then runs out of memory, before or while the next one is asked for. */
const dying =
  (afterMs: number) =>
  ({ port }: { port: MessagePort }): Promise<void> =>
    new Promise((_, reject) => {
      port.once('message', () => {
        port.postMessage({ batch });
        setTimeout(() => reject(new Error('out of memory')), afterMs);
      });
    });

it.each([
  ['while its last batch is taken in', 0, 50],
  ['while it is waited for', 50, 0],
])('a thread that dies %s ends the reading, and nobody waits for ever', async (_, afterMs, takesMs) => {
  mockRun.mockImplementation(dying(afterMs));
  const batches: unknown[] = [];
  const read = async (): Promise<void> => {
    for await (const each of readArchiveInThread(10, async () => Buffer.alloc(10))) {
      batches.push(each);
      await sleep(takesMs);
    }
  };
  await expect(read()).rejects.toThrow('out of memory');
  expect(batches).toEqual([batch]);
});
