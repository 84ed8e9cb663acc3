import type { Role } from '@dunlinmoss/contract';
import { KEEPS_NOTHING, mayAs } from '@dunlinmoss/contract/api';
import type { Request, RequestHandler } from 'express';
import type { Pool, RowDataPacket } from 'mysql2/promise';

import { isDatabaseAway } from '../db/pool';
import { Refusal } from '../problems';
import { SESSION_DAYS, sessionToken } from './cookie';
import { hashToken } from './secrets';

declare module 'express-serve-static-core' {
  interface Request {
    /** Whose rows it is about: a person's own space or a crew's. Set by `whoseRequest` before any route under /api. */
    ownerId: string;
    /** Who asks; null where nobody is signed in, which only the ways of signing in get to see. */
    personId: string | null;
    /** The session it came with. */
    sessionId: Buffer | null;
    /** What the person may do in that space. */
    role: Role;
    /** People sign in here. */
    signIn: boolean;
    /** What the person is in a crew; null where nothing. */
    roleIn: (crewId: string) => Promise<Role | null>;
  }
}

/** `/in/{space}/rigs` is `/rigs` of a crew; without it, of the person. */
const IN_SPACE = /^\/in\/([0-9a-f-]{36})(\/[^]*)$/i;
/** Ways that are open to those who have not signed in yet. */
const OPEN = /^\/(me|session|session\/(passkey|passkey-options)|recovery|people|invitations\/(look|take))$/;
/** How often it is written down that a session is still in use, s. */
const SEEN_EVERY_S = 300;

interface Found {
  readonly signIn: boolean;
  readonly personId: string | null;
  readonly role: Role | null;
}

/** So long is it remembered who a session belongs to, ms: a session that is ended elsewhere is good for so long at most. */
const REMEMBERED_MS = 1_000;
const MOST_REMEMBERED = 5_000;

/**
 * Who sessions belonged to a moment ago, so that not every request asks for it. What a server changes itself counts at once;
 * what another one changes, within a second.
 */
export class KnownSessions {
  private readonly found = new Map<string, { readonly atMs: number; readonly found: Promise<Found> }>();

  get(key: string, ask: () => Promise<Found>): Promise<Found> {
    const known = this.found.get(key);
    if (known && Date.now() - known.atMs < REMEMBERED_MS) return known.found;
    if (this.found.size >= MOST_REMEMBERED) this.found.clear();
    const entry = { atMs: Date.now(), found: ask() };
    this.found.set(key, entry);
    // A database that was away is asked again.
    entry.found.catch(() => this.found.get(key) === entry && this.found.delete(key));
    return entry.found;
  }

  /** Something about people changes with this answer: all is forgotten before it is sent. */
  forgetWith: RequestHandler = (request, response, next) => {
    if (request.method !== 'GET') {
      const end = response.end.bind(response) as (...parts: unknown[]) => typeof response;
      response.end = ((...parts: unknown[]) => {
        this.found.clear();
        return end(...parts);
      }) as typeof response.end;
    }
    next();
  };
}

/** Who a session belongs to, and what they are in a crew: one query. */
async function find(pool: Pool, firstId: string, session: Buffer | null, crewId: string | null): Promise<Found> {
  const [[row]] = await pool.query<RowDataPacket[]>(
    `SELECT (SELECT COUNT(*) FROM sign_in WHERE first_id = ?) AS sign_in, s.person_id, m.role,
            s.seen_at < CURRENT_TIMESTAMP(3) - INTERVAL ${SEEN_EVERY_S} SECOND AS unseen
       FROM (SELECT 1) one
       LEFT JOIN sessions s ON s.id = ? AND s.expires_at > CURRENT_TIMESTAMP(3)
       LEFT JOIN crew_members m ON m.crew_id = ? AND m.person_id = s.person_id`,
    [firstId, session, crewId],
  );
  if (row!.unseen === 1) {
    await pool.query(
      `UPDATE sessions SET seen_at = CURRENT_TIMESTAMP(3), expires_at = CURRENT_TIMESTAMP(3) + INTERVAL ${SESSION_DAYS} DAY WHERE id = ?`,
      [session],
    );
  }
  return { signIn: row!.sign_in > 0, personId: row!.person_id, role: row!.role };
}

/**
 * Says whose request it is and what they are in that space; what that lets them do, each route declares (`Routes`). Until others are let in, everything belongs to
 * the one person of this machine, who is asked nothing.
 */
export const whoseRequest =
  (pool: Pool, firstId: string, sessions: KnownSessions): RequestHandler =>
  async (request, _response, next) => {
    const inSpace = IN_SPACE.exec(request.url);
    const spaceId = inSpace?.[1]!.toLowerCase() ?? null;
    if (inSpace) request.url = inSpace[2]!;
    const token = sessionToken(request);
    const session = token === undefined ? null : hashToken(token);
    const ask = (): Promise<Found> => find(pool, firstId, session, spaceId);
    const found = await sessions.get(`${token ?? ''} ${spaceId ?? ''}`, ask).catch((error: unknown) => {
      // What only reckons goes on without the database, and so without knowing who asks.
      if (isDatabaseAway(error) && KEEPS_NOTHING.test(request.path)) return null;
      throw error;
    });
    request.roleIn = async (crewId) => (await find(pool, firstId, request.sessionId, crewId)).role;
    if (found === null) {
      request.role = 'viewer';
      next();
      return;
    }
    // A page that was opened by somebody else must not send their rows as mine.
    const named = request.headers['dunlinmoss-person'];
    const isOther = found.personId !== null && named !== undefined && named !== found.personId;
    const personId = found.signIn ? (isOther && !OPEN.test(request.path) ? null : found.personId) : firstId;
    request.signIn = found.signIn;
    request.personId = personId;
    request.sessionId = found.personId === null ? null : session;
    if (personId === null) {
      if (!OPEN.test(request.path)) throw new Refusal('signIn');
      next();
      return;
    }
    const role = spaceId === null || spaceId === personId ? 'own' : found.signIn ? found.role : null;
    if (role === null) throw new Refusal('notMember');
    request.ownerId = spaceId ?? personId;
    request.role = role;
    next();
  };

/** Whether they lead the space that the request is about, or own it: asked by the routes that take away for good. */
export const leads = ({ role }: Request): boolean => mayAs(role, 'lead');

/** Who is written down beside a row: nobody, where nobody signs in. */
export const byOf = ({ signIn, personId }: Request): string | null => (signIn ? personId : null);
