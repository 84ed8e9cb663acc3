import type { NextStep, OutingRow } from '@dunlinmoss/contract';
import type { Kind } from '@dunlinmoss/core';

/** The steps in order. A bicycle stands on a print too short for a tape; its air stays in for the way home. */
const STEPS: Record<Kind, readonly NextStep[]> = {
  car: ['setPressures', 'test', 'decide', 'airUp'],
  quad: ['setPressures', 'test', 'decide', 'airUp'],
  motorcycle: ['setPressures', 'decide', 'airUp'],
  bicycle: ['setPressures', 'decide', 'airUp'],
  farm: ['setPressures', 'test', 'decide', 'airUp'],
};

/** The outings that are not over, in the order given. */
export const openOutings = (outings: readonly OutingRow[]): readonly OutingRow[] =>
  outings.filter(({ state }) => state !== 'closed');

/** Clocks of two phones differ, and a screen looks at its own now and then: this far ahead is now, ms. Assumption. */
const SOON_MS = 3_600_000;

/** A plan for a time that has not come yet. */
export const isToCome = ({ state, startedAt }: Pick<OutingRow, 'state' | 'startedAt'>, nowMs: number): boolean =>
  state === 'planned' && Date.parse(startedAt) > nowMs + SOON_MS;

/**
 * The outing that a rig is on, of rows newest first: the newest with air let out, else the newest planned one whose day
 * has come. One for a day to come is none yet.
 */
export function outingOf(outings: readonly OutingRow[], rigId: string, nowMs: number): OutingRow | undefined {
  const own = openOutings(outings).filter((outing) => outing.rigId === rigId && !isToCome(outing, nowMs));
  return own.find(({ state }) => state === 'lowered') ?? own[0];
}

/** The one next step; `start` where nothing is under way, `backUp` before all else where it went below the floor. */
export function nextStep(outing: OutingRow | undefined, testCount: number, kind: Kind): NextStep {
  if (!outing || outing.state === 'closed') return 'start';
  if (outing.state === 'planned') return 'setPressures';
  if (outing.stuckRung > 0) return 'backUp';
  if (testCount === 0 && STEPS[kind].includes('test')) return 'test';
  return outing.decision === null ? 'decide' : 'airUp';
}

/** The steps of an outing in order, each done or not: the path drawn on Today. */
export function pathOf(
  step: NextStep,
  kind: Kind,
): readonly { readonly step: NextStep; readonly state: 'done' | 'next' | 'later' }[] {
  // The way back up from below the floor is no step of the path: it comes before the rest goes on.
  const order = STEPS[kind];
  const at = step === 'backUp' ? 1 : order.indexOf(step);
  return order.map((each, index) => ({
    step: each,
    state: index < at ? 'done' : index === at && step !== 'backUp' ? 'next' : 'later',
  }));
}
