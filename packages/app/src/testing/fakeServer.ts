import {
  bodyOf,
  RESOURCE_NAMES,
  RESOURCES,
  REVISIONS_OF_AN_EPOCH,
  type Change,
  type ResourceName,
} from '@dunlinmoss/contract';
import { alike } from '@dunlinmoss/domain';

type Row = { readonly id: string; readonly revision: number; readonly createdAt: string; readonly updatedAt: string };

interface Kept {
  readonly kind: ResourceName;
  readonly row: Row;
  readonly archived: boolean;
  /** Counts up with every change of anything. */
  readonly changed: number;
}

/** How the line to it is. */
export type Line =
  | 'up'
  /** Nothing gets through. */
  | 'away'
  /** What is sent arrives, and no answer comes back. */
  | 'answersLost'
  /** The server answers that its database is away. */
  | 'busy';

/**
 * A server in memory, to the same rules as the real one: one row a save however often it arrives, a stale one refused with
 * the present row, archiving, bringing back, deleting for good, and what changed since a mark. The histories that are
 * played against it are played against the real one too.
 */
export class FakeServer {
  line: Line = 'up';
  /** So many changes before a mark are told again, as the real one tells those of the last seconds. Fewer than a page. */
  repeats = 0;
  /** Every request that came through, as `PUT rigs/… 3`. */
  readonly heard: string[] = [];
  private readonly rows = new Map<string, Kept>();
  private readonly gone: { readonly kind: ResourceName; readonly id: string; readonly changed: number }[] = [];
  private clock = 0;
  private epoch = 0;
  private backedUpAt: string | null = null;

  /** What is there, archived or not. */
  get kept(): readonly Kept[] {
    return [...this.rows.values()];
  }

  row<Of = Row>(kind: ResourceName, id: string): Of | undefined {
    return this.rows.get(`${kind}/${id}`)?.row as Of | undefined;
  }

  /** A backup of it as it is. Gives the way to restore that: into the same store, unless another is to take its place. */
  backup(): (sameStore?: boolean) => void {
    const rows = [...this.rows];
    const at = this.now();
    return (sameStore = true) => {
      this.rows.clear();
      this.epoch += 1;
      this.backedUpAt = at;
      this.sameStore = sameStore;
      for (const [key, { row, ...kept }] of rows) {
        const revision = row.revision + this.epoch * REVISIONS_OF_AN_EPOCH;
        this.rows.set(key, { ...kept, row: { ...row, revision }, changed: (this.clock += 1) });
      }
    };
  }
  private sameStore = true;

  private now = (): string => new Date(Date.UTC(2026, 10, 20) + this.clock).toISOString();

  /** As somebody else saves it. */
  put(kind: ResourceName, body: object, archived = false): Row {
    const { id } = body as Row;
    const before = this.rows.get(`${kind}/${id}`);
    const now = this.now();
    const row = {
      ...body,
      revision: (before?.row.revision ?? 0) + 1,
      createdAt: before?.row.createdAt ?? now,
      updatedAt: now,
      ...(kind === 'outings' && { rigName: '' }),
    } as unknown as Row;
    this.rows.set(`${kind}/${id}`, { kind, row, archived, changed: (this.clock += 1) });
    return row;
  }

  readonly fetch = (async (url: string | URL, init: RequestInit = {}): Promise<Response> => {
    if (this.line === 'away') throw new TypeError('Failed to fetch');
    if (this.line === 'busy') return respond(503, problemOf('databaseAway', 503));
    const address = new URL(String(url), 'http://server.test');
    const [status, body] = this.answer(init.method ?? 'GET', address, init.body);
    if (this.line === 'answersLost') throw new TypeError('Failed to fetch');
    // Another turn, as over a line.
    await Promise.resolve();
    return respond(status, body);
  }) as typeof fetch;

  private answer(method: string, { pathname, searchParams }: URL, sent: unknown): [status: number, body?: unknown] {
    const [path, id = '', more] = pathname.replace('/api/v1/', '').split('/');
    if (path === 'changes') return [200, this.changes(searchParams)];
    if (path === 'photos') {
      this.heard.push(`${method} photo`);
      return [204];
    }
    const kind = RESOURCE_NAMES.find((name) => RESOURCES[name].path === path);
    if (!kind) return [404, problemOf('notFound', 404)];
    const key = `${kind}/${id}`;
    const there = this.rows.get(key);
    if (method === 'GET' && id === '') {
      const items = this.kept.filter((each) => each.kind === kind && each.archived).map(({ row }) => row);
      return [200, { items, next: null }];
    }
    if (method === 'PUT') return this.save(kind, key, JSON.parse(String(sent)) as Row);
    if (!there) return [404, problemOf('notFound', 404)];
    if (method === 'GET') return there.archived ? [404, problemOf('notFound', 404)] : [200, there.row];
    const revision = Number(searchParams.get('revision'));
    this.heard.push(`${method} ${key}${more === undefined ? '' : `/${more}`}`);
    if (method === 'POST') {
      if (there.archived) this.put(kind, bodyOf(kind, there.row as never));
      return [200, this.rows.get(key)!.row];
    }
    if (searchParams.get('forever') === 'true') {
      if (!there.archived) return [400, problemOf('invalid', 400)];
      if (there.row.revision !== revision) return [409, problemOf('staleRevision', 409, { present: there.row })];
      this.rows.delete(key);
      this.gone.push({ kind, id, changed: (this.clock += 1) });
      return [204];
    }
    if (there.archived) return [204];
    if (there.row.revision !== revision) return [409, problemOf('staleRevision', 409, { present: there.row })];
    this.put(kind, bodyOf(kind, there.row as never), true);
    return [204];
  }

  private save(kind: ResourceName, key: string, sent: Row): [status: number, body: unknown] {
    this.heard.push(`PUT ${key} ${sent.revision}`);
    const checked = RESOURCES[kind].body.safeParse(sent);
    if (!checked.success) return [400, problemOf('invalid', 400)];
    const body = checked.data as unknown as Row;
    const there = this.rows.get(key);
    if (!there) {
      return body.revision === 0
        ? [200, this.put(kind, body)]
        : [409, problemOf('staleRevision', 409, { present: null })];
    }
    const same = (): boolean => alike({ ...bodyOf(kind, there.row as never), revision: 0 }, { ...body, revision: 0 });
    if (!there.archived && there.row.revision === body.revision + 1 && same()) return [200, there.row];
    if (there.row.revision !== body.revision) {
      const more = { present: there.row, ...(there.archived && { presentArchived: true }) };
      return [409, problemOf('staleRevision', 409, more)];
    }
    return [200, this.put(kind, body)];
  }

  private changes(query: URLSearchParams): object {
    const after = query.get('after');
    const [epoch, at] = (after ?? '').split('.');
    const isKnown = epoch === String(this.epoch);
    const mark = isKnown ? Number(at) : 0;
    const since = mark - this.repeats;
    const limit = 3;
    const all: (Change & { readonly changed: number })[] = [
      ...this.kept.map(({ kind, row, archived, changed }) => ({
        kind,
        id: row.id,
        row: (archived ? null : row) as never,
        changed,
      })),
      ...this.gone.map((each) => ({ ...each, row: null })),
    ]
      .filter(({ changed }) => changed > since)
      .sort((a, b) => a.changed - b.changed);
    const page = all.slice(0, limit);
    return {
      startsOver: !isKnown,
      setBack:
        !isKnown && after !== null
          ? {
              to: this.backedUpAt,
              knew: new Date(Date.UTC(2026, 10, 20) + Number(at)).toISOString(),
              sameStore: this.sameStore,
            }
          : null,
      items: page.map(({ kind, id, row }) => ({ kind, id, row })),
      next: `${this.epoch}.${Math.max(mark, page.at(-1)?.changed ?? 0)}`,
      more: all.length > limit,
      total: isKnown ? null : this.rows.size,
    };
  }
}

const problemOf = (code: string, status: number, more: object = {}): object => ({
  type: `urn:dunlinmoss:problem:${code}`,
  title: code,
  status,
  code,
  ...more,
});

const respond = (status: number, body: unknown): Response =>
  ({
    ok: status < 400,
    status,
    headers: new Headers(),
    json: async () => JSON.parse(JSON.stringify(body)),
  }) as Response;
