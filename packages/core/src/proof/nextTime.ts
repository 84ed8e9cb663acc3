import { compareTexts } from '../order/order';
import { deflectionShare, pressureForShareKpa } from '../contact/deflection';
import type { TireBuild } from '../contact/stiffness';
import type { AxlePosition } from '../loads/geometry';

/** A pressure that was found right, or not yet, on a ground. */
export interface Proved {
  /** ISO 8601, UTC. */
  readonly at: string;
  readonly pressureKpa: number;
  readonly wheelLoadKg: number;
  /** What was decided there: kept, or that it should have been lower or higher. */
  readonly decided: 'keep' | 'lower' | 'higher';
  /** Found by a trial of several runs, by a climb, by driving off on the flat, by having driven it, or proposed by another test. */
  readonly by: 'trial' | 'climb' | 'away' | 'drive' | 'test';
  /** Found on another axle, and carried over to this one: what that one had, kPa. Null where it was found here. */
  readonly carriedFrom: { readonly position: AxlePosition; readonly pressureKpa: number } | null;
  /** The row that says so. */
  readonly id: string;
}

export interface NextTime {
  readonly pressureKpa: number;
  readonly from: Proved;
  /** How much the decision and the load of today change it, kPa. */
  readonly byDecisionKpa: number;
  readonly byLoadKpa: number;
  /** What was proved says this much more (firmer) than the rule of thumb, kPa. */
  readonly againstRuleKpa: number;
}

/** Loads that differ by less are the same, as a share. Assumption: no nearer than loads are known. */
const SAME_LOAD = 0.02;

/**
 * Where to begin next time on a ground: the pressure that decides among those proved there, a step further where it was
 * decided so, and carried over to today's load by equal deflection. Null where nothing was proved.
 *
 * @param ruleKpa what the plan would say without it
 */
export function nextTime(
  proved: readonly Proved[],
  build: TireBuild,
  wheelLoadKg: number,
  stepKpa: number,
  ruleKpa: number,
): NextTime | null {
  const from = deciding(proved);
  if (!from) return null;
  const byDecisionKpa = from.decided === 'lower' ? -stepKpa : from.decided === 'higher' ? stepKpa : 0;
  const decidedKpa = Math.max(0, from.pressureKpa + byDecisionKpa);
  const otherLoad = Math.abs(wheelLoadKg - from.wheelLoadKg) > SAME_LOAD * from.wheelLoadKg;
  const share = deflectionShare(build, from.wheelLoadKg, decidedKpa);
  const pressureKpa = otherLoad ? Math.max(0, pressureForShareKpa(build, wheelLoadKg, share)) : decidedKpa;
  return {
    pressureKpa,
    from,
    byDecisionKpa: decidedKpa - from.pressureKpa,
    byLoadKpa: pressureKpa - decidedKpa,
    againstRuleKpa: pressureKpa - ruleKpa,
  };
}

/**
 * Which of several proofs decides: the newest of what was driven and decided, of trials and of climbs; of the same day a
 * trial before a climb before a drive, for they compared. What another test proposed counts where there is none of them.
 */
export function deciding(proved: readonly Proved[]): Proved | null {
  const newest = [...proved].sort(
    (a, b) =>
      compareTexts(b.at.slice(0, 10), a.at.slice(0, 10)) ||
      PROOF_COUNTS[b.by].weight - PROOF_COUNTS[a.by].weight ||
      compareTexts(b.at, a.at),
  );
  return newest.find(({ by }) => by !== 'test') ?? newest[0] ?? null;
}

/**
 * How each kind of proof counts: of the same day the one with the larger weight decides, and after so many days it counts
 * no more. A trial compared; a climb tells of the ground as it was that season; what a test proposed was never driven.
 * Assumptions.
 */
export const PROOF_COUNTS: Record<Proved['by'], { readonly weight: number; readonly days: number }> = {
  trial: { weight: 3, days: 730 },
  climb: { weight: 2, days: 365 },
  away: { weight: 2, days: 365 },
  drive: { weight: 1, days: 730 },
  test: { weight: 0, days: 365 },
};
