import { curveOfRoad, pressureForLoadKpa } from '../capacity/loadCurve';
import { topSpeedKmh } from '../capacity/speedFactor';
import { cautionsFor } from '../cautions/registry';
import { contactPatch, TREAD_WIDTH_SHARE } from '../contact/contactPatch';
import { familyOf } from '../families/registry';
import type { Family } from '../families/family';
import { figuresFor, stepsFor, type Ground } from '../grounds/ground';
import { groundOf } from '../grounds/registry';
import { carriedKg, ratedMostKg } from '../limits/carried';
import { bindingCeiling, softCeilingKpa, type BindingCeiling } from '../limits/ceilings';
import { bindingFloor, type BindingFloor } from '../limits/floors';
import { speedForPressureKmh } from '../limits/speedAtPressure';
import { frontShareOf } from './frontOfRear';
import { remarksOf } from './remarks';
import { isTrailer } from '../loads/geometry';
import type { Figure } from '../grounds/figure';
import type { Modifier } from '../modifiers/modifier';
import { modifierOf, modifiersOn, type ModifierCode } from '../modifiers/registry';
import { failure, success, type Result } from '../result/result';
import { schoolOf, schoolsFor, type SchoolCode } from '../schools/registry';
import type { MissingInput, Target } from '../schools/school';
import { carcassFactor } from '../tires/loadRange';
import { placardRules, type AxleContext } from '../axle/axleContext';
import type { PlanAxle } from '../axle/planAxle';
import type { AxlePlan, GroundPlan, ClampCode, PlanInput, PlanProblem, SchoolPlan } from './plan';
import type { WorkingStep } from '../working/working';
import {
  workingOfContact,
  workingOfLimits,
  workingOfLoadAndTire,
  workingOfProved,
  workingOfStart,
} from './workingSteps';

/** Figures found by halving may differ in the last place; far finer than any gauge, kPa. */
const DUST_KPA = 1e-6;
const ROUNDING = 1e-12;

/**
 * The plan for one rig on one ground: for each axle a cold start pressure by the school that is held, its window, its
 * floor and ceiling with their reasons, what the other schools ask for, and what the tire does there and at road
 * pressure. Pressures are gauge, full precision.
 *
 * The axle's heavier wheel decides, because an axle is set to one pressure. No start lies below the floor or above the
 * ceiling. Where the two cross, or the speed is past the tire, there is no number but what stands in its way.
 *
 * @example the reference rig on soft sand: start 16 psi (110.3 kPa), window 15 to 16, floor 12 by the bead
 */
export function planGround(input: PlanInput): Result<GroundPlan, PlanProblem> {
  const family = familyOf(input.family);
  const ground = groundOf(input.ground);
  if (!ground.kinds.includes(family.kind)) return failure({ code: 'otherGround' });

  if (input.axles.every(({ position }) => isTrailer(position))) {
    return failure({ code: 'onlyTrailer', position: input.axles[0]!.position });
  }

  const limited: LimitedAxle[] = [];
  for (const context of contextsOf(input)) {
    const limits = limitsOf(context);
    if (!limits.ok) return limits;
    limited.push({ context, ...limits.value });
  }
  const chosen = chooseSchool(input, limited);
  if (!chosen.ok) return chosen;
  const { school, silentSchool } = chosen.value;
  const planned = planAxles(limited, school, ground.deliberate ? [] : input.proved);
  if (!planned.ok) return planned;
  const axles = planned.value;
  const guide = speedGuide(family, ground, input, axles);
  return success({
    family: input.family,
    ground: input.ground,
    school,
    silentSchool,
    speedGuideKmh: guide,
    speedKmh: limited[0]!.context.speedKmh,
    needsStuckStep: ground.deliberate === true && !input.stuckAccepted,
    axles,
    cautions: cautionsFor({
      family,
      ground,
      // What was said and has nothing to say on this ground warns of nothing.
      modifiers: [...new Set(axles.flatMap(({ modifiers }) => modifiers))],
      speedKmh: input.speedKmh,
      guideKmh: guide?.high ?? null,
      axles: axles.map((plan, index) => ({ plan, axle: input.axles[index]! })),
    }),
  });
}

/** Speed on the road where nobody said one, for a ratio of loads, km/h. Assumption. */
const ROAD_KMH = 40;

/** An axle's context, and what of the day counts on it: that is in the context's figures already. */
export interface DayContext extends AxleContext {
  readonly modifiers: readonly ModifierCode[];
}

/** What schools and limits look at on each axle. */
export function contextsOf(input: PlanInput): DayContext[] {
  const family = familyOf(input.family);
  const ground = groundOf(input.ground);
  const heaviestWheelKg = Math.max(...input.axles.map(heavierKg));
  const totalKg = input.axles.reduce(
    (sum, { wheels, leftLoadKg, rightLoadKg }) => sum + ((leftLoadKg + rightLoadKg) / 2) * wheels,
    0,
  );
  const onRoad = ground.paved === true;
  return input.axles.map((given) => {
    const axle = withCurve(given, family, input.roadSpeedKmh);
    const modifiers = modifiersOn(family.kind, ground, input.modifiers, axle);
    const tread = family.kind === 'bicycle' ? null : treadFactor(axle);
    const all: readonly Modifier[] = modifiers.map(modifierOf);
    const steps = stepsFor(ground, family.kind, wheelOf(axle));
    const sum = (of: readonly Modifier[], end: Figure): number =>
      of.reduce((total, each) => total + (each.shift?.[end] ?? 0), 0);
    const narrow = all.filter(({ notOnNarrow }) => !notOnNarrow);
    // On narrow tires a pavement counts as a share instead.
    const onNarrow = ground.bicycle?.narrowShare ? null : steps;
    const eachEnd = (of: (end: Figure) => number) => ({ start: of('start'), low: of('low'), high: of('high') });
    return {
      family,
      ground,
      axle,
      build: {
        tire: axle.tire,
        carcass: carcassFactor(axle.loadRange) * (axle.own?.carcass.factor ?? 1),
        ...(axle.widthMm !== null && { widthMm: axle.widthMm }),
        ...(axle.own && {
          contactFactor: axle.own.contact.factor,
          widthFactor: axle.own.width.factor,
          dropFactor: axle.own.drop.factor,
        }),
        ...(tread !== null && { widthFactor: tread }),
      },
      wheelLoadKg: heavierKg(axle),
      heaviestWheelKg,
      totalKg,
      modifiers,
      shiftPsi: eachEnd((end) => (steps?.[end] ?? 0) + sum(all, end)),
      groundShiftPsi: eachEnd((end) => steps?.[end] ?? 0),
      narrowShiftPsi: eachEnd((end) => (onNarrow?.[end] ?? 0) + sum(narrow, end)),
      highTorque: all.some(({ highTorque }) => highTorque),
      speedKmh: input.speedKmh ?? ground.speedGuideKmh?.high ?? (onRoad ? input.roadSpeedKmh : null),
      roadSpeedKmh: input.roadSpeedKmh,
      reachAirKmh: all.find(({ reachAirKmh }) => reachAirKmh !== undefined)?.reachAirKmh ?? null,
      riderKg: input.riderKg,
      ownFloorKpa: input.ownFloorKpa,
      stuck: ground.deliberate === true && input.stuckAccepted,
    };
  });
}

/** A farm axle of whose tire nothing was read goes by what it is driven with on the road. */
function withCurve(axle: PlanAxle, { kind }: Family, roadSpeedKmh: number | null): PlanAxle {
  if (kind !== 'farm' || axle.curve || axle.roadKpa === null) return axle;
  const roadLoadKg = axle.roadLoadKg ?? heavierKg(axle);
  return { ...axle, curve: curveOfRoad(axle.tire, axle.roadKpa, roadLoadKg, roadSpeedKmh ?? ROAD_KMH) };
}

/**
 * How wide a measured tread is against the trade's share of the section; a print of the tire itself speaks for more.
 * Null where nobody measured.
 */
const treadFactor = ({ treadWidthMm, tire, own }: PlanAxle): number | null =>
  treadWidthMm && !own?.width.readings ? treadWidthMm / (TREAD_WIDTH_SHARE * tire.sectionWidthMm) : null;

const wheelOf = ({ position }: PlanAxle): 'front' | 'behind' => (position === 'front' ? 'front' : 'behind');

const heavierKg = ({ leftLoadKg, rightLoadKg }: PlanAxle): number => Math.max(leftLoadKg, rightLoadKg);

interface LimitedAxle {
  readonly context: DayContext;
  readonly floor: BindingFloor;
  readonly ceiling: BindingCeiling | null;
}

/** How low and how high an axle may go; contradictions are reported, not averaged away. */
function limitsOf(context: AxleContext): Result<Pick<LimitedAxle, 'floor' | 'ceiling'>, PlanProblem> {
  const { axle, wheelLoadKg, speedKmh } = context;
  const { position, roadKpa, maxKpa, curve } = axle;
  const topKmh = curve?.from === 'rows' ? curve.speeds.at(-1)!.speedKmh : topSpeedKmh(axle.tire);
  if (speedKmh !== null && topKmh !== null && speedKmh > topKmh) {
    return failure({ code: 'tooFast', position, speedKmh, topKmh });
  }
  if (context.family.placardRules && roadKpa !== null && maxKpa !== null && roadKpa > maxKpa + DUST_KPA) {
    return failure({ code: 'placardAboveSidewall', position, placardKpa: roadKpa, maxKpa });
  }
  if (placardRules(context) && roadKpa === null) return failure({ code: 'roadMissing', position });
  const mostKg = ratedMostKg(context);
  if (mostKg !== null && wheelLoadKg > mostKg * (1 + ROUNDING)) {
    return failure({ code: 'noPressureCarries', position, wheelLoadKg, mostKg, speedKmh });
  }
  const floor = bindingFloor(context);
  if (floor.pressureKpa === Number.POSITIVE_INFINITY) {
    return failure({ code: 'noPressureSuffices', position, wheelLoadKg, floor: floor.code });
  }
  const ceiling = bindingCeiling(context);
  if (ceiling && floor.pressureKpa > ceiling.pressureKpa + DUST_KPA) {
    return failure({
      code: 'floorAboveCeiling',
      position,
      wheelLoadKg,
      floor: floor.code,
      floorKpa: floor.pressureKpa,
      ceiling: ceiling.code,
      ceilingKpa: ceiling.pressureKpa,
    });
  }
  return success({ floor, ceiling });
}

/** The school that is held, else the first that can answer on every axle; none where the placard rules. */
function chooseSchool(
  { school: held }: PlanInput,
  limited: readonly LimitedAxle[],
): Result<Pick<GroundPlan, 'school' | 'silentSchool'>, PlanProblem> {
  const [{ context }] = limited as [LimitedAxle];
  if (placardRules(context)) return success({ school: null, silentSchool: null });
  const own = schoolsFor(context.family.kind);
  const needOf = (code: SchoolCode): MissingInput | null =>
    limited
      .map(({ context: each }) => schoolOf(code).targetKpa(each, 'start'))
      .find((wanted) => typeof wanted === 'string') ?? null;
  const first = held !== null && own.includes(held) ? held : own[0]!;
  const answering = [first, ...own].find((code) => needOf(code) === null);
  if (answering === undefined) {
    return failure({ code: 'noSchoolAnswers', needs: [...new Set(own.map((code) => needOf(code)!))] });
  }
  const silent = needOf(first);
  return success({ school: answering, silentSchool: silent === null ? null : { code: first, needs: silent } });
}

/** Every axle; of a bicycle the rear first, because the front is never the firmer of the two. */
function planAxles(
  limited: readonly LimitedAxle[],
  school: SchoolCode | null,
  proved: PlanInput['proved'] = [],
): Result<AxlePlan[], PlanProblem> {
  const provedOf = ({ context }: LimitedAxle): number | null =>
    school === null ? null : (proved.find(({ position }) => position === context.axle.position)?.pressureKpa ?? null);
  const last = limited.at(-1)!;
  const alone = last.context.family.kind !== 'bicycle' || limited.length < 2 || school === 'ownTrial';
  const rear = planAxle(last, school, provedOf(last));
  if (!rear.ok) return rear;
  const axles: AxlePlan[] = [];
  for (const axle of limited.slice(0, -1)) {
    const share = alone ? null : frontShareOf(axle.context);
    const { startKpa, window } = rear.value;
    const planned = planAxle(
      axle,
      school,
      provedOf(axle),
      share === null
        ? undefined
        : { start: share * startKpa, low: share * window.lowKpa, high: share * window.highKpa },
    );
    if (!planned.ok) return planned;
    axles.push(planned.value);
  }
  return success([...axles, rear.value]);
}

/** @param behind the most that the wheel behind leaves to this one, kPa */
function planAxle(
  { context, floor, ceiling }: LimitedAxle,
  school: SchoolCode | null,
  provedKpa: number | null,
  behind?: Readonly<Record<Figure, number>>,
): Result<AxlePlan, PlanProblem> {
  const { axle, build, wheelLoadKg, modifiers } = context;
  const startEnd: Figure = modifiers.map((code) => (modifierOf(code) as Modifier).startAt).find(Boolean) ?? 'start';
  const hardKpa = ceiling?.pressureKpa ?? Number.POSITIVE_INFINITY;
  const softKpa = softCeilingKpa(context, floor.pressureKpa) ?? Number.POSITIVE_INFINITY;
  const behindKpa = (end: Figure): number => behind?.[end] ?? Number.POSITIVE_INFINITY;
  // What is behind gives way to the floor; a ceiling was held against it before.
  const hold = (kpa: number, end: Figure): number =>
    Math.max(Math.min(kpa, hardKpa, softKpa, behindKpa(end)), floor.pressureKpa);
  const clampedBy = (kpa: number, end: Figure): ClampCode => {
    const most = Math.min(hardKpa, softKpa, behindKpa(end));
    if (Math.min(kpa, most) < floor.pressureKpa) return floor.code;
    if (kpa <= most) return null;
    return most === hardKpa ? ceiling!.code : most === softKpa ? 'belowRoad' : 'rear';
  };

  const asks = (code: SchoolCode, end: Figure): Target => schoolOf(code).targetKpa(context, end);
  const schools = (school === null ? [] : schoolsFor(context.family.kind)).map((code): SchoolPlan => {
    const targetKpa = asks(code, startEnd);
    return typeof targetKpa === 'string'
      ? { code, ok: false, needs: targetKpa }
      : { code, ok: true, targetKpa, startKpa: hold(targetKpa, startEnd), clampedBy: clampedBy(targetKpa, startEnd) };
  });
  const held = schools.find(({ code }) => code === school);
  const targetKpa = held?.ok ? held.targetKpa : null;
  const ruleKpa = held?.ok ? held.startKpa : axle.roadKpa!;
  const within = (kpa: number): number => Math.max(Math.min(kpa, hardKpa, softKpa), floor.pressureKpa);
  const startKpa = provedKpa === null ? ruleKpa : within(provedKpa);
  const startClamp =
    provedKpa === null
      ? held?.ok
        ? held.clampedBy
        : null
      : startKpa > provedKpa
        ? floor.code
        : startKpa === provedKpa
          ? null
          : startKpa === hardKpa
            ? ceiling!.code
            : 'belowRoad';
  // A school that has a start may have no answer for an end of the window: then the window ends at the start.
  const askedAt = (end: Figure): number => {
    const wanted = school === null ? null : asks(school, end);
    return typeof wanted === 'number' ? wanted : (targetKpa ?? startKpa);
  };
  const edge = (end: Figure): number => (school === null ? axle.roadKpa! : hold(askedAt(end), end));
  const highKpa = edge('high');
  // Where the start was cut from above, the low end keeps its distance: there is still a way down to try.
  const lowKpa =
    targetKpa !== null && ruleKpa < targetKpa
      ? Math.min(edge('low'), hold((askedAt('low') * ruleKpa) / targetKpa, 'low'))
      : edge('low');
  const roadKpa = axle.roadKpa ?? needsOnRoadKpa(context);
  const atRoad = roadKpa === null ? null : (contactPatch(build, wheelLoadKg, roadKpa) ?? null);
  const atStart = contactPatch(build, wheelLoadKg, startKpa);
  if (!atStart) return failure({ code: 'liesFlat', position: axle.position, wheelLoadKg, pressureKpa: startKpa });
  const figures = figuresFor(context.ground, context.family.kind, wheelOf(axle));
  const windowStep = (code: 'windowLow' | 'windowHigh', value: number): WorkingStep => ({
    code,
    inputs: {},
    result: { name: code === 'windowLow' ? 'windowLowKpa' : 'windowHighKpa', value },
    source: (code === 'windowLow' ? figures?.lowSource : undefined) ?? figures?.source ?? schoolOf(school!).source,
  });
  const start = {
    startKpa,
    roadKpa,
    atStart,
    atRoad,
    clampedBy: startClamp,
    floor,
    school,
    schools,
  };
  return success({
    position: axle.position,
    wheelLoadKg,
    roadKpa,
    startKpa,
    ruleKpa,
    provedKpa,
    window: { lowKpa: Math.min(lowKpa, startKpa), highKpa: Math.max(highKpa, startKpa) },
    floor,
    ceiling,
    targetKpa,
    clampedBy: start.clampedBy,
    schools,
    modifiers,
    atRoad,
    atStart,
    carriesKg: carriedKg(context, startKpa),
    clearanceLostMm: atRoad && atStart.deflectionMm - atRoad.deflectionMm,
    allowsKmh: allowsKmh(context, startKpa),
    remarks: remarksOf(context, start),
    own: axle.own ?? null,
    working: [
      ...workingOfLoadAndTire(context),
      ...(school === null || targetKpa === null ? [] : schoolOf(school).trace(context, startEnd, targetKpa)),
      ...workingOfLimits(context, floor, ceiling, softKpa),
      workingOfStart(targetKpa, ruleKpa, floor, ceiling, Math.min(softKpa, behind?.[startEnd] ?? softKpa)),
      ...(provedKpa === null ? [] : [workingOfProved(provedKpa, startKpa, floor, ceiling)]),
      ...(school === null ? [] : [windowStep('windowLow', lowKpa), windowStep('windowHigh', highKpa)]),
      ...workingOfContact(build, wheelLoadKg, atStart, axle.own),
    ],
  });
}

/** What today's load takes at road speed, kPa, where the road pressure is not given; null where the load curve is unknown too. */
const needsOnRoadKpa = ({ axle, wheelLoadKg, roadSpeedKmh }: AxleContext): number | null =>
  (axle.curve
    ? pressureForLoadKpa(axle.curve, wheelLoadKg, {
        speedKmh: roadSpeedKmh,
        dual: axle.wheels === 4,
        rolling: isTrailer(axle.position),
      })
    : null) ?? null;

/** The fastest that a pressure allows here, km/h; null where nothing holds it back. */
const allowsKmh = (context: AxleContext, pressureKpa: number): number | null =>
  placardRules(context) ? null : speedForPressureKmh(context, pressureKpa, context.ground.paved === true);

/** A speed found by halving must not lose a step for its last place, km/h. */
const SPEED_ROUNDING = 0.05;

/** The ground's guide, less on a day that wants it slower, and never more than what the pressures allow. */
function speedGuide(
  family: Family,
  { speedGuideKmh }: Ground,
  { modifiers }: PlanInput,
  axles: readonly AxlePlan[],
): GroundPlan['speedGuideKmh'] {
  if (!family.speedGuide || !speedGuideKmh) return null;
  const counted = new Set(axles.flatMap((axle) => axle.modifiers));
  const share = modifiers
    .filter((code) => counted.has(code))
    .reduce((product, code) => product * ((modifierOf(code) as Modifier).speedShare ?? 1), 1);
  const allowed = axles.flatMap(({ allowsKmh: kmh }) => (kmh === null ? [] : [kmh]));
  const slower = (kmh: number): number =>
    Math.min(kmh * share, ...allowed.filter((most) => most < kmh * share - SPEED_ROUNDING));
  const tidy = (kmh: number): number =>
    kmh === Math.round(kmh) && share === 1 ? kmh : Math.max(5, Math.floor(kmh / 5) * 5);
  return { low: tidy(slower(speedGuideKmh.low)), high: tidy(slower(speedGuideKmh.high)) };
}
