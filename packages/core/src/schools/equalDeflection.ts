import { deflectionShare, pressureForShareKpa } from '../contact/deflection';
import type { TireBuild } from '../contact/stiffness';
import { published } from '../source';
import { REFERENCE_RIG } from './referenceRig';
import type { School } from './school';

/** Deflection over section height of the reference rig at a pressure of its table, 0 to 1. */
export const referenceShare = (pressureKpa: number): number =>
  deflectionShare(REFERENCE_RIG.build, REFERENCE_RIG.loadKg, pressureKpa);

/**
 * The pressure at which this wheel bends its sidewall by the same share as the reference rig does at its own, kPa.
 * The trade's table was found on one rig, and this carries it to another. Zero or less where the carcass alone is
 * stiffer than that.
 *
 * @param loadKg load on this wheel
 * @param referenceKpa the trade's pressure on the reference rig
 * @example equalDeflectionKpa(REFERENCE_RIG.build, 600, 110) // 110
 */
export const equalDeflectionKpa = (build: TireBuild, loadKg: number, referenceKpa: number): number =>
  pressureForShareKpa(build, loadKg, referenceShare(referenceKpa));

/** Equal deflection: a lighter wheel goes lower, a heavier one stays higher, until both bend alike. */
export const equalDeflection = {
  code: 'equalDeflection',
  source: published('US Forest Service and military central tire inflation reports'),
  wantedKpa: ({ build, wheelLoadKg, referenceKpa }) => equalDeflectionKpa(build, wheelLoadKg, referenceKpa),
} as const satisfies School;
