import type { RequestHandler } from 'express';

/** What is said holds for a year from when it is asked for: whoever runs this runs it then. */
const YEAR_MS = 365 * 86_400_000;

/** `/.well-known/security.txt` (RFC 9116): whom to tell of a hole in the security. */
export const securityText =
  (contact: string): RequestHandler =>
  (_request, response) => {
    const expires = new Date(Date.now() + YEAR_MS).toISOString();
    response.type('text/plain').send(`Contact: ${contact}\nExpires: ${expires}\nPreferred-Languages: en\n`);
  };
