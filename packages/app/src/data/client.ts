import type { Problem } from '@dunlinmoss/contract';

import { createStore } from '../settings/store';
import { checkClock } from './clock';
import { apiHere, leftCrewStore, signedOutStore, whoStore } from '../settings/who';

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
  /** Of people and crews, not of the rows that are looked at. */
  readonly ofPeople?: boolean;
}

/** Too slow, or too many at once: it may be well in a moment. */
const TRY_AGAIN: ReadonlySet<number> = new Set([408, 429]);

/** Whose rows this device sends: where another person has signed in meanwhile, the server takes none of them. */
const personHeader = (): Record<string, string> => {
  const person = whoStore.get().me?.person;
  return person ? { 'dunlinmoss-person': person.id } : {};
};

/** One request. Throws `Away` or `Refused`; gives undefined for an answer without a body. */
export async function request(
  method: string,
  path: string,
  body?: unknown,
  { type = 'application/json', timeoutMs = TIMEOUT_MS, ofPeople = false }: RequestOptions = {},
): Promise<unknown> {
  let response: Response;
  const askedMs = Date.now();
  try {
    response = await fetch((ofPeople ? '/api/v1' : apiHere()) + path, {
      method,
      headers: { ...(body !== undefined && { 'content-type': type }), ...personHeader() },
      ...(body !== undefined && { body: body instanceof Blob ? body : JSON.stringify(body) }),
      signal: AbortSignal.timeout(timeoutMs),
    });
  } catch {
    reachStore.set(false);
    throw new Away('No answer from the server');
  }
  checkClock(response.headers.get('date'), askedMs, Date.now());
  if (response.ok) {
    reachStore.set(true);
    return response.status === 204 ? undefined : response.json();
  }
  const told = (await response.json().catch(() => undefined)) as Partial<Problem> | undefined;
  const isProblem = typeof told?.code === 'string' && typeof told.title === 'string';
  if (!isProblem || response.status >= 500 || (TRY_AGAIN.has(response.status) && told.code !== 'tooManyTries')) {
    reachStore.set(false);
    throw new Away(told?.title ?? `Status ${response.status}`);
  }
  reachStore.set(true);
  // What waits stays as it is until the same person is here again.
  if (told.code === 'signIn') {
    signedOutStore.set(true);
    throw new Away(told.title);
  }
  if (told.code === 'notMember') leftCrewStore.set(true);
  throw new Refused(told as Problem);
}
