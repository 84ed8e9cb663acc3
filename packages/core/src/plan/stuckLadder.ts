import { STUCK } from '../grounds/registry';
import { success, type Result } from '../result/result';
import type { AxlePosition } from '../loads/geometry';
import { WALKING_KMH } from '../limits/speedPairs';
import type { PlanInput, PlanProblem } from './plan';
import { planGround } from './planGround';

/** One step below the floor: cold pressures for one attempt, straight, at walking pace. */
export interface Rung {
  readonly pressures: readonly { readonly position: AxlePosition; readonly pressureKpa: number }[];
  readonly speedKmh: number;
}

export interface StuckLadder {
  /** The way down, one attempt on each, each lower than what comes before it; none where the ground is at the last already. */
  readonly rungs: readonly Rung[];
  /** The way back up before anything else is driven: what the ground itself asks for. */
  readonly back: Rung['pressures'];
}

/** Rungs closer than this are one, kPa. Assumption: half of what a gauge shows. */
const SAME_KPA = 3.5;

/**
 * The deliberate way below the floor and back: on four wheels what 8 and then 6 psi are on the reference rig, on a
 * motorcycle the lowest for a bad patch (common practice, no source), on a bicycle the lowest that its tire can be ridden
 * on, on a farm tire what its load asks for at walking pace. Before the first rung come digging, boards and unloading;
 * where the underside is aground, letting out more makes it worse.
 *
 * @param input the rig on the ground it is stuck on
 */
export function stuckLadder(input: PlanInput): Result<StuckLadder, PlanProblem> {
  const here = planGround({ ...input, stuckAccepted: false });
  if (!here.ok) return here;
  const down = planGround({ ...input, ground: STUCK, modifiers: [], speedKmh: null, stuckAccepted: true });
  if (!down.ok) return down;
  const back = here.value.axles.map(({ position, startKpa }) => ({ position, pressureKpa: startKpa }));
  const rung = (of: 'start' | 'low'): Rung => ({
    pressures: down.value.axles.map(({ position, startKpa, window }, index) => ({
      position,
      // Never above what the ground itself asks for.
      pressureKpa: Math.min(of === 'start' ? startKpa : window.lowKpa, back[index]!.pressureKpa),
    })),
    speedKmh: WALKING_KMH,
  });
  const [first, last] = [rung('start'), rung('low')];
  if (!isLower(last.pressures, back)) return success({ rungs: [], back });
  const twoSteps = isLower(first.pressures, back) && isLower(last.pressures, first.pressures);
  return success({ rungs: twoSteps ? [first, last] : [last], back });
}

/** Whether any axle has noticeably less air than before. */
const isLower = (now: Rung['pressures'], before: Rung['pressures']): boolean =>
  now.some(({ pressureKpa }, axle) => before[axle]!.pressureKpa - pressureKpa > SAME_KPA);
