import { CONTACT_SOURCE, type ContactPatch, type MeasuredContact } from '../contact/contactPatch';
import { STIFFNESS_SOURCE, type TireBuild } from '../contact/stiffness';
import type { Ground } from '../grounds/ground';
import type { BindingFloor } from '../limits/floors';
import { gravel } from '../grounds/gravel';
import { schoolOf, type SchoolCode } from '../schools/registry';
import { assumption, commonPractice, exact, measured } from '../source';
import { outerDiameterMm, sectionHeightMm } from '../tires/tire';
import { psi } from '../units/units';
import { referenceShare } from '../schools/equalDeflection';
import type { AxlePlan, PlanAxle } from './plan';
import { REFERENCE_RIG, REFERENCE_ROAD_KPA } from '../schools/referenceRig';
import type { WorkingStep } from './working';

const GRAVEL_KPA = psi(gravel.onReferenceRig.startPsi);

/*
 * The lines of a plan's working. They compute nothing of their own: each puts down what went into a step of the plan
 * and what came out, in the order in which a person would do it again with pencil and paper.
 */

export function workingOfLoadAndTire(axle: PlanAxle, wheelLoadKg: number): WorkingStep[] {
  const { tire, leftLoadKg, rightLoadKg } = axle;
  return [
    {
      code: 'wheelLoad',
      inputs: { leftLoadKg, rightLoadKg },
      result: { name: 'wheelLoadKg', value: wheelLoadKg },
      source: exact,
    },
    {
      code: 'tireSize',
      inputs: {
        sectionWidthMm: tire.sectionWidthMm,
        aspectPercent: tire.aspectPercent,
        outerDiameterMm: outerDiameterMm(tire),
      },
      result: { name: 'sectionHeightMm', value: sectionHeightMm(tire) },
      source: tire.notation === 'numeric' ? assumption : exact,
    },
  ];
}

/** How a school came to what it asks for. */
export function workingOfSchool(
  school: SchoolCode,
  build: TireBuild,
  wheelLoadKg: number,
  referenceKpa: number,
  roadKpa: number,
  wantedKpa: number,
): WorkingStep[] {
  switch (school) {
    case 'equalDeflection':
      return workingOfEqualDeflection(build, wheelLoadKg, referenceKpa, wantedKpa);
    case 'stepDown':
      return workingOfEqualDeflection(build, wheelLoadKg, Math.max(referenceKpa, GRAVEL_KPA), wantedKpa);
    case 'fixedTable':
      return [
        {
          code: 'tablePressure',
          inputs: { referencePressureKpa: referenceKpa },
          result: { name: 'wantedKpa', value: wantedKpa },
          source: schoolOf(school).source,
        },
      ];
    case 'shareOfRoad':
      return [
        {
          code: 'shareOfRoad',
          inputs: { roadKpa, referencePressureKpa: referenceKpa, referenceRoadKpa: REFERENCE_ROAD_KPA },
          result: { name: 'wantedKpa', value: wantedKpa },
          source: schoolOf(school).source,
        },
      ];
  }
}

function workingOfEqualDeflection(
  build: TireBuild,
  wheelLoadKg: number,
  referenceKpa: number,
  wantedKpa: number,
): WorkingStep[] {
  const share = referenceShare(referenceKpa);
  const targetMm = share * sectionHeightMm(build.tire);
  return [
    {
      code: 'referenceShare',
      inputs: {
        referencePressureKpa: referenceKpa,
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
      result: { name: 'wantedKpa', value: wantedKpa },
      source: STIFFNESS_SOURCE,
    },
  ];
}

export function workingOfLimits(
  floor: BindingFloor,
  roadKpa: number,
  wantedKpa: number | null,
  startKpa: number,
): WorkingStep[] {
  const floorKpaOf = (code: BindingFloor['code']): number => floor.all.find((each) => each.code === code)!.pressureKpa;
  const floors: WorkingStep = {
    code: 'floors',
    inputs: { beadFloorKpa: floorKpaOf('bead'), flexFloorKpa: floorKpaOf('sidewallFlex') },
    result: { name: 'lowestKpa', value: floor.pressureKpa },
    source: floor.source,
  };
  if (wantedKpa === null) {
    return [
      floors,
      { code: 'placardRules', inputs: { roadKpa }, result: { name: 'startKpa', value: startKpa }, source: exact },
    ];
  }
  return [
    floors,
    {
      code: 'start',
      inputs: { wantedKpa, lowestKpa: floor.pressureKpa, roadKpa },
      result: { name: 'startKpa', value: startKpa },
      source: exact,
    },
  ];
}

export function workingOfWindow(
  { lowPsi, highPsi, source, lowSource }: NonNullable<Ground['onReferenceRig']>,
  window: AxlePlan['window'],
): WorkingStep[] {
  return [
    {
      code: 'windowLow',
      inputs: { referencePressureKpa: psi(lowPsi) },
      result: { name: 'windowLowKpa', value: window.lowKpa },
      source: lowSource ?? source,
    },
    {
      code: 'windowHigh',
      inputs: { referencePressureKpa: psi(highPsi) },
      result: { name: 'windowHighKpa', value: window.highKpa },
      source,
    },
  ];
}

export function workingOfContact(
  build: TireBuild,
  wheelLoadKg: number,
  patch: ContactPatch,
  contactConstant: number,
  measuredContact: MeasuredContact | undefined,
): WorkingStep[] {
  const error = measuredContact?.standardError;
  return [
    {
      code: 'stiffnessAtStart',
      inputs: { ...stiffnessInputs(build), pressureKpa: patch.pressureKpa },
      result: { name: 'stiffnessKgPerMm', value: patch.stiffnessKgPerMm },
      source: STIFFNESS_SOURCE,
    },
    {
      code: 'deflectionAtStart',
      inputs: { wheelLoadKg, stiffnessKgPerMm: patch.stiffnessKgPerMm },
      result: { name: 'deflectionMm', value: patch.deflectionMm },
      source: exact,
    },
    {
      code: 'chord',
      inputs: { outerDiameterMm: outerDiameterMm(build.tire), deflectionMm: patch.deflectionMm },
      result: { name: 'chordMm', value: patch.chordMm },
      source: exact,
    },
    {
      code: 'contactLength',
      inputs: {
        contactConstant,
        chordMm: patch.chordMm,
        ...(typeof error === 'number' && { contactConstantError: error }),
      },
      result: { name: 'contactLengthMm', value: patch.lengthMm },
      source: measuredContact ? measured : CONTACT_SOURCE,
    },
    {
      code: 'groundPressure',
      inputs: { wheelLoadKg, contactLengthMm: patch.lengthMm, treadWidthMm: patch.widthMm },
      result: { name: 'groundPressureKpa', value: patch.groundPressureKpa },
      source: CONTACT_SOURCE,
    },
  ];
}

const stiffnessInputs = ({ tire, carcass }: TireBuild) => ({
  aspectPercent: tire.aspectPercent,
  sectionWidthMm: tire.sectionWidthMm,
  outerDiameterMm: outerDiameterMm(tire),
  carcassFactor: carcass,
});
