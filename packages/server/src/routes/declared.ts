import type { Role } from '@dunlinmoss/contract';
import { mayAs } from '@dunlinmoss/contract/api';
import { Router, type Request, type RequestHandler, type RouterOptions } from 'express';

import { Refusal } from '../problems';
import { idOf } from './idOf';

/**
 * Who may use a route: `nobody` in particular, so everybody; any signed-in `person`; a role in the space that the request is
 * about; or a role in the crew that the address names as `:crew`.
 */
export type Needed = 'nobody' | 'person' | Role | { readonly crew: Role };

type Method = 'get' | 'post' | 'put' | 'delete';

/** A route as it was declared. */
export interface Declared {
  readonly method: Method;
  readonly path: string;
  readonly needed: Needed;
}

/** The person who asks. Throws `signIn` where there is none, or `aloneHere` where nobody signs in here yet. */
export function personOf({ personId, signIn }: Request): string {
  if (personId === null || !signIn) throw new Refusal(signIn ? 'signIn' : 'aloneHere');
  return personId;
}

/** Asks of a request that was matched, whether they may. */
const guard =
  (needed: Needed): RequestHandler =>
  async (request, _response, next) => {
    if (needed === 'person') personOf(request);
    else if (typeof needed === 'object') {
      personOf(request);
      const role = await request.roleIn(idOf(request.params.crew));
      if (role === null) throw new Refusal('notMember');
      if (!mayAs(role, needed.crew)) throw new Refusal('notAllowed');
      request.role = role;
    } else if (needed !== 'nobody' && !mayAs(request.role, needed)) throw new Refusal('notAllowed');
    next();
  };

/**
 * Routes, each declared with who may use it, and asked for by the same match that finds it. Another spelling of an address,
 * by capitals or a slash at its end, is another address.
 */
export class Routes {
  readonly router: Router;
  private readonly own: Declared[] = [];

  constructor(options: RouterOptions = {}) {
    this.router = Router({ ...options, caseSensitive: true, strict: true });
  }

  /** Every route in here, with the path that it is mounted under. */
  get declared(): readonly Declared[] {
    return this.own;
  }

  get(path: string, needed: Needed, ...handlers: RequestHandler[]): void {
    this.add('get', path, needed, handlers);
  }

  post(path: string, needed: Needed, ...handlers: RequestHandler[]): void {
    this.add('post', path, needed, handlers);
  }

  put(path: string, needed: Needed, ...handlers: RequestHandler[]): void {
    this.add('put', path, needed, handlers);
  }

  delete(path: string, needed: Needed, ...handlers: RequestHandler[]): void {
    this.add('delete', path, needed, handlers);
  }

  /** What every request goes through, or every one of some paths. */
  use(...handlers: [paths: readonly string[], ...RequestHandler[]] | RequestHandler[]): void {
    this.router.use(...(handlers as RequestHandler[]));
  }

  /** Other routes, as they are or under a path. */
  mount(routes: Routes, path = ''): void {
    if (path === '') this.router.use(routes.router);
    else this.router.use(path, routes.router);
    this.own.push(...routes.own.map((each) => ({ ...each, path: path + (each.path === '/' ? '' : each.path) })));
  }

  private add(method: Method, path: string, needed: Needed, handlers: readonly RequestHandler[]): void {
    // The compiler asks for it; a server without it must not start either.
    if (needed === undefined || typeof needed === 'function') {
      throw new Error(`${method} ${path}: expected who may use it`);
    }
    this.router[method](path, guard(needed), ...handlers);
    this.own.push({ method, path, needed });
  }
}
