import type { Response } from 'express';
import type { Pool, RowDataPacket } from 'mysql2/promise';

/** How often it is looked whether anything changed in the spaces that are followed, ms. */
const LOOK_MS = 200;
/** A line that says nothing for long is taken for dead by what stands between, ms. */
const HEARTBEAT_MS = 15_000;
/** So long may a phone fail to take what it is sent before it is let go, bytes waiting. */
const MOST_WAITING = 64 * 1024;

/** Every table whose rows say when they changed. */
export const LIVE_TABLES = [
  ...['gauges', 'air_tools', 'rigs', 'outings', 'proof_tests', 'airings', 'reading_rounds', 'comparisons'],
  'day_routes',
  'gone_rows',
];
/** Of each followed space, when it changed last: read from the ends of indexes. */
const LATEST = LIVE_TABLES.map(
  (table) => `SELECT owner_id, MAX(changed_at) AS latest FROM ${table} WHERE owner_id IN (?) GROUP BY owner_id`,
).join(' UNION ALL ');

/**
 * Tells phones that something changed in the space they look at; what, they ask themselves. All spaces are looked at with
 * one query, whichever server a change came through. It holds open connections and nothing else.
 */
export class LiveChanges {
  private readonly followers = new Map<string, Set<Response>>();
  private readonly latest = new Map<string, number>();
  private timer: NodeJS.Timeout | undefined;
  private saidMs = 0;

  constructor(private readonly pool: Pool) {}

  follow(ownerId: string, phone: Response): void {
    const others = this.followers.get(ownerId);
    if (others) others.add(phone);
    else this.followers.set(ownerId, new Set([phone]));
    phone.on('close', () => this.leave(ownerId, phone));
    this.timer ??= setTimeout(() => void this.look(), LOOK_MS);
  }

  /** Phones that follow now. */
  get size(): number {
    return [...this.followers.values()].reduce((sum, phones) => sum + phones.size, 0);
  }

  /** Ends every stream: phones ask again, of another server where there is one. */
  close(): void {
    clearTimeout(this.timer);
    const all = [...this.followers.values()].flatMap((phones) => [...phones]);
    this.followers.clear();
    this.latest.clear();
    for (const phone of all) phone.end();
  }

  private leave(ownerId: string, phone: Response): void {
    const others = this.followers.get(ownerId);
    others?.delete(phone);
    if (others?.size !== 0) return;
    this.followers.delete(ownerId);
    this.latest.delete(ownerId);
  }

  private async look(): Promise<void> {
    const owners = [...this.followers.keys()];
    if (owners.length === 0) {
      this.timer = undefined;
      return;
    }
    try {
      const [rows] = await this.pool.query<RowDataPacket[]>(
        LATEST,
        LIVE_TABLES.map(() => owners),
      );
      const now = new Map<string, number>();
      for (const { owner_id, latest } of rows) {
        now.set(owner_id, Math.max(now.get(owner_id) ?? 0, latest.getTime()));
      }
      for (const ownerId of owners) {
        const before = this.latest.get(ownerId);
        const at = now.get(ownerId) ?? 0;
        this.latest.set(ownerId, at);
        // Who has just come asks by itself.
        if (before !== undefined && at !== before) this.say(ownerId, 'event: changed\ndata: {}\n\n');
      }
    } catch {
      // The database is away: the lines are kept open.
    }
    if (Date.now() - this.saidMs > HEARTBEAT_MS) {
      this.saidMs = Date.now();
      for (const ownerId of owners) this.say(ownerId, ': here\n\n');
    }
    this.timer = setTimeout(() => void this.look(), LOOK_MS);
  }

  private say(ownerId: string, text: string): void {
    for (const phone of this.followers.get(ownerId) ?? []) {
      if (phone.writableLength > MOST_WAITING) phone.destroy();
      else phone.write(text);
    }
  }
}
