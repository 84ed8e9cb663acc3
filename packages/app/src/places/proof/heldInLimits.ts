import type { RigRow } from '@dunlinmoss/contract';
import { familyOf, type Judgement } from '@dunlinmoss/core';

export interface HeldJudgement {
  readonly judgement: Judgement;
  /** Which limit what is to be tried was held at; null where none stood in its way. */
  readonly heldAt: 'floor' | 'sidewall' | null;
}

/**
 * No test sends anybody below what holds the bead, the person's own lowest or the sidewall's minimum, nor past the
 * sidewall's maximum: what is to be tried is held there.
 */
export function heldInLimits(judgement: Judgement, rig: RigRow, position: string): HeldJudgement {
  const axle = rig.axles.find((each) => each.position === position);
  const { tryKpa } = judgement;
  if (!axle || tryKpa === null) return { judgement, heldAt: null };
  const { looseKpa, heldKpa } = familyOf(rig.family).bead;
  const beadKpa = rig.beadFloorKpa ?? (axle.beadHold === 'none' ? looseKpa : heldKpa);
  const lowestKpa = Math.max(beadKpa, axle.minKpa ?? 0);
  const highestKpa = axle.maxKpa ?? Number.POSITIVE_INFINITY;
  if (tryKpa > highestKpa) return { judgement: { ...judgement, tryKpa: highestKpa }, heldAt: 'sidewall' };
  if (tryKpa < lowestKpa) return { judgement: { ...judgement, tryKpa: lowestKpa }, heldAt: 'floor' };
  return { judgement, heldAt: null };
}
