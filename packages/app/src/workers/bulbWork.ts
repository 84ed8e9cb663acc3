import { wrap } from 'comlink';

import type { BulbAnswer, BulbQuestion } from './bulb';
import type { BulbWork } from './bulb.worker';

export interface BulbThread {
  /** Asks; where an answer is under way the newest question waits for it, and those before are dropped. */
  readonly ask: (question: BulbQuestion) => void;
  readonly end: () => void;
}

/** A thread that works out the newest of the questions. */
export function startBulb(answered: (answer: BulbAnswer, question: BulbQuestion) => void): BulbThread {
  const worker = new Worker(new URL('./bulb.worker', import.meta.url));
  const { draw } = wrap<BulbWork>(worker);
  let waits: BulbQuestion | undefined;
  let busy = false;
  const next = (): void => {
    if (busy || !waits) return;
    const question = waits;
    waits = undefined;
    busy = true;
    void draw(question).then((answer) => {
      busy = false;
      answered(answer, question);
      next();
    });
  };
  return {
    ask(question) {
      waits = question;
      next();
    },
    end: () => worker.terminate(),
  };
}
