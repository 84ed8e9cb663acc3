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
  };
}

/** Where there is no plan: what the trade of the family holds for the bead. */
export const familyLimits = (family: Family): TestLimits => ({
  lowest: { code: 'bead', pressureKpa: defaultFloorKpa(family, false) },
  highest: null,
});

/** A judgement with what it proposes held at the limits; it tells which one was in the way. */
export function heldInLimits(judgement: Judgement, { lowest, highest }: TestLimits): Judgement {
  const { tryKpa } = judgement;
  if (tryKpa === null) return judgement;
  if (highest && tryKpa > highest.pressureKpa) {
    return { ...judgement, tryKpa: highest.pressureKpa, heldAt: highest.code };
  }
  return tryKpa < lowest.pressureKpa ? { ...judgement, tryKpa: lowest.pressureKpa, heldAt: lowest.code } : judgement;
}
