import { wrap, type Remote } from 'comlink';

import type { RehearsalWork } from './rehearsal.worker';

export interface RehearsalThread {
  readonly work: Remote<RehearsalWork>;
  /** Ends the thread: what it was asked never comes. */
  readonly end: () => void;
}

/** A thread for one lesson. */
export function startRehearsal(): RehearsalThread {
  const worker = new Worker(new URL('./rehearsal.worker', import.meta.url));
  return { work: wrap<RehearsalWork>(worker), end: () => worker.terminate() };
}
