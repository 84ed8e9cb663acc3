import type { OutingRow, ProofTestRow, RigRow } from '@dunlinmoss/contract';
import { familyOf, planGround, testLimitsOf, type AxlePosition, type TestLimits, groundOr } from '@dunlinmoss/core';

import { askedOf, planInput } from '../plan/planInput';

/**
 * How low and how high a test of a rig may send somebody: the limits of the plan it is made under, that of the outing, else
 * of the ground such a rig most often sets out for. Undefined where there is no plan.
 */
export function limitsOfTest(
  rig: RigRow,
  tests: readonly ProofTestRow[],
  outing: OutingRow | undefined,
  position: AxlePosition | null,
): TestLimits | undefined {
  const ground = groundOr(familyOf(rig.family), undefined);
  const input = planInput(rig, tests, outing ? askedOf(outing) : { ground, modifiers: [], speedKmh: null });
  const plan = input.ok ? planGround(input.value) : undefined;
  return plan?.ok ? testLimitsOf(plan.value, position) : undefined;
}
