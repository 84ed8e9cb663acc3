/** More is asked for than can be served soon. */
export class NoPlace extends Error {}

/** Longest that one waits for its turn, ms. */
export const LONGEST_WAIT_MS = 5_000;

/** Places for so many at once; whoever comes later waits in line, and is refused where the line is too long. */
export class Places {
  private free: number;
  private readonly line: (() => void)[] = [];

  constructor(
    count: number,
    private readonly mostWaiting: number,
    private readonly longestWaitMs = LONGEST_WAIT_MS,
  ) {
    this.free = count;
  }

  /** Resolves once there is a place. Throws `NoPlace` where there will be none soon. */
  async take(): Promise<void> {
    if (this.free > 0) {
      this.free -= 1;
      return;
    }
    if (this.line.length >= this.mostWaiting) throw new NoPlace();
    await new Promise<void>((resolve, reject) => {
      const timer = setTimeout(() => {
        this.line.splice(this.line.indexOf(enter), 1);
        reject(new NoPlace());
      }, this.longestWaitMs);
      const enter = (): void => {
        clearTimeout(timer);
        resolve();
      };
      this.line.push(enter);
    });
  }

  give(): void {
    const next = this.line.shift();
    if (next) next();
    else this.free += 1;
  }
}
