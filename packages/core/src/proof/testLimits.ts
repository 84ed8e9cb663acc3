import { defaultFloorKpa } from '../limits/bead';
import type { Family } from '../families/family';
import type { AxlePosition } from '../loads/geometry';
import type { GroundPlan } from '../plan/plan';
import type { Judgement, TestLimits } from './routine';

/**
 * The limits of a test are those of the plan of the same rig on the same ground, and no second list of them. Of a rig as it
 * rolls, front and rear at one pressure, the narrowest of all axles.
 *
 * @param position of the axle that is tested; null of all of them
 */
export function testLimitsOf({ axles }: GroundPlan, position: AxlePosition | null): TestLimits {
  const own = axles.filter((axle) => position === null || axle.position === position);
  const floors = (own.length > 0 ? own : axles).map(({ floor: { code, pressureKpa } }) => ({ code, pressureKpa }));
  const ceilings = (own.length > 0 ? own : axles).flatMap(({ ceiling }) =>
    ceiling ? [{ code: ceiling.code, pressureKpa: ceiling.pressureKpa }] : [],
  );
  return {
    lowest: floors.reduce((best, each) => (each.pressureKpa > best.pressureKpa ? each : best)),
    highest:
      ceilings.length === 0
        ? null
        : ceilings.reduce((best, each) => (each.pressureKpa < best.pressureKpa ? each : best)),
    plannedKpa: own.length === 1 ? own[0]!.startKpa : null,
  };
}

/** Where there is no plan: what the trade of the family holds for the bead. */
export const familyLimits = (family: Family): TestLimits => ({
  lowest: { code: 'bead', pressureKpa: defaultFloorKpa(family, false) },
  highest: null,
  plannedKpa: null,
});

/**
 * A judgement with what it proposes held at the limits; it tells which one was in the way. Where a limit lies above what was
 * tried, and less was wanted, nothing is proposed: nobody goes up for having found room.
 */
export function heldInLimits(judgement: Judgement, { lowest, highest }: TestLimits): Judgement {
  const { tryKpa, move, stepKpa } = judgement;
  if (tryKpa === null) return judgement;
  if (highest && tryKpa > highest.pressureKpa) {
    return { ...judgement, tryKpa: highest.pressureKpa, heldAt: highest.code };
  }
  if (tryKpa >= lowest.pressureKpa) return judgement;
  const fromKpa = tryKpa + (stepKpa ?? 0);
  const above = move === 'softer' && lowest.pressureKpa > fromKpa;
  return { ...judgement, tryKpa: above ? null : lowest.pressureKpa, heldAt: lowest.code };
}

/** Why a reading is asked back before it counts. */
export type ReadingDoubt = 'farFromPlan' | 'aboveSidewall';

/** A reading outside half to double of the plan is a slip of the pen or of the unit. Assumption. */
const FAR_FROM_PLAN = { low: 0.5, high: 2 };

/** A tire that was driven on the road shows so much of its road pressure at the most. Assumption. */
const WARM_ROAD = 1.2;

/** Whether a pressure that was written down can hardly be; null where it can, or there is nothing to hold it against. */
export function readingDoubt(
  pressureKpa: number,
  { plannedKpa, highest }: Pick<TestLimits, 'plannedKpa' | 'highest'>,
  roadKpa: number | null = null,
): ReadingDoubt | null {
  const most = highest?.code === 'sidewallMaximum' ? highest.pressureKpa : Number.POSITIVE_INFINITY;
  if (pressureKpa > most * 1.02) return 'aboveSidewall';
  if (plannedKpa === null) return null;
  // Many a test begins at the road's pressure, warm or cold, however far below it the plan lies.
  const mostKpa = Math.max(FAR_FROM_PLAN.high * plannedKpa, WARM_ROAD * (roadKpa ?? 0));
  const isFar = pressureKpa < FAR_FROM_PLAN.low * plannedKpa || pressureKpa > mostKpa;
  return isFar ? 'farFromPlan' : null;
}
