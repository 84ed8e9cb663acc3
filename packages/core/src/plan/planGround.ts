import { cautionsFor } from '../cautions/cautions';
import { contactPatch, DEFAULT_CONTACT_CONSTANT } from '../contact/contactPatch';
import type { TireBuild } from '../contact/stiffness';
import { groundOf } from '../grounds/registry';
import { bindingFloor } from '../limits/floors';
import { schoolOf, SCHOOLS, type SchoolCode } from '../schools/registry';
import { failure, success, type Result } from '../result';
import { carcassFactor } from '../tires/loadRange';
import { loadIndexKg } from '../tires/loadIndex';
import { psi } from '../units/units';
import type { AxlePlan, GroundPlan, PlanAxle, PlanInput, PlanProblem, SchoolPlan } from './plan';
import {
  workingOfContact,
  workingOfLimits,
  workingOfLoadAndTire,
  workingOfSchool,
  workingOfWindow,
} from './workingSteps';

/** Which limit moved a number. */
const heldBy = (wantedKpa: number, startKpa: number): SchoolPlan['heldBy'] =>
  wantedKpa === startKpa ? null : wantedKpa < startKpa ? 'floor' : 'placard';

const clamp = (value: number, low: number, high: number): number => Math.min(Math.max(value, low), high);

/**
 * The plan for one rig on one ground: for each axle a cold start pressure by the school that is held, its window, its
 * floor with the reason, what the other schools ask for, and what the tire does there and at road pressure. Pressures
 * are gauge, full precision.
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
        wantedKpa: plan.schools.find(({ code }) => code === 'equalDeflection')?.wantedKpa ?? plan.roadKpa,
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

function planAxle(axle: PlanAxle, { ground, school }: PlanInput, stuck: boolean): Result<AxlePlan, PlanProblem> {
  const build: TireBuild = { tire: axle.tire, carcass: carcassFactor(axle.loadRange) };
  const wheelLoadKg = Math.max(axle.leftLoadKg, axle.rightLoadKg);
  const roadKpa = axle.placardKpa;
  const contactConstant = axle.measuredContact?.contactConstant ?? DEFAULT_CONTACT_CONSTANT;
  const floor = bindingFloor({ build, wheelLoadKg, beadLocks: axle.beadLocks, heldFloorKpa: axle.heldFloorKpa, stuck });
  const atRoad = contactPatch(build, wheelLoadKg, roadKpa, contactConstant);
  if (floor.code === 'bead' && floor.pressureKpa > roadKpa) {
    const { position } = axle;
    return failure({ code: 'floorAboveRoad', position, floorKpa: floor.pressureKpa, placardKpa: roadKpa });
  }
  if (floor.pressureKpa > roadKpa || !atRoad) {
    return failure({
      code: 'placardCannotCarry',
      position: axle.position,
      wheelLoadKg,
      placardKpa: roadKpa,
      neededKpa: floor.pressureKpa,
    });
  }

  const { onReferenceRig } = groundOf(ground);
  const asks = (code: SchoolCode, referencePsi: number): number =>
    schoolOf(code).wantedKpa({ build, wheelLoadKg, roadKpa, referenceKpa: psi(referencePsi) });
  const hold = (pressureKpa: number): number => clamp(pressureKpa, floor.pressureKpa, roadKpa);
  const schools = onReferenceRig
    ? SCHOOLS.map(({ code }): SchoolPlan => {
        const wantedKpa = asks(code, onReferenceRig.startPsi);
        return { code, wantedKpa, startKpa: hold(wantedKpa), heldBy: heldBy(wantedKpa, hold(wantedKpa)) };
      })
    : [];
  const held = schools.find(({ code }) => code === school);
  const wantedKpa = held?.wantedKpa ?? null;
  const startKpa = held?.startKpa ?? roadKpa;
  const window = onReferenceRig
    ? { lowKpa: hold(asks(school, onReferenceRig.lowPsi)), highKpa: hold(asks(school, onReferenceRig.highPsi)) }
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
    heldBy: held?.heldBy ?? null,
    schools,
    atRoad,
    atStart,
    clearanceLostMm: atStart.deflectionMm - atRoad.deflectionMm,
    measuredContact: axle.measuredContact ?? null,
    working: [
      ...workingOfLoadAndTire(axle, wheelLoadKg),
      ...(onReferenceRig && wantedKpa !== null
        ? workingOfSchool(school, build, wheelLoadKg, psi(onReferenceRig.startPsi), roadKpa, wantedKpa)
        : []),
      ...workingOfLimits(floor, roadKpa, wantedKpa, startKpa),
      ...(onReferenceRig ? workingOfWindow(onReferenceRig, window) : []),
      ...workingOfContact(build, wheelLoadKg, atStart, contactConstant, axle.measuredContact),
    ],
  });
}
