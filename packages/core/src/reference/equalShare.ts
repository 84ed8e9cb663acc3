import { deflectionShare, pressureForShareKpa } from '../contact/deflection';
import { STIFFNESS_SOURCE, type TireBuild } from '../contact/stiffness';
import { commonPractice, exact } from '../sources/source';
import { sectionHeightMm } from '../tires/tire';
import { stiffnessInputs } from '../working/stiffnessInputs';
import type { WorkingStep } from '../working/working';
import { REFERENCE_RIG } from './referenceRig';

/** Deflection over section height of the reference rig at a pressure of its table, 0 to 1. */
export const referenceShare = (pressureKpa: number): number =>
  deflectionShare(REFERENCE_RIG.build, REFERENCE_RIG.loadKg, pressureKpa);

/**
 * The pressure at which this wheel bends its sidewall by the same share as the reference rig does at its own, kPa.
 * The trade's table was found on one rig, and this carries it to another. Zero or less where the carcass alone is
 * stiffer than that.
 *
 * @param loadKg load on this wheel
 * @param pressureKpa the trade's pressure on the reference rig
 * @example equalDeflectionKpa(REFERENCE_RIG.build, 600, 110) // 110
 */
export const equalDeflectionKpa = (build: TireBuild, loadKg: number, pressureKpa: number): number =>
  pressureForShareKpa(build, loadKg, referenceShare(pressureKpa));

/** The steps of that, from the trade's pressure on. */
export function equalDeflectionSteps(
  build: TireBuild,
  wheelLoadKg: number,
  referencePressureKpa: number,
  targetKpa: number,
  name: 'targetKpa' | 'deflectionKpa' = 'targetKpa',
): WorkingStep[] {
  const share = referenceShare(referencePressureKpa);
  const targetMm = share * sectionHeightMm(build.tire);
  return [
    {
      code: 'referenceShare',
      inputs: {
        referencePressureKpa,
        wheelLoadKg: REFERENCE_RIG.loadKg,
        ...stiffnessInputs(REFERENCE_RIG.build),
        sectionHeightMm: sectionHeightMm(REFERENCE_RIG.build.tire),
      },
      result: { name: 'deflectionShare', value: share },
      source: REFERENCE_RIG.source,
    },
    {
      code: 'targetDeflection',
      inputs: { deflectionShare: share, sectionHeightMm: sectionHeightMm(build.tire) },
      result: { name: 'deflectionMm', value: targetMm },
      source: commonPractice,
    },
    {
      code: 'stiffnessNeeded',
      inputs: { wheelLoadKg, deflectionMm: targetMm },
      result: { name: 'stiffnessKgPerMm', value: wheelLoadKg / targetMm },
      source: exact,
    },
    {
      code: 'wantedPressure',
      inputs: { ...stiffnessInputs(build), stiffnessKgPerMm: wheelLoadKg / targetMm },
      result: { name, value: targetKpa },
      source: STIFFNESS_SOURCE,
    },
  ];
}
