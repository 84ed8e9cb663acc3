import type { RequestHandler } from 'express';

import { Refusal } from './problems';

/** Requests that are worked on at once. The database has ten connections; a few more keep it busy. */
const AT_ONCE = 24;
/** Requests that may wait for their turn: about two seconds' worth. More are told at once to come again. */
const MOST_WAITING = 1_000;
/** Longest that one waits for its turn, ms. */
const LONGEST_WAIT_MS = 5_000;

/** Places for so many at once; whoever comes later waits in line, and is refused where the line is too long. */
export class Places {
  private free: number;
  private readonly line: { readonly enter: () => void; readonly refuse: (reason: Refusal) => void }[] = [];

  constructor(
    count: number,
    private readonly mostWaiting: number,
    private readonly longestWaitMs = LONGEST_WAIT_MS,
  ) {
    this.free = count;
  }

  /** Resolves once there is a place. Throws `overloaded` where there will be none soon. */
  async take(): Promise<void> {
    if (this.free > 0) {
      this.free -= 1;
      return;
    }
    if (this.line.length >= this.mostWaiting) throw new Refusal('overloaded');
    await new Promise<void>((resolve, reject) => {
      const timer = setTimeout(() => {
        this.line.splice(this.line.indexOf(waiting), 1);
        reject(new Refusal('overloaded'));
      }, this.longestWaitMs);
      const enter = (): void => {
        clearTimeout(timer);
        resolve();
      };
      const waiting = { enter, refuse: reject };
      this.line.push(waiting);
    });
  }

  give(): void {
    const next = this.line.shift();
    if (next) next.enter();
    else this.free += 1;
  }
}

/** Works on so many requests at once as can be served; the others wait for a moment or are told to come again. */
export function admitted(atOnce = AT_ONCE, mostWaiting = MOST_WAITING): RequestHandler {
  const places = new Places(atOnce, mostWaiting);
  return async (_request, response, next) => {
    await places.take();
    response.once('close', () => places.give());
    // Whoever went away while waiting needs no answer.
    if (response.destroyed || response.closed) {
      response.emit('close');
      return;
    }
    next();
  };
}

/** A body that has not come whole after so long is not waited for. */
export const bodyWithin =
  (ms: number): RequestHandler =>
  (request, response, next) => {
    if (request.complete) {
      next();
      return;
    }
    const timer = setTimeout(() => {
      if (request.complete || response.headersSent) return;
      response.once('finish', () => request.destroy());
      response.set('Connection', 'close');
      next(new Refusal('tooSlow'));
    }, ms);
    response.once('close', () => clearTimeout(timer));
    next();
  };

/** A long body may come for as long as it comes: cut off is one that stands still. */
export const bodyMoving =
  (idleMs: number): RequestHandler =>
  (request, _response, next) => {
    request.setTimeout(idleMs, () => {
      if (!request.complete) request.destroy();
    });
    next();
  };
