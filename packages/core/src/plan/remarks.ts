import { speedFactor } from '../capacity/speedFactor';
import { contactPatch, type ContactPatch } from '../contact/contactPatch';
import { isBicycleTire } from '../contact/deflection';
import type { Ground } from '../grounds/ground';
import { GROUNDS } from '../grounds/registry';
import type { BindingFloor } from '../limits/floors';
import { carryingConditions, curveNeedKpa } from '../limits/loadAtSpeed';
import { needOfCurve } from '../schools/loadSpeedTable';
import { schoolOf, type SchoolCode } from '../schools/registry';
import { psi } from '../units/units';
import type { AxleContext } from '../axle/axleContext';
import type { ClampCode, Remark, SchoolPlan } from './plan';

/** What a plan has come to on an axle. */
interface Come {
  readonly startKpa: number;
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
export const remarksOf = (context: AxleContext, come: Come): Remark[] =>
  [bendUnlikely, roadTooLow, ratingUnread, groundsOnFloor, schoolsApart, gainsLess].flatMap(
    (remark) => remark(context, come) ?? [],
  );

type MakesRemark = (context: AxleContext, come: Come) => Remark | null;

/** The plan's bend over its speed factor is what the tire would show at its rating. */
const bendUnlikely: MakesRemark = (context, { atStart }) => {
  const { tire } = context.build;
  if (tire.use !== 'farm') return null;
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

const ratingUnread: MakesRemark = ({ axle }) =>
  axle.curve?.from === 'road' ? { code: 'ratingUnread', needs: needOfCurve(axle) } : null;

/** Only the bead and one's own floor are the same on every ground. */
const groundsOnFloor: MakesRemark = (context, { school, clampedBy, floor }) => {
  if (school === null || (clampedBy !== 'bead' && clampedBy !== 'own')) return null;
  const { targetKpa } = schoolOf(school);
  const grounds = (GROUNDS as readonly Ground[]).filter((ground) => {
    if (!ground.onReferenceRig || ground.deliberate || !ground.kinds.includes(context.family.kind)) return false;
    const wanted = targetKpa({ ...context, ground }, 'start');
    return typeof wanted === 'number' && wanted <= floor.pressureKpa;
  });
  return grounds.length > 1
    ? { code: 'groundsOnFloor', floor: floor.code, grounds: grounds.map(({ code }) => code as never) }
    : null;
};

const schoolsApart: MakesRemark = (_, { schools, startKpa }) => {
  const counted = schools.flatMap((each) => (each.ok && schoolOf(each.code).counted !== false ? [each] : []));
  if (counted.length < 2) return null;
  const softest = counted.reduce((a, b) => (b.startKpa < a.startKpa ? b : a));
  const firmest = counted.reduce((a, b) => (b.startKpa > a.startKpa ? b : a));
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
