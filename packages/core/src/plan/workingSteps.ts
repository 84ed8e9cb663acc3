import { CASING_KPA, DROP_HEIGHT_SOURCE, DROP_SOURCE } from '../contact/bicycleDrop';
import {
  CONTACT_SOURCE,
  DEFAULT_CONTACT_CONSTANT,
  squaredFactor,
  TREAD_WIDTH_SHARE,
  type ContactPatch,
} from '../contact/contactPatch';
import { isBicycleTire, standingDiameterMm, standingHeightMm, widthOnRimMm } from '../contact/deflection';
import type { OwnTire } from '../contact/ownTire';
import { STIFFNESS_SOURCE, type TireBuild } from '../contact/stiffness';
import { ceilingOf, type BindingCeiling } from '../limits/ceilings';
import { floorOf, type BindingFloor } from '../limits/floors';
import { belowRoad } from '../limits/placard';
import { assumption, exact, measured } from '../sources/source';
import type { AxleContext } from '../axle/axleContext';
import { stiffnessInputs } from '../working/stiffnessInputs';
import type { WorkingStep } from '../working/working';

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
  softKpa: number,
): WorkingStep[] {
  return [
    ...floor.all.flatMap(({ code, pressureKpa }) => floorOf(code).trace(context, pressureKpa)),
    { code: 'lowest', inputs: {}, result: { name: 'lowestKpa', value: floor.pressureKpa }, source: floor.source },
    ...(ceiling?.all ?? []).flatMap(({ code, pressureKpa }) => ceilingOf(code).trace(context, pressureKpa)),
    ...(Number.isFinite(softKpa) ? belowRoad.trace(context, softKpa) : []),
  ];
}

/** What was proved on the ground itself, kept within the limits of today. */
export const workingOfProved = (
  provedKpa: number,
  startKpa: number,
  floor: BindingFloor,
  ceiling: BindingCeiling | null,
): WorkingStep => ({
  code: 'proved',
  inputs: { provedKpa, lowestKpa: floor.pressureKpa, ...(ceiling && { highestKpa: ceiling.pressureKpa }) },
  result: { name: 'startKpa', value: startKpa },
  source: measured,
});

export function workingOfStart(
  targetKpa: number | null,
  startKpa: number,
  floor: BindingFloor,
  ceiling: BindingCeiling | null,
  /** What else it stays below; Infinity where nothing else counts. */
  otherKpa: number,
): WorkingStep {
  if (targetKpa === null) {
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
      targetKpa,
      lowestKpa: floor.pressureKpa,
      ...(ceiling && { highestKpa: ceiling.pressureKpa }),
      ...(Number.isFinite(otherKpa) && { behindKpa: otherKpa }),
    },
    result: { name: 'startKpa', value: startKpa },
    source: exact,
  };
}

export function workingOfContact(
  build: TireBuild,
  wheelLoadKg: number,
  patch: ContactPatch,
  own: OwnTire | undefined,
): WorkingStep[] {
  if (isBicycleTire(build)) return workingOfBicycleContact(build, wheelLoadKg, patch, own);
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
    lengthStep(build, patch, own),
    ...(build.widthFactor !== undefined &&
    (own === undefined || own.width.readings > 0 || build.widthFactor !== own.width.factor)
      ? [widthStep(build, patch)]
      : []),
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

function lengthStep(build: TireBuild, patch: ContactPatch, own: OwnTire | undefined): WorkingStep {
  return {
    code: 'contactLength',
    inputs: {
      contactConstant: DEFAULT_CONTACT_CONSTANT * (own?.contact.factor ?? 1),
      chordMm: patch.chordMm,
      squaredFactor: squaredFactor(build, patch.pressureKpa),
    },
    result: { name: 'contactLengthMm', value: patch.lengthMm },
    source: own ? measured : CONTACT_SOURCE,
  };
}

/** A width that was measured: by a print, or by a tape across the tread. */
const widthStep = (build: TireBuild, patch: ContactPatch): WorkingStep => ({
  code: 'treadWidth',
  inputs: {
    widthShare: TREAD_WIDTH_SHARE * build.widthFactor!,
    sectionWidthMm: build.tire.sectionWidthMm,
    squaredFactor: squaredFactor(build, patch.pressureKpa),
  },
  result: { name: 'treadWidthMm', value: patch.widthMm },
  source: measured,
});

function workingOfBicycleContact(
  build: TireBuild,
  wheelLoadKg: number,
  patch: ContactPatch,
  own: OwnTire | undefined,
): WorkingStep[] {
  return [
    {
      code: 'dropAtStart',
      inputs: {
        wheelLoadKg,
        tireWidthMm: widthOnRimMm(build),
        pressureKpa: patch.pressureKpa,
        ...(own && { dropFactor: own.drop.factor }),
      },
      result: { name: 'dropShare', value: patch.deflectionShare },
      source: own ? measured : DROP_SOURCE,
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
      result: { name: 'groundPressureKpa', value: patch.pressureKpa + CASING_KPA },
      source: CONTACT_SOURCE,
    },
    {
      code: 'ellipse',
      inputs: {
        wheelLoadKg,
        groundPressureKpa: patch.pressureKpa + CASING_KPA,
        chordMm: patch.chordMm,
        tireWidthMm: widthOnRimMm(build),
        deflectionMm: patch.deflectionMm,
        ...(own && { contactFactor: own.contact.factor }),
      },
      result: { name: 'contactLengthMm', value: patch.lengthMm },
      source: own ? measured : CONTACT_SOURCE,
    },
  ];
}
