import { curveOfRoad, pressureForLoadKpa, sheetPressuresKpa } from '../capacity/loadCurve';
import { topSpeedKmh } from '../capacity/speedFactor';
import { cautionsFor } from '../cautions/registry';
import { contactPatch, TREAD_WIDTH_SHARE } from '../contact/contactPatch';
import type { OwnFactor } from '../contact/ownTire';
import { familyOf } from '../families/registry';
import type { Family } from '../families/family';
import { figuresFor, isLike, stepsFor, type Ground } from '../grounds/ground';
import { groundOf, meets } from '../grounds/registry';
import { ratedMostKg } from '../limits/carried';
import { bindingCeiling, softCeilingKpa, type BindingCeiling } from '../limits/ceilings';
import { bindingFloor, type BindingFloor } from '../limits/floors';
import { axleAt, leastAllowedKmh } from './axleAt';
import { frontShareOf } from './frontOfRear';
import { remarksOf } from './remarks';
import { isTrailer } from '../loads/geometry';
import type { Figure } from '../grounds/figure';
import type { Modifier } from '../modifiers/modifier';
import { modifierOf, modifiersOn, type ModifierCode } from '../modifiers/registry';
import { failure, success, type Result } from '../result/result';
import { schoolOf, schoolsFor, type SchoolCode } from '../schools/registry';
import type { MissingInput } from '../schools/school';
import { carcassFactor } from '../tires/loadRange';
import { psi } from '../units/units';
import { placardRules, type AxleContext, type DayContext } from '../axle/axleContext';
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
  if (!meets(ground, family)) return failure({ code: 'otherGround' });

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
    groundGuideKmh: family.speedGuide ? (ground.speedGuideKmh?.high ?? null) : null,
    upToKmh: leastAllowedKmh(axles),
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
      // On fields the guide is no limit: tire, data sheet and machine are.
      groundGuideKmh: isLike(ground, 'field') ? null : (ground.speedGuideKmh?.high ?? null),
      axles: axles.map((plan, index) => ({ plan, axle: input.axles[index]! })),
    }),
  });
}

/** Speed on the road where nobody said one, for a ratio of loads, km/h. Assumption. */
const ROAD_KMH = 40;

/** What schools and limits look at on each axle. */
export function contextsOf(input: PlanInput): DayContext<ModifierCode>[] {
  const family = familyOf(input.family);
  const ground = groundOf(input.ground);
  const heaviestWheelKg = Math.max(...input.axles.map(heavierKg));
  const totalKg = input.axles.reduce(
    (sum, { wheels, leftLoadKg, rightLoadKg }) => sum + ((leftLoadKg + rightLoadKg) / 2) * wheels,
    0,
  );
  const onRoad = ground.paved === true;
  return input.axles.map((given) => {
    const axle = withCurve(given, family, input);
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
    const print = {
      ...(axle.own && { contactFactor: axle.own.contact.factor, widthFactor: axle.own.width.factor }),
      ...(tread !== null && { widthFactor: tread }),
    };
    const bare = { tire: axle.tire, ...(axle.widthMm !== null && { widthMm: axle.widthMm }), ...print };
    const carcass = carcassFactor(axle.loadRange);
    return {
      family,
      ground,
      axle,
      unweighed: input.unweighed === true,
      sheetKpa: given.curve?.from === 'rows' ? sheetPressuresKpa(given.curve)[0]! : null,
      build: {
        ...bare,
        carcass: carcass * settled(axle.own?.carcass),
        ...(axle.own && { dropFactor: settled(axle.own.drop) }),
      },
      printBuild: {
        ...bare,
        carcass: carcass * (axle.own?.carcass.factor ?? 1),
        ...(axle.own && { dropFactor: axle.own.drop.factor }),
      },
      wheelLoadKg: heavierKg(axle),
      heaviestWheelKg,
      totalKg,
      modifiers,
      shiftPsi: eachEnd((end) => (steps?.[end] ?? 0) + sum(all, end)),
      groundShiftPsi: eachEnd((end) => steps?.[end] ?? 0),
      narrowShiftPsi: eachEnd((end) => (onNarrow?.[end] ?? 0) + sum(narrow, end)),
      highTorque: all.some(({ highTorque }) => highTorque),
      speedKmh: input.speedKmh ?? guideOfDay(ground, modifiers)?.high ?? (onRoad ? input.roadSpeedKmh : null),
      roadSpeedKmh: input.roadSpeedKmh,
      riderKg: input.riderKg,
      ownFloorKpa: input.ownFloorKpa,
      stuck: ground.deliberate === true && input.stuckAccepted,
    };
  });
}

/** What a test found of a tire, where it found anything: an interval that holds "no change" moves no number. */
const settled = (own: OwnFactor | undefined): number =>
  own === undefined || (own.low <= 1 && own.high >= 1) ? 1 : own.factor;

/** The ground's guide, slower on a day that wants it so. */
function guideOfDay(ground: Ground, modifiers: readonly ModifierCode[]): Ground['speedGuideKmh'] {
  const share = modifiers.reduce((product, code) => product * (modifierOf(code).speedShare ?? 1), 1);
  const guide = ground.speedGuideKmh;
  return guide && { low: guide.low * share, high: guide.high * share };
}

/**
 * A farm axle of whose tire nothing was read goes by what it is driven with on the road. So does one that nobody weighed: a
 * rating says nothing without a load, and a ratio takes the load out again.
 */
function withCurve(axle: PlanAxle, { kind }: Family, { roadSpeedKmh, unweighed }: PlanInput): PlanAxle {
  if (kind !== 'farm' || (axle.curve && !unweighed)) return axle;
  if (axle.roadKpa === null) return unweighed ? { ...axle, curve: null } : axle;
  const roadLoadKg = (unweighed ? undefined : axle.roadLoadKg) ?? heavierKg(axle);
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
  readonly context: DayContext<ModifierCode>;
  readonly floor: BindingFloor;
  readonly ceiling: BindingCeiling | null;
  /** What the number stays below unless the floor forbids it, kPa; infinite where there is no such. */
  readonly softKpa: number;
}

/** How low and how high an axle may go; contradictions are reported, not averaged away. */
function limitsOf(context: AxleContext): Result<Omit<LimitedAxle, 'context'>, PlanProblem> {
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
  const mostKg = context.unweighed ? null : ratedMostKg(context);
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
  const softKpa = softCeilingKpa(context, floor.pressureKpa) ?? Number.POSITIVE_INFINITY;
  return success({ floor, ceiling, softKpa });
}

/** The schools that can be asked: unweighed, those that need no load. */
const schoolsOf = ({ family, unweighed }: AxleContext): readonly SchoolCode[] =>
  schoolsFor(family).filter((code) => !unweighed || schoolOf(code).withoutLoad);

/** The school that is held, else the first that can answer on every axle; none where the placard rules. */
function chooseSchool(
  { school: held }: PlanInput,
  limited: readonly LimitedAxle[],
): Result<Pick<GroundPlan, 'school' | 'silentSchool'>, PlanProblem> {
  const [{ context }] = limited as [LimitedAxle];
  if (placardRules(context)) return success({ school: null, silentSchool: null });
  const own = schoolsOf(context);
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
  // A family that begins with another school where it can answer is no person's choice.
  const chosen = first === held || first !== context.family.firstSchool;
  return success({
    school: answering,
    silentSchool: silent === null || !chosen ? null : { code: first, needs: silent },
  });
}

/** A bicycle's front lies no further below its rear than this, but for road kinds, kPa. Common practice, no source. */
const MOST_GAP_KPA = psi(5);

/** What a bicycle's rear leaves to its front, kPa: the most that it may have, and the least. */
interface Behind {
  readonly most: Readonly<Record<Figure, number>>;
  readonly least: Readonly<Record<Figure, number>>;
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
  const rear = planAxle(last, school, provedOf(last));
  if (!rear.ok) return rear;
  const axles: AxlePlan[] = [];
  for (const axle of limited.slice(0, -1)) {
    const planned = planAxle(axle, school, provedOf(axle), behindOf(axle.context, rear.value));
    if (!planned.ok) return planned;
    axles.push(planned.value.plan);
  }
  return success([...axles, rear.value.plan]);
}

/** By the rule for the rear, so that what was proved behind moves nothing in front. Null for what is no bicycle. */
function behindOf(context: AxleContext, { plan, ruleWindow }: PlannedAxle): Behind | null {
  if (context.family.kind !== 'bicycle') return null;
  const share = frontShareOf(context);
  if (share === null) return null;
  // At walking pace, for one attempt, the gap is no matter.
  const anyGap = context.family.posture === 'road' || context.ground.deliberate === true;
  const gapKpa = anyGap ? Number.POSITIVE_INFINITY : MOST_GAP_KPA;
  const rear = { start: plan.ruleKpa, low: ruleWindow.lowKpa, high: ruleWindow.highKpa };
  const each = (of: (kpa: number) => number) => ({ start: of(rear.start), low: of(rear.low), high: of(rear.high) });
  return { most: each((kpa) => share * kpa), least: each((kpa) => kpa - gapKpa) };
}

/** A planned axle, with the window that the school alone comes to. */
interface PlannedAxle {
  readonly plan: AxlePlan;
  readonly ruleWindow: AxlePlan['window'];
}

/** The most that an axle may have, kPa, where the floor allows it. */
const mostKpa = ({ ceiling, softKpa }: LimitedAxle, behind: Behind | null, end: Figure): number =>
  Math.min(ceiling?.pressureKpa ?? Number.POSITIVE_INFINITY, softKpa, behind?.most[end] ?? Number.POSITIVE_INFINITY);

/** A number of an axle between its limits, kPa. What is behind gives way to the floor; a ceiling was held against it before. */
function heldKpa(limited: LimitedAxle, behind: Behind | null, kpa: number, end: Figure): number {
  const raised = behind === null ? kpa : Math.max(kpa, behind.least[end]);
  return Math.max(Math.min(raised, mostKpa(limited, behind, end)), limited.floor.pressureKpa);
}

/** Which limit moved a number of an axle. */
function clampOf(limited: LimitedAxle, behind: Behind | null, kpa: number, end: Figure): ClampCode {
  const { floor, ceiling, softKpa } = limited;
  const raised = behind === null ? kpa : Math.max(kpa, behind.least[end]);
  const most = mostKpa(limited, behind, end);
  if (Math.min(raised, most) < floor.pressureKpa) return floor.code;
  if (raised <= most) return raised > kpa ? 'rearGap' : null;
  if (most === ceiling?.pressureKpa) return ceiling.code;
  return most === softKpa ? 'belowRoad' : 'rear';
}

/** Every school side by side, each as it is by itself: only the default's front gives way to its rear. */
function schoolPlans(limited: LimitedAxle, startEnd: Figure, behind: Behind | null): SchoolPlan[] {
  const { context } = limited;
  return schoolsOf(context).map((code): SchoolPlan => {
    const school = schoolOf(code);
    const targetKpa = school.targetKpa(context, startEnd);
    if (typeof targetKpa === 'string') return { code, ok: false, needs: targetKpa };
    const yields = school.frontYields ? behind : null;
    return {
      code,
      ok: true,
      targetKpa,
      startKpa: heldKpa(limited, yields, targetKpa, startEnd),
      clampedBy: clampOf(limited, yields, targetKpa, startEnd),
    };
  });
}

/** Which limit moves what was proved. */
function provedClamp(
  { floor, ceiling, softKpa }: LimitedAxle,
  provedKpa: number,
): { readonly startKpa: number; readonly clampedBy: ClampCode } {
  const hardKpa = ceiling?.pressureKpa ?? Number.POSITIVE_INFINITY;
  const startKpa = Math.max(Math.min(provedKpa, hardKpa, softKpa), floor.pressureKpa);
  if (startKpa === provedKpa) return { startKpa, clampedBy: null };
  if (startKpa > provedKpa) return { startKpa, clampedBy: floor.code };
  return { startKpa, clampedBy: startKpa === hardKpa ? ceiling!.code : 'belowRoad' };
}

/** @param behind what the wheel behind leaves to this one */
function planAxle(
  limited: LimitedAxle,
  school: SchoolCode | null,
  provedKpa: number | null,
  behind: Behind | null = null,
): Result<PlannedAxle, PlanProblem> {
  const { context, floor, ceiling, softKpa } = limited;
  const { axle, printBuild, wheelLoadKg, modifiers } = context;
  const startEnd: Figure = modifiers.map((code) => modifierOf(code).startAt).find(Boolean) ?? 'start';
  const yields = school !== null && schoolOf(school).frontYields ? behind : null;
  const schools = school === null ? [] : schoolPlans(limited, startEnd, behind);
  const held = schools.find(({ code }) => code === school);
  const targetKpa = held?.ok ? held.targetKpa : null;
  const ruleKpa = held?.ok ? held.startKpa : axle.roadKpa!;
  const start =
    provedKpa === null
      ? { startKpa: ruleKpa, clampedBy: held?.ok ? held.clampedBy : null }
      : provedClamp(limited, provedKpa);
  const { startKpa, clampedBy } = start;
  // A school that has a start may have no answer for an end of the window: then the window ends at the start.
  const wantedAt = (end: Figure): number => {
    const wanted = school === null ? null : schoolOf(school).targetKpa(context, end);
    return typeof wanted === 'number' ? wanted : (targetKpa ?? startKpa);
  };
  const edge = (end: Figure): number =>
    school === null ? axle.roadKpa! : heldKpa(limited, yields, wantedAt(end), end);
  const highKpa = edge('high');
  // Where the start was cut from above, the low end keeps its distance: there is still a way down to try.
  const lowKpa =
    targetKpa !== null && ruleKpa < targetKpa
      ? Math.min(edge('low'), heldKpa(limited, yields, (wantedAt('low') * ruleKpa) / targetKpa, 'low'))
      : edge('low');
  const roadKpa = axle.roadKpa ?? (context.unweighed ? null : needsOnRoadKpa(context));
  const atRoad = roadKpa === null ? null : (contactPatch(printBuild, wheelLoadKg, roadKpa) ?? null);
  const at = axleAt(context, atRoad, startKpa);
  if (!at) return failure({ code: 'liesFlat', position: axle.position, wheelLoadKg, pressureKpa: startKpa });
  const figures = figuresFor(context.ground, context.family.kind, wheelOf(axle));
  const windowStep = (code: 'windowLow' | 'windowHigh', value: number): WorkingStep => ({
    code,
    inputs: {},
    result: { name: code === 'windowLow' ? 'windowLowKpa' : 'windowHighKpa', value },
    source: (code === 'windowLow' ? figures?.lowSource : undefined) ?? figures?.source ?? schoolOf(school!).source,
  });
  const window = { lowKpa: Math.min(lowKpa, startKpa), highKpa: Math.max(highKpa, startKpa) };
  const plan: AxlePlan = {
    position: axle.position,
    wheelLoadKg,
    roadKpa,
    startKpa,
    ruleKpa,
    provedKpa,
    window,
    floor,
    ceiling,
    targetKpa,
    clampedBy,
    schools,
    modifiers,
    atRoad,
    atStart: at.atStart,
    carriesKg: at.carriesKg,
    clearanceLostMm: at.clearanceLostMm,
    allowsKmh: at.allowsKmh,
    remarks: remarksOf(context, {
      startKpa,
      clampedBy,
      window,
      roadKpa,
      atStart: at.atStart,
      atRoad,
      floor,
      school,
      schools,
    }),
    own: axle.own ?? null,
    working: [
      ...workingOfLoadAndTire(context),
      ...(school === null || targetKpa === null ? [] : schoolOf(school).trace(context, startEnd, targetKpa)),
      ...workingOfLimits(context, floor, ceiling, softKpa),
      workingOfStart(targetKpa, ruleKpa, floor, ceiling, Math.min(softKpa, yields?.most[startEnd] ?? softKpa)),
      ...(provedKpa === null ? [] : [workingOfProved(provedKpa, startKpa, floor, ceiling)]),
      ...(school === null ? [] : [windowStep('windowLow', lowKpa), windowStep('windowHigh', highKpa)]),
      ...workingOfContact(printBuild, wheelLoadKg, at.atStart, axle.own),
    ],
  };
  return success({
    plan,
    ruleWindow: { lowKpa: Math.min(lowKpa, ruleKpa), highKpa: Math.max(highKpa, ruleKpa) },
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

/** A speed found by halving must not lose a step for its last place, km/h. */
const SPEED_ROUNDING = 0.05;

/**
 * How fast here: what is needed, else the ground's guide on such a day; never more than what the pressures allow. What is
 * needed is what everything else was worked out for, so nothing else stands beside it.
 */
function speedGuide(
  family: Family,
  ground: Ground,
  { speedKmh }: PlanInput,
  axles: readonly AxlePlan[],
): GroundPlan['speedGuideKmh'] {
  if (!family.speedGuide || !ground.speedGuideKmh) return null;
  if (speedKmh !== null) return { low: speedKmh, high: speedKmh };
  const counted = [...new Set(axles.flatMap((axle) => axle.modifiers))];
  const guide = guideOfDay(ground, counted)!;
  const allowed = axles.flatMap(({ allowsKmh: kmh }) => (kmh === null ? [] : [kmh]));
  const slower = (kmh: number): number => Math.min(kmh, ...allowed.filter((most) => most < kmh - SPEED_ROUNDING));
  const tidy = (kmh: number, own: number): number => (kmh === own ? kmh : Math.max(5, Math.floor(kmh / 5) * 5));
  return {
    low: tidy(slower(guide.low), ground.speedGuideKmh.low),
    high: tidy(slower(guide.high), ground.speedGuideKmh.high),
  };
}
