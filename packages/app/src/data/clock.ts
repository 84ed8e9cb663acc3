import { useEffect, useState } from 'react';

import { createStore } from '../settings/store';

/**
 * Now, in epoch ms, again and again while something runs. Everything that is shown goes by the clock and not by how often
 * this ticks, so that a locked phone or a reload loses no second.
 */
export function useNow(running: boolean, everyMs = 200): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (!running) return;
    const tick = (): void => setNow(Date.now());
    // What was just drawn with this time is not drawn again for a few milliseconds.
    const catchUp = (): void => setNow((before) => (Math.abs(Date.now() - before) < everyMs ? before : Date.now()));
    catchUp();
    const timer = setInterval(tick, everyMs);
    document.addEventListener('visibilitychange', tick);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', tick);
    };
  }, [running, everyMs]);
  return now;
}

/** What the clock and the page's own stopwatch said when something began. */
export interface ClockMark {
  readonly wallMs: number;
  readonly stopwatchMs: number;
}

export const markClock = (): ClockMark => ({ wallMs: Date.now(), stopwatchMs: performance.now() });

/** So far may the two drift apart by themselves, ms. */
const DRIFT_MS = 2_000;

/**
 * Whether the clock was moved since a mark: it ran back against the stopwatch, or ahead of it while the page was in view
 * all the time. While a phone sleeps the stopwatch may stand, so a gain then is no jump.
 */
export function clockJumped(mark: ClockMark, slept: boolean, now: ClockMark = markClock()): boolean {
  const gained = now.wallMs - mark.wallMs - (now.stopwatchMs - mark.stopwatchMs);
  return gained < -DRIFT_MS || (gained > DRIFT_MS && !slept);
}

/** When each run began by both clocks, while this page lives; a reload forgets it, and then only a step back is seen. */
const marks = new Map<string, ClockMark>();
let sleptAt = Number.NEGATIVE_INFINITY;
globalThis.document?.addEventListener('visibilitychange', () => {
  if (document.visibilityState === 'hidden') sleptAt = Date.now();
});

export const markRun = (key: string): void => void marks.set(key, markClock());

/** Whether the clock can be trusted for a run that began then and ends now. */
export function runIsTimed(key: string, startedAt: string): boolean {
  const mark = marks.get(key);
  if (Date.now() < Date.parse(startedAt)) return false;
  return !mark || !clockJumped(mark, sleptAt >= mark.wallMs);
}

/** A clock that is off by less makes no difference to anything that is told, ms. Assumption. */
const CLOCK_TOLERANCE_MS = 3 * 60_000;

/** How far this device's clock is ahead of the server's, ms; 0 as long as it makes no difference. */
export const clockAheadStore = createStore(0);

/**
 * Compares this device's clock with the time of an answer.
 *
 * @param date the answer's `Date`, whole seconds
 * @param askedMs and @param gotMs this device's clock before and after, epoch ms
 */
export function checkClock(date: string | null, askedMs: number, gotMs: number): void {
  const thereMs = date === null ? Number.NaN : Date.parse(date);
  // An answer that took long tells little, and one kept by anything on the way tells of another time.
  if (!Number.isFinite(thereMs) || gotMs - askedMs > CLOCK_TOLERANCE_MS / 3) return;
  const aheadMs = (askedMs + gotMs) / 2 - thereMs;
  const isOff = Math.abs(aheadMs) > CLOCK_TOLERANCE_MS;
  const known = clockAheadStore.get();
  // Once told it stands still: only what is worth a word changes it.
  if (!isOff && known !== 0) clockAheadStore.set(0);
  if (isOff && Math.abs(aheadMs - known) > CLOCK_TOLERANCE_MS) clockAheadStore.set(aheadMs);
}
