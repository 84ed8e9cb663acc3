import type { Margin, MarginInput } from '@dunlinmoss/core';
import { proxy, wrap } from 'comlink';

import type { MarginWork } from './margin.worker';

export interface MarginJob {
  readonly result: Promise<Margin[]>;
  readonly cancel: () => void;
}

/** Draws for each axle in a worker; progress from 0 to 1 over all of them. A job that is cancelled never answers. */
export function startMargin(inputs: readonly MarginInput[], onProgress: (share: number) => void): MarginJob {
  const worker = new Worker(new URL('./margin.worker', import.meta.url));
  const work = wrap<MarginWork>(worker);
  const all = async (): Promise<Margin[]> => {
    const results: Margin[] = [];
    try {
      for (const [index, input] of inputs.entries()) {
        results.push(
          await work.run(
            input,
            proxy((share: number) => onProgress((index + share) / inputs.length)),
          ),
        );
      }
    } finally {
      worker.terminate();
    }
    return results;
  };
  const failed = new Promise<never>((_, reject) => {
    worker.onerror = ({ message }) => reject(new Error(message));
  });
  return { result: Promise.race([all(), failed]), cancel: () => worker.terminate() };
}
