import { marginRun, type Margin, type MarginInput } from '@dunlinmoss/core';
import { expose } from 'comlink';

/** Draws on a thread of its own, so that nothing else waits; tells how far it is. */
const work = {
  run(input: MarginInput, onProgress: (share: number) => void): Margin {
    const run = marginRun(input);
    for (;;) {
      const step = run.next();
      if (step.done) return step.value;
      onProgress(step.value / input.draws);
    }
  },
};

export type MarginWork = typeof work;

expose(work);
