import { isIP } from 'node:net';

import type { Request, RequestHandler } from 'express';

import { Refusal } from './problems';

/** The name or address in a Host header or an origin, without port and brackets; null where there is none. */
function hostnameOf(host: string | undefined): string | null {
  const address = `http://${host ?? ''}`;
  return URL.canParse(address) ? new URL(address).hostname.replace(/^\[|\]$/g, '') : null;
}

/**
 * Answers only where it is called by an address in digits, by localhost, or by a name set in its configuration. A foreign
 * page can have its own name point here, and would then count as ours; it can't do that with digits.
 */
export const onlyOwnNames =
  (names: readonly string[]): RequestHandler =>
  ({ headers }, _response, next) => {
    const hostname = hostnameOf(headers.host);
    if (hostname === null || !(isIP(hostname) || hostname === 'localhost' || names.includes(hostname))) {
      throw new Refusal('unknownHost');
    }
    next();
  };

/** Browsers say where a request comes from, and a page can't lie about it; a program that says nothing is no page. */
function fromElsewhere({ headers }: Request): boolean {
  const site = headers['sec-fetch-site'];
  if (site !== undefined && site !== 'same-origin' && site !== 'none') return true;
  const { origin } = headers;
  return origin !== undefined && (!URL.canParse(origin) || new URL(origin).host !== headers.host?.toLowerCase());
}

/** Refuses requests from pages of another site. */
export const onlyOwnPages: RequestHandler = (request, _response, next) => {
  if (fromElsewhere(request)) throw new Refusal('otherSite');
  next();
};

/** A body of any other media type is refused before it is read: a form of a foreign page can't send this one. */
export const onlyMediaType =
  (type: 'application/json' | 'text/csv' | 'application/zip'): RequestHandler =>
  (request, _response, next) => {
    if (request.headers['content-length'] !== '0' && request.is(type) === false) {
      throw new Refusal('mediaType', {
        fields: [{ path: '/', code: 'mediaType', message: `Expected Content-Type: ${type}` }],
      });
    }
    next();
  };
