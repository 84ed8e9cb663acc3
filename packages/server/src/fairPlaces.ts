import { LONGEST_WAIT_MS, NoPlace } from './places';

/**
 * While several ask, one has a place at a time: what is worked on at once is shared by all of it. What takes longer than a
 * moment does not hold up the rest of its own, but no more than so many are one's in all.
 */
const MOMENT_MS = 100;
const MOST_SHARED = 3;
/** Who asked so long ago still counts as asking, ms. */
const RECENT_MS = 1_000;

interface Waiting {
  readonly enter: () => void;
}
interface Place {
  readonly sinceMs: number;
}

/**
 * Places for so many at once, shared between those who ask: alone one may have them all, and where several ask each has
 * one and its own line, whose turns come round. So one that asks for very much waits for itself.
 */
export class FairPlaces {
  private inWork = 0;
  private waiting = 0;
  private readonly busy = new Map<string, Set<Place>>();
  /** In the order of whose turn is next. */
  private readonly lines = new Map<string, Waiting[]>();
  /** Who asked in this stretch of time, and in the one before. */
  private recent = new Set<string>();
  private before = new Set<string>();
  private turnedMs = 0;

  constructor(
    private readonly count: number,
    private readonly mostWaiting: number,
    private readonly longestWaitMs = LONGEST_WAIT_MS,
  ) {}

  /**
   * Resolves once there is a place for one of these, with what gives it back. Throws `NoPlace` where there will be none
   * soon.
   */
  async take(of: string): Promise<() => void> {
    this.heard(of, Date.now());
    if (!this.lines.has(of) && this.mayEnter(of)) return this.enter(of);
    if (this.waiting >= this.mostWaiting) throw new NoPlace();
    const line = this.lines.get(of) ?? [];
    this.lines.set(of, line);
    this.waiting += 1;
    // Its own may have been at work for long by then.
    setTimeout(() => this.letIn(), MOMENT_MS).unref();
    return new Promise<() => void>((resolve, reject) => {
      const leave = (): void => {
        this.waiting -= 1;
        if (line.length === 0) this.lines.delete(of);
      };
      const one: Waiting = {
        enter: () => {
          clearTimeout(timer);
          leave();
          resolve(this.enter(of));
        },
      };
      const timer = setTimeout(() => {
        line.splice(line.indexOf(one), 1);
        leave();
        reject(new NoPlace());
      }, this.longestWaitMs);
      line.push(one);
    });
  }

  /** Lets in whoever may, one of each in turn. */
  private letIn(): void {
    for (let entered = true; entered;) {
      entered = false;
      for (const [of, line] of [...this.lines]) {
        if (!this.mayEnter(of)) continue;
        // Its next turn comes after all the others'.
        this.lines.delete(of);
        const next = line.shift()!;
        if (line.length > 0) this.lines.set(of, line);
        next.enter();
        entered = true;
      }
    }
  }

  private enter(of: string): () => void {
    const place: Place = { sinceMs: Date.now() };
    const own = this.busy.get(of) ?? new Set();
    this.busy.set(of, own.add(place));
    this.inWork += 1;
    return () => {
      if (!own.delete(place)) return;
      this.inWork -= 1;
      if (own.size === 0) this.busy.delete(of);
      this.letIn();
    };
  }

  private mayEnter(of: string): boolean {
    if (this.inWork >= this.count) return false;
    const own = this.busy.get(of);
    if (!own || !this.severalAsk()) return true;
    const longAgoMs = Date.now() - MOMENT_MS;
    return own.size < MOST_SHARED && [...own].every(({ sinceMs }) => sinceMs <= longAgoMs);
  }

  private heard(of: string, nowMs: number): void {
    const passed = nowMs - this.turnedMs;
    if (passed >= RECENT_MS) {
      this.before = passed < 2 * RECENT_MS ? this.recent : new Set();
      this.recent = new Set();
      this.turnedMs = nowMs;
    }
    this.recent.add(of);
  }

  private severalAsk(): boolean {
    if (this.recent.size > 1 || this.before.size > 1) return true;
    const [now] = this.recent;
    const [then] = this.before;
    return now !== undefined && then !== undefined && now !== then;
  }
}
