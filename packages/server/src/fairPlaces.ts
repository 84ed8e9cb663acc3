import { LONGEST_WAIT_MS, NoPlace } from './places';

/** While several ask, no more than so many places are one's: what is worked on at once is shared by all of it. */
const SHARED = 2;
/** Who asked so long ago still counts as asking, ms. */
const RECENT_MS = 1_000;

interface Waiting {
  readonly enter: () => void;
}

/**
 * Places for so many at once, shared between those who ask: alone one may have them all, and where several ask each has a
 * few and its own line, whose turns come round. So one that asks for very much waits for itself.
 */
export class FairPlaces {
  private inWork = 0;
  private waiting = 0;
  private readonly busy = new Map<string, number>();
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

  /** Resolves once there is a place for one of these. Throws `NoPlace` where there will be none soon. */
  async take(of: string): Promise<void> {
    this.heard(of, Date.now());
    if (!this.lines.has(of) && this.mayEnter(of)) {
      this.enter(of);
      return;
    }
    if (this.waiting >= this.mostWaiting) throw new NoPlace();
    const line = this.lines.get(of) ?? [];
    this.lines.set(of, line);
    this.waiting += 1;
    await new Promise<void>((resolve, reject) => {
      const leave = (): void => {
        this.waiting -= 1;
        if (line.length === 0) this.lines.delete(of);
      };
      const one: Waiting = {
        enter: () => {
          clearTimeout(timer);
          leave();
          this.enter(of);
          resolve();
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

  give(of: string): void {
    this.inWork -= 1;
    const left = this.busy.get(of)! - 1;
    if (left === 0) this.busy.delete(of);
    else this.busy.set(of, left);
    this.letIn();
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

  private enter(of: string): void {
    this.inWork += 1;
    this.busy.set(of, (this.busy.get(of) ?? 0) + 1);
  }

  private mayEnter(of: string): boolean {
    if (this.inWork >= this.count) return false;
    return !this.severalAsk() || (this.busy.get(of) ?? 0) < SHARED;
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
