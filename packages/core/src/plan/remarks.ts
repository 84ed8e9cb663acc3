import { speedFactor } from '../capacity/speedFactor';
import { contactPatch, type ContactPatch } from '../contact/contactPatch';
import { isBicycleTire } from '../contact/deflection';
import { canBog, chanceOfBogging } from '../grounds/bogging';
import { isLike, type Ground } from '../grounds/ground';
import { GROUNDS, meets } from '../grounds/registry';
import type { BindingFloor } from '../limits/floors';
import { carryingConditions, curveNeedKpa } from '../limits/loadAtSpeed';
import { pressureForSpeedKpa, speedForPressureKmh } from '../limits/speedAtPressure';
import { BELOW_ROAD_KMH, WALKING_KMH } from '../limits/speedPairs';
import { farFromAir } from '../modifiers/farFromAir';
import { needOfCurve } from '../schools/loadSpeedTable';
import { schoolOf, type SchoolCode } from '../schools/registry';
import { psi } from '../units/units';
import type { DayContext } from '../axle/axleContext';
import type { AxlePlan, ClampCode, Remark, SchoolPlan } from './plan';

/** What a plan has come to on an axle. */
interface Come {
  readonly startKpa: number;
  readonly window: AxlePlan['window'];
  readonly roadKpa: number | null;
  readonly atStart: ContactPatch;
  readonly atRoad: ContactPatch | null;
  readonly clampedBy: ClampCode;
  readonly floor: BindingFloor;
  readonly school: SchoolCode | null;
  readonly schools: readonly SchoolPlan[];
}

/** Schools that differ by more than this share of the number are remarked. Assumption. */
const APART_SHARE = 0.5;
/** The most that a farm tire bends at its rating, as a share of the section height, with some in hand. Assumption. */
const MOST_BEND = { standard: 0.28, IF: 0.3, VF: 0.33 } as const;
/** Less of a gain than this is not worth a word. Assumption. */
const WORTH_SAYING = 0.1;
/** What no gauge shows, kPa. */
const DUST_KPA = psi(0.1);

/** What belongs beside the number of an axle, the most pressing first. */
export function remarksOf(context: DayContext, come: Come): Remark[] {
  const remarks: Remark[] = [];
  for (const make of REMARKS) {
    const remark = make(context, come);
    if (remark !== null) remarks.push(remark);
  }
  return remarks;
}

type MakesRemark = (context: DayContext, come: Come) => Remark | null;

/** The plan's bend over its speed factor is what the tire would show at its rating. */
const bendUnlikely: MakesRemark = (context, { atStart }) => {
  const { tire } = context.build;
  if (tire.use !== 'farm' || context.unweighed) return null;
  const { speedKmh, highTorque, rolling } = carryingConditions(context);
  const factor = speedFactor(tire, speedKmh, { highTorque, rolling })?.factor ?? 1;
  const mostShare = MOST_BEND[tire.flexion ?? 'standard'];
  const deflectionShare = atStart.deflectionShare / Math.max(1, factor);
  return deflectionShare > mostShare ? { code: 'bendUnlikely', deflectionShare, mostShare } : null;
};

const roadTooLow: MakesRemark = (context) => {
  const { family, ground, axle, speedKmh } = context;
  if (family.kind !== 'farm' || ground.paved !== true || axle.roadKpa === null) return null;
  const neededKpa = curveNeedKpa(context, speedKmh);
  return neededKpa !== null && neededKpa > axle.roadKpa + DUST_KPA
    ? { code: 'roadTooLow', roadKpa: axle.roadKpa, neededKpa }
    : null;
};

/** On pavement before the next air, km/h. Assumption: what a person would like to drive there. */
const TO_AIR_KMH = 60;
const USUAL_SOFTNESS = { shift: 0, sureness: 'usual' } as const;

/** The number stays the ground's; what follows on the way to the next air is said with it. */
const noAirNear: MakesRemark = (context, { startKpa }) => {
  if (!context.modifiers.includes(farFromAir.code) || context.ground.paved) return null;
  const homeKmh = speedForPressureKmh(context, startKpa, true) ?? BELOW_ROAD_KMH;
  const needKpa = homeKmh >= TO_AIR_KMH ? null : pressureForSpeedKpa(context, TO_AIR_KMH, true);
  const raisedKpa = needKpa !== null && needKpa > startKpa ? needKpa : null;
  return {
    code: 'noAirNear',
    homeKmh,
    raisedKpa,
    raisedForKmh: TO_AIR_KMH,
    bogChance:
      raisedKpa === null || !canBog(context.ground) ? null : chanceOfBogging(raisedKpa / startKpa, 0, USUAL_SOFTNESS),
  };
};

/** Floors that a model of load and speed comes to: people who crawl go lower, and the tire bears it for a while. */
const BY_SPEED: ReadonlySet<ClampCode> = new Set(['heatAndSpeed', 'loadAtSpeed', 'handling']);

/** Where the number stands on such a floor and the schools would go lower, what they come to; never below the bead's floor. */
const practiceLower: MakesRemark = (context, { clampedBy, floor, schools, startKpa }) => {
  if (context.family.kind !== 'car' || !BY_SPEED.has(clampedBy)) return null;
  const beadKpa = floor.all.find(({ code }) => code === 'bead')?.pressureKpa ?? 0;
  const lower = schools.flatMap((each) =>
    each.ok && schoolOf(each.code).counted !== false && each.targetKpa < startKpa - DUST_KPA
      ? [Math.max(each.targetKpa, beadKpa)]
      : [],
  );
  if (lower.length === 0) return null;
  return {
    code: 'practiceLower',
    lowKpa: Math.min(...lower),
    highKpa: Math.max(...lower),
    floor: floor.code,
    speedKmh: WALKING_KMH,
  };
};

/** On corrugations the low end of the window is what many run. */
const softerOnCorrugations: MakesRemark = (context, { window, startKpa }) => {
  if (context.family.kind !== 'car' || !isLike(context.ground, 'corrugated')) return null;
  if (window.lowKpa > startKpa - DUST_KPA) return null;
  return {
    code: 'softerOnCorrugations',
    lowKpa: window.lowKpa,
    highKpa: startKpa,
    speedKmh: speedForPressureKmh(context, window.lowKpa, false),
  };
};

const ratingUnread: MakesRemark = ({ axle, unweighed, wheelLoadKg }) =>
  !unweighed && axle.curve?.from === 'road'
    ? { code: 'ratingUnread', needs: needOfCurve(axle), roadLoadKg: axle.roadLoadKg ?? wheelLoadKg }
    : null;

/** Only the bead and one's own floor are the same on every ground. */
const groundsOnFloor: MakesRemark = (context, { school, clampedBy, floor }) => {
  if (school === null || (clampedBy !== 'bead' && clampedBy !== 'own')) return null;
  const { targetKpa } = schoolOf(school);
  const grounds = (GROUNDS as readonly Ground[]).filter((ground) => {
    if (!ground.onReferenceRig || ground.deliberate || !meets(ground, context.family)) return false;
    const wanted = targetKpa({ ...context, ground }, 'start');
    return typeof wanted === 'number' && wanted <= floor.pressureKpa;
  });
  return grounds.length > 1
    ? { code: 'groundsOnFloor', floor: floor.code, grounds: grounds.map(({ code }) => code as never) }
    : null;
};

type ReachedSchool = Extract<SchoolPlan, { ok: true }>;

const schoolsApart: MakesRemark = (_, { schools, startKpa }) => {
  let [softest, firmest]: ReachedSchool[] = [];
  for (const each of schools) {
    if (!each.ok || schoolOf(each.code).counted === false) continue;
    if (softest === undefined || each.startKpa < softest.startKpa) softest = each;
    if (firmest === undefined || each.startKpa > firmest.startKpa) firmest = each;
  }
  if (softest === undefined || firmest === undefined) return null;
  if (firmest.startKpa - softest.startKpa <= APART_SHARE * startKpa) return null;
  return {
    code: 'schoolsApart',
    softest: softest.code,
    softestKpa: softest.startKpa,
    firmest: firmest.code,
    firmestKpa: firmest.startKpa,
  };
};

/** How much less the footprint grows than on the same tire with a standard carcass. */
const gainsLess: MakesRemark = ({ build, wheelLoadKg }, { atStart, atRoad }) => {
  if (isBicycleTire(build) || build.carcass <= 1 || !atRoad || atStart.pressureKpa >= atRoad.pressureKpa) return null;
  const standard = { ...build, carcass: 1 };
  const [soft, firm] = [atStart, atRoad].map(({ pressureKpa }) => contactPatch(standard, wheelLoadKg, pressureKpa));
  if (!soft || !firm) return null;
  const lessShare = 1 - (atStart.lengthMm - atRoad.lengthMm) / (soft.lengthMm - firm.lengthMm);
  return lessShare > WORTH_SAYING ? { code: 'gainsLess', lessShare } : null;
};

/** The most pressing first. */
const REMARKS: readonly MakesRemark[] = [
  noAirNear,
  bendUnlikely,
  roadTooLow,
  ratingUnread,
  practiceLower,
  softerOnCorrugations,
  groundsOnFloor,
  schoolsApart,
  gainsLess,
];
