import type { Response } from 'express';

/** The asker went away: whatever is under way is taken back. */
export class Cancelled extends Error {}

declare module 'express-serve-static-core' {
  interface Response {
    /** Sends what compression has gathered so far. */
    flush(): void;
  }
}

/** One JSON value a line, sent as soon as it is known. Throws `Cancelled` once nobody listens. */
export function ndjsonWriter<Event>(response: Response): (event: Event) => void {
  response.status(200).type('application/x-ndjson');
  return (event) => {
    if (response.destroyed) throw new Cancelled();
    response.write(`${JSON.stringify(event)}\n`);
    response.flush();
  };
}
