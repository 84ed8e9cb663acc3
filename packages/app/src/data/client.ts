import { problem, type Problem } from '@dunlinmoss/contract';

import { createStore } from '../settings/store';

const API = '/api/v1';
const TIMEOUT_MS = 10_000;

/** Whether the last answer came from a server with its database: false means that we are on our own. */
export const reachStore = createStore(true);

/** The server could not be reached, or said that its database is away. Worth trying again. */
export class Away extends Error {}

/** The server refused, and trying again will not help. */
export class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.title);
  }
}

interface RequestOptions {
  /** Content type of the body; JSON by default. */
  readonly type?: string;
  readonly timeoutMs?: number;
}

/** Too slow, or too many at once: it may be well in a moment. */
const TRY_AGAIN: ReadonlySet<number> = new Set([408, 429]);

/** One request. Throws `Away` or `Refused`; gives undefined for an answer without a body. */
export async function request(
  method: string,
  path: string,
  body?: unknown,
  { type = 'application/json', timeoutMs = TIMEOUT_MS }: RequestOptions = {},
): Promise<unknown> {
  let response: Response;
  try {
    response = await fetch(API + path, {
      method,
      ...(body !== undefined && {
        body: body instanceof Blob ? body : JSON.stringify(body),
        headers: { 'content-type': type },
      }),
      signal: AbortSignal.timeout(timeoutMs),
    });
  } catch {
    reachStore.set(false);
    throw new Away('No answer from the server');
  }
  if (response.ok) {
    reachStore.set(true);
    return response.status === 204 ? undefined : response.json();
  }
  const told = problem.safeParse(await response.json().catch(() => undefined));
  if (!told.success || told.data.status >= 500 || TRY_AGAIN.has(response.status)) {
    reachStore.set(false);
    throw new Away(told.success ? told.data.title : `Status ${response.status}`);
  }
  reachStore.set(true);
  throw new Refused(told.data);
}
