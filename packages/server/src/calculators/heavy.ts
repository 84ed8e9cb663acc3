import path from 'node:path';

import { threads } from '../threads';
import { Refusal } from '../problems';

/** Longest that a calculator may take in its thread, ms; the longest that was seen takes a tenth of it. */
const TIME_LIMIT_MS = 10_000;
/** So many wait for the thread; more get 503 with Retry-After. */
const MOST_WAITING = 16;

const pool = threads(path.resolve(__dirname, 'worker.ts'), { memoryMb: 256, waiting: MOST_WAITING, kept: true });

/** Begins the thread, so that nobody waits for it to read in what it needs: that takes seconds. */
export const warmCalculators = async (): Promise<void> => void (await pool().run(undefined, { name: 'ready' }));

/**
 * Runs a calculator off the event loop. Refuses with `overloaded` where too many wait, and with `tooLong` after its time
 * is over: the thread is ended then.
 */
export async function calculateAside(name: string, input: unknown): Promise<unknown> {
  const waiting = pool();
  if (waiting.queueSize >= MOST_WAITING) throw new Refusal('overloaded');
  // A thread that has just begun is not counted against the calculator.
  await waiting.run(undefined, { name: 'ready' });
  const signal = AbortSignal.timeout(TIME_LIMIT_MS);
  try {
    return await waiting.run({ name, input }, { signal });
  } catch (error) {
    if (signal.aborted) throw new Refusal('tooLong');
    throw error;
  }
}
