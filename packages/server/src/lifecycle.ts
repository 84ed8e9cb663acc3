/** Whether a server still takes new work, and what is ended when it stops. */
export class Lifecycle {
  private readonly ends: (() => void)[] = [];
  private stops = false;

  get stopping(): boolean {
    return this.stops;
  }

  /** Something that lasts, such as open streams: it is ended when the server stops, so that phones go to another. */
  onStop(end: () => void): void {
    this.ends.push(end);
  }

  /** From now on it is not ready, and nothing that lasts goes on. Twice is once. */
  stop(): void {
    if (this.stops) return;
    this.stops = true;
    for (const end of this.ends) end();
  }
}
