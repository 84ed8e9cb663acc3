import type { RequestHandler } from 'express';

declare module 'express-serve-static-core' {
  interface Request {
    /** Whose request it is. Set by `requireOwner` before any route under /api. */
    ownerId: string;
  }
}

/**
 * Says whose request it is: the one place to change when people can sign in. Until then everything belongs to the one
 * owner of the configuration.
 */
export const requireOwner =
  (ownerId: string): RequestHandler =>
  (request, _response, next) => {
    request.ownerId = ownerId;
    next();
  };
