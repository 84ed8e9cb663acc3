import type { Result, RouteAnswer, RouteInput, RouteProblem } from '@dunlinmoss/core';
import { wrap } from 'comlink';

import type { RouteWork } from './route.worker';

export interface RouteJob {
  readonly result: Promise<Result<RouteAnswer, RouteProblem>>;
  /** Ends the thread: a job that is cancelled never answers. */
  readonly cancel: () => void;
}

/** Plans a route in a worker. */
export function startRoute(input: RouteInput): RouteJob {
  const worker = new Worker(new URL('./route.worker', import.meta.url));
  const failed = new Promise<never>((_, reject) => {
    worker.onerror = ({ message }) => reject(new Error(message));
  });
  const planned = wrap<RouteWork>(worker).plan(input);
  const result = Promise.race([planned, failed]).finally(() => worker.terminate());
  return { result, cancel: () => worker.terminate() };
}
