import { deflectionShare, pressureForShareKpa } from '../contact/deflection';
import type { TireBuild } from '../contact/stiffness';

/** A pressure that was found right, or not yet, on a ground. */
export interface Proved {
  /** ISO 8601, UTC. */
  readonly at: string;
  readonly pressureKpa: number;
  readonly wheelLoadKg: number;
  /** What was decided there: kept, or that it should have been lower or higher. */
  readonly decided: 'keep' | 'lower' | 'higher';
  /** Found by a trial of several runs, or by having driven it. */
  readonly by: 'trial' | 'drive';
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
 * Where to begin next time on a ground: the newest pressure that was proved there, a step further where it was decided
 * so, and carried over to today's load by equal deflection. A trial outweighs a drive of the same day or before, for it
 * compared. Null where nothing was proved.
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
  const newest = [...proved].sort((a, b) => b.at.localeCompare(a.at));
  const trial = newest.find(({ by }) => by === 'trial');
  const drive = newest.find(({ by }) => by === 'drive');
  const from = trial && (!drive || drive.at.slice(0, 10) <= trial.at.slice(0, 10)) ? trial : drive;
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
