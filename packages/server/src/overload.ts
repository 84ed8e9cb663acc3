import type { RequestHandler } from 'express';

import { FairPlaces } from './fairPlaces';
import { Refusal } from './problems';

/** Requests that are worked on at once. The database has ten connections; a few more keep it busy. */
const AT_ONCE = 24;
/** Requests that may wait for their turn: about two seconds' worth. More get 503 with Retry-After at once. */
const MOST_WAITING = 1_000;
/**
 * Works on so many requests at once as can be served; the others wait for a moment or get 503 with Retry-After. A space
 * that asks for very much waits for itself, not the others for it.
 */
export function admitted(atOnce = AT_ONCE, mostWaiting = MOST_WAITING): RequestHandler {
  const places = new FairPlaces(atOnce, mostWaiting);
  return async ({ ownerId }, response, next) => {
    const give = await places.take(ownerId);
    response.once('close', give);
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
