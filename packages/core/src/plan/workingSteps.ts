import { CASING_KPA, DROP_HEIGHT_SOURCE, DROP_SOURCE } from '../contact/bicycleDrop';
import {
  CONTACT_SOURCE,
  DEFAULT_CONTACT_CONSTANT,
  type ContactPatch,
  type MeasuredContact,
} from '../contact/contactPatch';
import { isBicycleTire, standingDiameterMm, standingHeightMm, widthOnRimMm } from '../contact/deflection';
import { STIFFNESS_SOURCE, type TireBuild } from '../contact/stiffness';
import { CEILINGS, type BindingCeiling } from '../limits/ceilings';
import { FLOORS, type BindingFloor } from '../limits/floors';
import { assumption, exact, measured } from '../source';
import type { AxleContext } from './axleContext';
import { stiffnessInputs } from './stiffnessInputs';
import type { WorkingStep } from './working';

/*
 * The lines of a plan's working that belong to no school and no limit. They compute nothing of their own: each puts
 * down what went into a step of the plan and what came out, in the order in which a person would do it again with
 * pencil and paper.
 */

export function workingOfLoadAndTire({ axle, build, wheelLoadKg }: AxleContext): WorkingStep[] {
  const { leftLoadKg, rightLoadKg } = axle;
  const load: WorkingStep = {
    code: 'wheelLoad',
    inputs: { leftLoadKg, rightLoadKg },
    result: { name: 'wheelLoadKg', value: wheelLoadKg },
    source: exact,
  };
  if (isBicycleTire(build)) return [load];
  return [
    load,
    {
      code: 'tireSize',
      inputs: {
        sectionWidthMm: build.tire.sectionWidthMm,
        aspectPercent: build.tire.aspectPercent,
        outerDiameterMm: standingDiameterMm(build),
      },
      result: { name: 'sectionHeightMm', value: standingHeightMm(build) },
      source: build.tire.notation === 'numeric' ? assumption : exact,
    },
  ];
}

/** Each limit in its own words, then which one binds. */
export function workingOfLimits(
  context: AxleContext,
  floor: BindingFloor,
  ceiling: BindingCeiling | null,
): WorkingStep[] {
  return [
    ...FLOORS.flatMap((each): readonly WorkingStep[] => {
      const value = floor.all.find(({ code }) => code === each.code);
      return value ? each.steps(context, value.pressureKpa) : [];
    }),
    { code: 'lowest', inputs: {}, result: { name: 'lowestKpa', value: floor.pressureKpa }, source: floor.source },
    ...CEILINGS.flatMap((each): readonly WorkingStep[] => {
      const value = ceiling?.all.find(({ code }) => code === each.code);
      return value ? each.steps(context, value.pressureKpa) : [];
    }),
  ];
}

export function workingOfStart(
  wantedKpa: number | null,
  startKpa: number,
  floor: BindingFloor,
  ceiling: BindingCeiling | null,
): WorkingStep {
  if (wantedKpa === null) {
    return {
      code: 'placardRules',
      inputs: { roadKpa: startKpa },
      result: { name: 'startKpa', value: startKpa },
      source: exact,
    };
  }
  return {
    code: 'start',
    inputs: {
      wantedKpa,
      lowestKpa: floor.pressureKpa,
      ...(ceiling && { highestKpa: ceiling.pressureKpa }),
    },
    result: { name: 'startKpa', value: startKpa },
    source: exact,
  };
}

export function workingOfContact(
  build: TireBuild,
  wheelLoadKg: number,
  patch: ContactPatch,
  measuredContact: MeasuredContact | undefined,
): WorkingStep[] {
  if (isBicycleTire(build)) return workingOfBicycleContact(build, wheelLoadKg, patch, measuredContact);
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
    chordStep(build, patch),
    lengthStep(patch, measuredContact),
    {
      code: 'groundPressure',
      inputs: { wheelLoadKg, contactLengthMm: patch.lengthMm, treadWidthMm: patch.widthMm },
      result: { name: 'groundPressureKpa', value: patch.groundPressureKpa },
      source: CONTACT_SOURCE,
    },
  ];
}

const chordStep = (build: TireBuild, patch: ContactPatch): WorkingStep => ({
  code: 'chord',
  inputs: { outerDiameterMm: standingDiameterMm(build), deflectionMm: patch.deflectionMm },
  result: { name: 'chordMm', value: patch.chordMm },
  source: exact,
});

function lengthStep(patch: ContactPatch, measuredContact: MeasuredContact | undefined): WorkingStep {
  const error = measuredContact?.standardError;
  return {
    code: 'contactLength',
    inputs: {
      contactConstant: measuredContact?.contactConstant ?? DEFAULT_CONTACT_CONSTANT,
      chordMm: patch.chordMm,
      ...(typeof error === 'number' && { contactConstantError: error }),
    },
    result: { name: 'contactLengthMm', value: patch.lengthMm },
    source: measuredContact ? measured : CONTACT_SOURCE,
  };
}

function workingOfBicycleContact(
  build: TireBuild,
  wheelLoadKg: number,
  patch: ContactPatch,
  measuredContact: MeasuredContact | undefined,
): WorkingStep[] {
  return [
    {
      code: 'dropAtStart',
      inputs: { wheelLoadKg, tireWidthMm: widthOnRimMm(build), pressureKpa: patch.pressureKpa },
      result: { name: 'dropShare', value: patch.deflectionShare },
      source: DROP_SOURCE,
    },
    {
      code: 'targetDeflection',
      inputs: { dropShare: patch.deflectionShare, tireWidthMm: widthOnRimMm(build) },
      result: { name: 'deflectionMm', value: patch.deflectionMm },
      source: DROP_HEIGHT_SOURCE,
    },
    chordStep(build, patch),
    {
      code: 'skinPressure',
      inputs: { pressureKpa: patch.pressureKpa, casingKpa: CASING_KPA },
      result: { name: 'groundPressureKpa', value: patch.groundPressureKpa },
      source: CONTACT_SOURCE,
    },
    measuredContact
      ? lengthStep(patch, measuredContact)
      : {
          code: 'ellipse',
          inputs: {
            wheelLoadKg,
            groundPressureKpa: patch.groundPressureKpa,
            chordMm: patch.chordMm,
            tireWidthMm: widthOnRimMm(build),
            deflectionMm: patch.deflectionMm,
          },
          result: { name: 'contactLengthMm', value: patch.lengthMm },
          source: CONTACT_SOURCE,
        },
  ];
}
