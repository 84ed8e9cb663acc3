import { cautionsFor, type CautionCode } from '../cautions/cautions';
import { contactPatch, CONTACT_SOURCE, DEFAULT_CONTACT_CONSTANT, type ContactPatch } from '../contact/contactPatch';
import { STIFFNESS_SOURCE, stiffnessKgPerMm, type TireBuild } from '../contact/stiffness';
import type { Ground } from '../grounds/ground';
import { groundOf, type GroundCode } from '../grounds/registry';
import { bindingFloor, type BindingFloor } from '../limits/floors';
import { failure, success, type Result } from '../result';
import { assumption, commonPractice, exact, measured } from '../source';
import { carcassFactor, type LoadRange } from '../tires/loadRange';
import { loadIndexKg } from '../tires/loadIndex';
import { outerDiameterMm, sectionHeightMm, type Tire } from '../tires/tire';
import { psi } from '../units/units';
import { equalDeflectionKpa, referenceShare } from './equalDeflection';
import { REFERENCE_RIG } from './referenceRig';
import type { WorkingStep } from './working';

export type AxlePosition = 'front' | 'rear';

/** A contact constant that a person's own tape test gave, with the standard error of the estimate where there is one. */
export interface MeasuredContact {
  readonly contactConstant: number;
  readonly standardError: number | null;
}

export interface PlanAxle {
  readonly position: AxlePosition;
  readonly tire: Tire;
  readonly loadRange: LoadRange;
  readonly leftLoadKg: number;
  readonly rightLoadKg: number;
  readonly placardKpa: number;
  readonly measuredContact?: MeasuredContact;
}

export interface PlanInput {
  readonly ground: GroundCode;
  readonly beadLocks: boolean;
  /** The person has said that they are stuck and nothing else helped: opens the way below the ordinary floor. */
  readonly stuckAccepted: boolean;
  readonly axles: readonly PlanAxle[];
}

export interface AxlePlan {
  readonly position: AxlePosition;
  /** The heavier wheel of the axle, for which the axle's one pressure is found. */
  readonly wheelLoadKg: number;
  readonly roadKpa: number;
  readonly startKpa: number;
  readonly window: { readonly lowKpa: number; readonly highKpa: number };
  readonly floor: BindingFloor;
  /** What equal deflection asks for before any limit. Null on the road, where the placard rules. */
  readonly wantedKpa: number | null;
  /** Which limit moved the start away from what was wanted, if one did. */
  readonly heldBy: 'floor' | 'placard' | null;
  readonly atRoad: ContactPatch;
  readonly atStart: ContactPatch;
  /** How much lower the axle stands than at road pressure, mm. */
  readonly clearanceLostMm: number;
  readonly measuredContact: MeasuredContact | null;
  readonly working: readonly WorkingStep[];
}

export interface GroundPlan {
  readonly ground: GroundCode;
  readonly speedGuideKmh: { readonly low: number; readonly high: number } | null;
  /** True where this ground goes below the ordinary floor once the person has said that they are stuck. */
  readonly needsStuckStep: boolean;
  readonly axles: readonly AxlePlan[];
  readonly cautions: readonly CautionCode[];
}

/** There is no safe number: the axle's road pressure does not hold its load up. */
export type PlanProblem = {
  readonly code: 'placardCannotCarry';
  readonly position: AxlePosition;
  readonly wheelLoadKg: number;
  readonly placardKpa: number;
  /** The pressure at which the sidewall would bend no further than it may. */
  readonly neededKpa: number;
};

const clamp = (value: number, low: number, high: number): number => Math.min(Math.max(value, low), high);

/**
 * The plan for one rig on one ground: for each axle a cold start pressure by equal deflection, its window, its floor
 * with the reason, and what the tire does there and at road pressure. Pressures are gauge, full precision.
 *
 * The axle's heavier wheel decides, because an axle is set to one pressure. No start lies below the floor or above
 * the placard.
 *
 * @example the reference rig on soft sand: start 16 psi (110.3 kPa), window 15 to 16, floor 12 by the bead
 */
export function planGround(input: PlanInput): Result<GroundPlan, PlanProblem> {
  const ground = groundOf(input.ground);
  const stuck = ground.deliberate === true && input.stuckAccepted;

  const axles: AxlePlan[] = [];
  for (const axle of input.axles) {
    const planned = planAxle(axle, input, stuck);
    if (!planned.ok) return planned;
    axles.push(planned.value);
  }

  const cautions = cautionsFor({
    ground: input.ground,
    axles: axles.map((plan, index) => {
      const { tire, loadRange } = input.axles[index]!;
      return {
        wheelLoadKg: plan.wheelLoadKg,
        loadIndexKg: tire.service && loadIndexKg(tire.service.loadIndex),
        startKpa: plan.startKpa,
        roadKpa: plan.roadKpa,
        wantedKpa: plan.wantedKpa ?? plan.roadKpa,
        floorKpa: plan.floor.pressureKpa,
        carcass: carcassFactor(loadRange),
      };
    }),
  });

  return success({
    ground: input.ground,
    speedGuideKmh: ground.speedGuideKmh,
    needsStuckStep: ground.deliberate === true && !input.stuckAccepted,
    axles,
    cautions,
  });
}

function planAxle(axle: PlanAxle, input: PlanInput, stuck: boolean): Result<AxlePlan, PlanProblem> {
  const build: TireBuild = { tire: axle.tire, carcass: carcassFactor(axle.loadRange) };
  const wheelLoadKg = Math.max(axle.leftLoadKg, axle.rightLoadKg);
  const roadKpa = axle.placardKpa;
  const contactConstant = axle.measuredContact?.contactConstant ?? DEFAULT_CONTACT_CONSTANT;
  const floor = bindingFloor({ build, wheelLoadKg, beadLocks: input.beadLocks, stuck });
  const atRoad = contactPatch(build, wheelLoadKg, roadKpa, contactConstant);
  if (floor.pressureKpa > roadKpa || !atRoad) {
    return failure({
      code: 'placardCannotCarry',
      position: axle.position,
      wheelLoadKg,
      placardKpa: roadKpa,
      neededKpa: floor.pressureKpa,
    });
  }

  const { onReferenceRig } = groundOf(input.ground);
  const carry = (referencePsi: number): number => equalDeflectionKpa(build, wheelLoadKg, psi(referencePsi));
  const hold = (pressureKpa: number): number => clamp(pressureKpa, floor.pressureKpa, roadKpa);
  const wantedKpa = onReferenceRig && carry(onReferenceRig.startPsi);
  const startKpa = wantedKpa === null ? roadKpa : hold(wantedKpa);
  const window = onReferenceRig
    ? { lowKpa: hold(carry(onReferenceRig.lowPsi)), highKpa: hold(carry(onReferenceRig.highPsi)) }
    : { lowKpa: roadKpa, highKpa: roadKpa };
  // The floor keeps the sidewall from being squeezed flat at any pressure from there up.
  const atStart = contactPatch(build, wheelLoadKg, startKpa, contactConstant)!;

  return success({
    position: axle.position,
    wheelLoadKg,
    roadKpa,
    startKpa,
    window,
    floor,
    wantedKpa,
    heldBy: wantedKpa === null || wantedKpa === startKpa ? null : wantedKpa < startKpa ? 'floor' : 'placard',
    atRoad,
    atStart,
    clearanceLostMm: atStart.deflectionMm - atRoad.deflectionMm,
    measuredContact: axle.measuredContact ?? null,
    working: [
      ...workingOfLoadAndTire(axle, wheelLoadKg),
      ...(onReferenceRig && wantedKpa !== null
        ? workingOfEqualDeflection(build, wheelLoadKg, psi(onReferenceRig.startPsi), wantedKpa)
        : []),
      ...workingOfLimits(floor, roadKpa, wantedKpa, startKpa),
      ...(onReferenceRig ? workingOfWindow(onReferenceRig, window) : []),
      ...workingOfContact(build, wheelLoadKg, atStart, contactConstant, axle.measuredContact),
    ],
  });
}

function workingOfLoadAndTire(axle: PlanAxle, wheelLoadKg: number): WorkingStep[] {
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

function workingOfLimits(
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

function workingOfWindow(
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

function workingOfContact(
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
      result: { name: 'stiffnessKgPerMm', value: stiffnessKgPerMm(build, patch.pressureKpa) },
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
