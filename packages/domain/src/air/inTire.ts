import { readKpa, type AiringRow, type OutingRow, type ReadingRoundRow, type RigRow } from '@dunlinmoss/contract';
import { coldKpa, coldOfWarmKpa, compareTexts, correctedKpa, sameWheel, type WheelRef } from '@dunlinmoss/core';

/** How what is in a wheel is known. */
export type Knowledge =
  /** A gauge showed it, cold. */
  | 'read'
  /** A gauge showed it just after driving, and nobody measured how warm it was: it may be less. */
  | 'readWarm'
  /** Somebody said that it was set. */
  | 'set'
  /** The valve was opened, and nobody read it since. */
  | 'letOut'
  /** Nobody ever read it: it is taken to be at road pressure. */
  | 'assumed';

/** What is in a wheel, cold, and how that is known. */
export interface InTire extends WheelRef {
  /** The best that is known; where it was let out and not read, what it was let out to. */
  readonly coldKpa: number;
  readonly known: Knowledge;
  /** From which row: an airing, a round of readings, an outing, or the rig itself. */
  readonly from: 'airing' | 'reading' | 'outing' | 'rig';
  /** Null where nobody wrote down when. */
  readonly at: string | null;
  /** Below its road pressure as far as is known, or let down and not read at road pressure since. */
  readonly low: boolean;
}

/** Everything that was ever done with a rig's air, in any order. */
export interface AirHistory {
  readonly rig: RigRow;
  readonly airings: readonly AiringRow[];
  readonly rounds: readonly ReadingRoundRow[];
  readonly outings: readonly OutingRow[];
}

/** Of all that is kept, what belongs to a rig: everything is looked through once, however many rigs there are. */
export function historiesOf({ airings, rounds, outings }: Omit<AirHistory, 'rig'>): (rig: RigRow) => AirHistory {
  const [airingsOf, roundsOf, outingsOf] = [byRig(airings), byRig(rounds), byRig(outings)];
  return (rig) => ({ rig, airings: airingsOf(rig), rounds: roundsOf(rig), outings: outingsOf(rig) });
}

function byRig<Row extends { readonly rigId: string }>(rows: readonly Row[]): (rig: RigRow) => readonly Row[] {
  const all = new Map<string, Row[]>();
  for (const row of rows) {
    const own = all.get(row.rigId);
    if (own) own.push(row);
    else all.set(row.rigId, [row]);
  }
  return ({ id }) => all.get(id) ?? [];
}

/** At which cold pressures are meant where nobody measured the air, °C. Assumption. */
const MILD_C = 20;

/** This far below road pressure is below it, kPa: half a psi. Assumption. */
const LOW_BY_KPA = 3.45;

interface Event {
  readonly at: string;
  readonly known: Knowledge;
  readonly coldKpa: number;
  readonly from: 'airing' | 'reading' | 'outing';
}

/** What an airing tells of a wheel: what was read after it, or that it was opened and not read since. */
function eventsOfAiring({ runs, wheels, way, gauge, justDriven, ...air }: AiringRow, place: WheelRef): Event[] {
  const offsetKpa = gauge?.offsetKpa ?? 0;
  const cold = (shownKpa: number): number =>
    justDriven
      ? coldOfWarmKpa(correctedKpa(shownKpa, offsetKpa), air.coldTempC, air.altitudeM)
      : coldKpa(correctedKpa(shownKpa, offsetKpa), air);
  return runs
    .filter((run) => sameWheel(run, place))
    .flatMap(({ startedAt, endedAt, beforeKpa, afterKpa }): Event[] => {
      if (afterKpa !== null) {
        const known = justDriven ? 'readWarm' : 'read';
        return [{ at: endedAt ?? startedAt, known, coldKpa: cold(afterKpa), from: 'airing' }];
      }
      // Air that went in and was not read tells nothing: what stood there before still stands.
      if (way === 'in') return [];
      // What stands in "before" may be what was expected, so that it is no reading; it is let out to the target or less.
      const target = wheels.find((wheel) => sameWheel(wheel, place))?.coldKpa ?? Number.POSITIVE_INFINITY;
      return [{ at: startedAt, known: 'letOut', coldKpa: Math.min(cold(beforeKpa), target), from: 'airing' }];
    });
}

function eventOfRound(round: ReadingRoundRow, place: WheelRef): Event[] {
  const { wheels, gauge, airTempC, tireTempC, altitudeM, justDriven, readAt } = round;
  const read = wheels.find((wheel) => sameWheel(wheel, place));
  if (!read) return [];
  const coldTempC = airTempC ?? MILD_C;
  const shownKpa = correctedKpa(read.shownKpa, gauge?.offsetKpa ?? 0);
  // How warm it is was not measured: what it has cold errs low.
  if (justDriven && tireTempC === null) {
    const cold = coldOfWarmKpa(shownKpa, coldTempC, altitudeM);
    return [{ at: readAt, known: 'readWarm', coldKpa: cold, from: 'reading' }];
  }
  const cold = coldKpa(shownKpa, { coldTempC, tireTempC: tireTempC ?? coldTempC, altitudeM });
  return [{ at: readAt, known: 'read', coldKpa: cold, from: 'reading' }];
}

function eventOfOuting({ state, pressures, pressuresAt, startedAt }: OutingRow, place: WheelRef): Event[] {
  // A plan is nothing that was done.
  if (state === 'planned') return [];
  const set = pressures.find(({ position }) => position === place.position);
  return set ? [{ at: pressuresAt ?? startedAt, known: 'set', coldKpa: set.pressureKpa, from: 'outing' }] : [];
}

/** Where two say something of the same moment, what was read tells more than what was said. */
const WEIGHT: Record<Knowledge, number> = { assumed: 0, set: 1, letOut: 2, readWarm: 3, read: 4 };

/**
 * What is in a wheel, from all that is known of its rig, whatever outing is open: read, set, let out, or only assumed. A
 * wheel that was let down is low until a cold reading shows road pressure, and nothing else ends that: no closed outing, no
 * warm reading, nothing said. Undefined where nothing at all is known.
 */
export const inTire = (history: AirHistory, place: WheelRef): InTire | undefined => courseOf(history, place).at(-1);

/**
 * The cold pressure that a wheel was last set to, kPa: what a later reading is held against, to tell a leak from air that
 * was let out. Readings between set nothing. Its road pressure where nothing was ever set; undefined without one.
 */
export function lastSetKpa(history: AirHistory, place: WheelRef): number | undefined {
  const set = courseOf(history, place).findLast(({ from }) => from === 'airing' || from === 'outing');
  const axle = history.rig.axles.find(({ position }) => position === place.position);
  return set?.coldKpa ?? (axle?.roadKpa || undefined);
}

/** What was in a wheel over time, the earliest first: each stands until the next. */
export function courseOf({ rig, airings, rounds, outings }: AirHistory, place: WheelRef): readonly InTire[] {
  const axle = rig.axles.find(({ position }) => position === place.position);
  const roadKpa = axle?.roadKpa || null;
  const isBelow = (kpa: number): boolean => roadKpa !== null && kpa < roadKpa - LOW_BY_KPA;
  const events = [
    ...airings.flatMap((airing) => eventsOfAiring(airing, place)),
    ...rounds.flatMap((round) => eventOfRound(round, place)),
    ...outings.flatMap((outing) => eventOfOuting(outing, place)),
  ].sort((a, b) => compareTexts(a.at, b.at) || WEIGHT[a.known] - WEIGHT[b.known]);

  const where = { position: place.position, wheel: place.wheel };
  const course: InTire[] = [];
  if (axle?.present) {
    const presentKpa = readKpa(axle.present);
    course.push({ ...where, coldKpa: presentKpa, known: 'read', from: 'rig', at: null, low: isBelow(presentKpa) });
  } else if (roadKpa !== null) {
    course.push({ ...where, coldKpa: roadKpa, known: 'assumed', from: 'rig', at: null, low: false });
  }
  for (const { at, known, coldKpa: kpa, from } of events) {
    const below = isBelow(kpa);
    const low = known === 'read' ? below : below || known === 'letOut' || (course.at(-1)?.low ?? false);
    course.push({ ...where, coldKpa: kpa, known, from, at, low });
  }
  return course;
}
