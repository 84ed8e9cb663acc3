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
  /** The way down, one attempt on each; fewer where the last that the trade goes to comes at once. */
  readonly rungs: readonly Rung[];
  /** The way back up before anything else is driven: what the ground itself asks for. */
  readonly back: Rung['pressures'];
}

/** Rungs closer than this are one, kPa. Assumption: half of what a gauge shows. */
const SAME_KPA = 3.5;

/**
 * The deliberate way below the floor and back: on four wheels what 8 and then 6 psi are on the reference rig, on a
 * motorcycle the lowest for a bad patch (common practice, no source). Before the first rung come digging, boards and
 * unloading; where the underside is aground, letting out more makes it worse.
 *
 * @param input the rig on the ground it is stuck on
 */
export function stuckLadder(input: PlanInput): Result<StuckLadder, PlanProblem> {
  const here = planGround({ ...input, stuckAccepted: false });
  if (!here.ok) return here;
  const down = planGround({ ...input, ground: STUCK, modifiers: [], speedKmh: null, stuckAccepted: true });
  if (!down.ok) return down;
  const rung = (of: 'start' | 'low'): Rung => ({
    pressures: down.value.axles.map(({ position, startKpa, window }, index) => ({
      position,
      // Never above what the ground itself asks for.
      pressureKpa: Math.min(of === 'start' ? startKpa : window.lowKpa, here.value.axles[index]!.startKpa),
    })),
    speedKmh: WALKING_KMH,
  });
  const [first, last] = [rung('start'), rung('low')];
  const apart = first.pressures.some(
    ({ pressureKpa }, index) => pressureKpa - last.pressures[index]!.pressureKpa > SAME_KPA,
  );
  return success({
    rungs: apart ? [first, last] : [last],
    back: here.value.axles.map(({ position, startKpa }) => ({ position, pressureKpa: startKpa })),
  });
}
