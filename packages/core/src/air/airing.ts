import { dropProblem, type DropProblem } from './timedDrop';
import { sameWheel, type WheelRef } from './wheel';

/** One stretch of air going out of a wheel or into it, as it was tapped and read. */
export interface AiringRun extends WheelRef {
  /** Epoch, s. */
  readonly startedS: number;
  /** Null while it goes on. */
  readonly endedS: number | null;
  /** Gauge, true, kPa. */
  readonly beforeKpa: number;
  /** Null until it was read. */
  readonly afterKpa: number | null;
  /** False where the clock can't be trusted for it. */
  readonly timed: boolean;
}

export type RunProblem =
  | DropProblem
  | { readonly code: 'fellWhilePuttingIn'; readonly beforeKpa: number; readonly afterKpa: number }
  | { readonly code: 'clockJumped' }
  /** Read once more, nothing was opened. */
  | { readonly code: 'readingAlone' }
  | { readonly code: 'timedTwice' };

/**
 * Why a run tells nothing of a rate; null where it does, or is not finished. Two runs of one wheel at the same time
 * are two phones on it: the one that began first counts.
 */
export function runProblem(run: AiringRun, all: readonly AiringRun[], way: 'out' | 'in'): RunProblem | null {
  const { startedS, endedS, beforeKpa, afterKpa } = run;
  if (endedS === null) return null;
  if (!run.timed && endedS === startedS) return { code: 'readingAlone' };
  if (!run.timed || endedS < startedS) return { code: 'clockJumped' };
  const twice = all.some(
    (other) =>
      other !== run &&
      sameWheel(other, run) &&
      other.startedS < startedS &&
      (other.endedS ?? Number.POSITIVE_INFINITY) > startedS,
  );
  if (twice) return { code: 'timedTwice' };
  if (afterKpa === null) return null;
  if (way === 'out') {
    return dropProblem({
      volumeL: 1,
      beforeKpa,
      afterKpa,
      seconds: endedS - startedS,
      outsideKpaAbs: 101.325,
      readingKpa: 1,
    });
  }
  if (endedS === startedS) return { code: 'noTime' };
  return afterKpa <= beforeKpa ? { code: 'fellWhilePuttingIn', beforeKpa, afterKpa } : null;
}

/** Where a wheel stands in an airing. */
export type WheelState = 'waiting' | 'running' | 'toRead' | 'overshot' | 'more' | 'done' | 'skipped';

/**
 * Where a wheel stands, by its runs alone.
 *
 * @param settled what the person said of it: it is well as it is, or it is left out
 */
export function wheelState(
  runs: readonly AiringRun[],
  targetKpa: number,
  stepKpa: number,
  way: 'out' | 'in',
  settled: 'accepted' | 'skipped' | null,
): WheelState {
  if (settled === 'skipped') return 'skipped';
  const last = runs.at(-1);
  if (last && last.endedS === null) return 'running';
  if (settled === 'accepted') return 'done';
  if (!last) return 'waiting';
  if (last.afterKpa === null) return 'toRead';
  const past = way === 'out' ? targetKpa - last.afterKpa : last.afterKpa - targetKpa;
  const DUST = 1e-6;
  if (past > stepKpa / 2 + DUST) return 'overshot';
  return past < -stepKpa / 2 - DUST ? 'more' : 'done';
}
