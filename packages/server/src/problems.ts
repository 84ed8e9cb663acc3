import { fieldProblems, type FieldProblem, type Problem, type ProblemCode } from '@dunlinmoss/contract';
import type { ErrorRequestHandler, RequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { ZodError } from 'zod';

import { isDatabaseAway, isDatabaseBusy, isDiskFull, isMissingReference } from './db/pool';
import { NoPlace } from './places';
import { SpaceFull } from './limits';
import { BadCursor } from './repositories/versioned';

const TITLES: Record<ProblemCode, { readonly status: number; readonly title: string }> = {
  invalid: { status: 400, title: 'Some fields are not as expected' },
  malformedJson: { status: 400, title: 'The body is not readable JSON' },
  bodyTooLarge: { status: 413, title: 'The body is larger than this server takes' },
  mediaType: { status: 415, title: 'The body is not of the media type that is taken here' },
  unknownHost: { status: 421, title: 'This server is not known by that name; DUNLINMOSS_HOSTS can tell it' },
  otherSite: { status: 403, title: 'Pages of other sites get nothing here' },
  signIn: { status: 401, title: 'Sign in first' },
  wrongPassphrase: { status: 403, title: 'That name and pass-phrase do not go together' },
  wrongPasskey: { status: 403, title: 'That passkey is not known here, or was not confirmed' },
  needsName: { status: 409, title: 'Passkeys need a name such as localhost, not an address in digits' },
  wrongCode: { status: 403, title: 'That name and code do not go together, or the code was used' },
  tooManyTries: { status: 429, title: 'That was wrong too often; wait before the next try' },
  nameTaken: { status: 409, title: 'Somebody here has that name already, or one that looks like it' },
  byInvitation: { status: 403, title: 'People come in here by invitation' },
  aloneHere: { status: 409, title: 'Nobody signs in here: this machine has one person' },
  notMember: { status: 403, title: 'You are not in that crew, or not any more' },
  notAllowed: { status: 403, title: 'Your role in this crew does not allow that' },
  lastOwner: { status: 409, title: 'A crew needs an owner: make somebody else one first' },
  firstPerson: { status: 409, title: 'Whoever let the others in stays: their rows are those of the machine' },
  codeNotGiven: { status: 409, title: 'Somebody who is in other crews too recovers with a code of their own' },
  invitationUnknown: {
    status: 404,
    title: 'That invitation is not known here: it was taken back, or its crew is gone',
  },
  invitationUsed: { status: 410, title: 'That invitation was used already; ask for a new one' },
  invitationExpired: { status: 410, title: 'That invitation is too old; ask for a new one' },
  tooMany: { status: 409, title: 'There are as many of these as one may have' },
  tooManyStreams: { status: 429, title: 'One person follows by as many streams as one may; close a page' },
  underWay: { status: 409, title: 'All of it has come and it is being taken in: it can no longer be stopped' },
  notFound: { status: 404, title: 'There is nothing here' },
  staleRevision: { status: 409, title: 'This was saved again since you read it' },
  missingReference: { status: 400, title: 'It points at something that is not here' },
  stopping: { status: 503, title: 'This server is stopping; another takes over, or it is back soon' },
  databaseAway: { status: 503, title: 'The database cannot be reached just now; nothing was saved' },
  overloaded: { status: 503, title: 'More is asked than this server can do just now; nothing was saved' },
  tooLong: { status: 503, title: 'This took too long and was stopped; nothing was saved' },
  tooSlow: { status: 408, title: 'The body did not come in time' },
  serverStopped: {
    status: 500,
    title: 'The server ended twice while it worked on this; nothing further is taken in. The file may be damaged',
  },
  diskFull: { status: 507, title: 'The disk of the server is full; nothing was saved. Whoever runs it must make room' },
  internal: { status: 500, title: 'Something went wrong on this server; nothing was saved' },
};

/** When to ask again, s. */
const RETRY_AFTER_S: Partial<Record<ProblemCode, number>> = {
  stopping: 2,
  databaseAway: 5,
  overloaded: 2,
  tooManyStreams: 30,
  tooLong: 30,
};

/** A refusal that a route throws; the one error handler below turns it into problem details. */
export class Refusal extends Error {
  constructor(
    readonly code: ProblemCode,
    readonly details: {
      readonly fields?: FieldProblem[];
      readonly present?: unknown;
      readonly presentArchived?: boolean;
      /** When the next try is taken, s. */
      readonly retryAfterS?: number;
    } = {},
  ) {
    super(code);
  }
}

function send(response: Response, { code, details }: Refusal): void {
  const { status, title } = TITLES[code];
  const body: Problem = { type: `urn:dunlinmoss:problem:${code}`, title, status, code, ...details };
  const retryAfterS = details.retryAfterS ?? RETRY_AFTER_S[code];
  if (retryAfterS !== undefined) response.set('Retry-After', String(retryAfterS));
  response.status(status).type('application/problem+json').send(JSON.stringify(body));
}

/** What an error means to the person who asked. Anything unknown is ours, and its details stay in the log. */
function refusalOf(error: unknown): Refusal {
  if (error instanceof Refusal) return error;
  if (error instanceof ZodError) return new Refusal('invalid', { fields: fieldProblems(error) });
  if (error instanceof SpaceFull) return new Refusal('tooMany');
  if (error instanceof NoPlace) return new Refusal('overloaded');
  if (error instanceof BadCursor) {
    const field = { path: '/after', code: 'badCursor', message: 'Expected the `next` of an earlier page' };
    return new Refusal('invalid', { fields: [field] });
  }
  if (isDatabaseAway(error)) return new Refusal('databaseAway');
  if (isDiskFull(error)) return new Refusal('diskFull');
  // It waited too long for somebody else's lock, or a statement took too long: later it may go through.
  if (isDatabaseBusy(error)) return new Refusal('overloaded');
  if (isMissingReference(error)) return new Refusal('missingReference');
  if (typeof error === 'object' && error !== null && 'type' in error) {
    if (error.type === 'entity.too.large') return new Refusal('bodyTooLarge');
    // Everything else the body parser throws is about a body it could not read.
    if (typeof error.type === 'string' && /^(entity|encoding|charset|request)\./.test(error.type)) {
      return new Refusal('malformedJson');
    }
  }
  if (error instanceof URIError) return new Refusal('notFound');
  // What the file server throws for a file that is not there or may not be had.
  if (
    error instanceof Error &&
    'status' in error &&
    (error.status === 404 || error.status === 403 || error.status === 400)
  ) {
    return new Refusal('notFound');
  }
  return new Refusal('internal');
}

export const noSuchRoute: RequestHandler = () => {
  throw new Refusal('notFound');
};

/** The one place where errors become answers. */
export const errorHandler =
  (log: Logger): ErrorRequestHandler =>
  (error: unknown, request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const refusal = refusalOf(error);
    if (refusal.code === 'internal')
      log.error({ err: error, requestId: request.id, method: request.method, path: request.path }, 'unexpected');
    if (refusal.code === 'databaseAway') log.warn({ err: error, requestId: request.id }, 'database away');
    send(response, refusal);
  };
