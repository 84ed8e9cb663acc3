import type { Request, Response } from 'express';
import type { Pool, RowDataPacket } from 'mysql2/promise';

import { Refusal } from '../problems';

/** How often it is asked whether those who follow still may, ms. */
const LOOK_MS = 700;
/** Open streams of one person on one server. Assumption: every phone and page of a farm, many times over. */
export const MOST_STREAMS = 240;

interface Stream {
  readonly personId: string;
  /** The session it came with; null where nobody signs in. */
  readonly session: string | null;
  /** The crew that it follows; null for the person's own space. */
  readonly crewId: string | null;
}

const hex = (id: Buffer): string => id.toString('hex');

/**
 * Who follows what by a stream. A stream ends within a second once its session has ended or its person is in that crew no
 * more, whichever server that came through.
 */
export class OpenStreams {
  private readonly open = new Map<Response, Stream>();
  private timer: NodeJS.Timeout | undefined;

  constructor(
    private readonly pool: Pool,
    private readonly firstId: string,
  ) {}

  /** Takes a stream in before it begins. Throws `tooManyStreams` where the person has as many as one may. */
  enter({ personId, sessionId, ownerId }: Request, response: Response): void {
    const own = personId!;
    const many = [...this.open.values()].filter((stream) => stream.personId === own).length;
    if (many >= MOST_STREAMS) throw new Refusal('tooManyStreams');
    this.open.set(response, {
      personId: own,
      session: sessionId && hex(sessionId),
      crewId: ownerId === own ? null : ownerId,
    });
    response.on('close', () => this.open.delete(response));
    this.timer ??= this.next();
  }

  /** Looks no more. */
  close(): void {
    clearTimeout(this.timer);
    this.timer = undefined;
    this.open.clear();
  }

  private next(): NodeJS.Timeout {
    return setTimeout(() => void this.look(), LOOK_MS).unref();
  }

  private async look(): Promise<void> {
    const asked = [...this.open];
    if (asked.length > 0) {
      // While the database is away nothing is sent either.
      const may = await this.rights(asked.map(([, stream]) => stream)).catch(() => null);
      if (may) for (const [response, stream] of asked) if (!may(stream)) response.end();
    }
    this.timer = this.open.size > 0 ? this.next() : undefined;
  }

  private async rights(streams: readonly Stream[]): Promise<(stream: Stream) => boolean> {
    const [[{ signIn }]] = (await this.pool.query<RowDataPacket[]>(
      'SELECT COUNT(*) AS signIn FROM sign_in WHERE first_id = ?',
      [this.firstId],
    )) as unknown as [[{ signIn: number }]];
    if (signIn === 0) return () => true;
    const sessions = streams.flatMap(({ session }) => (session === null ? [] : [Buffer.from(session, 'hex')]));
    const crews = streams.flatMap(({ crewId }) => (crewId === null ? [] : [crewId]));
    const [alive] = await this.pool.query<RowDataPacket[]>(
      'SELECT id, person_id FROM sessions WHERE id IN (?) AND expires_at > CURRENT_TIMESTAMP(3)',
      [sessions.length > 0 ? sessions : [null]],
    );
    const [members] = await this.pool.query<RowDataPacket[]>(
      'SELECT crew_id, person_id FROM crew_members WHERE crew_id IN (?)',
      [crews.length > 0 ? crews : [null]],
    );
    const bySession = new Map(alive.map(({ id, person_id }) => [hex(id), person_id]));
    const memberships = new Set(members.map(({ crew_id, person_id }) => `${crew_id} ${person_id}`));
    return ({ personId, session, crewId }) =>
      session !== null &&
      bySession.get(session) === personId &&
      (crewId === null || memberships.has(`${crewId} ${personId}`));
  }
}
