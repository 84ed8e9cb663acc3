import { compactionResistanceKn, rigidSinkageM, sinkageM, thrustKn } from '../soil/wheelOnSoil';
import { STANDARD_GRAVITY } from '../units/units';
import { standingOf, type DrivenRig, type Standing } from './drivenRig';
import { digsLike, type Way } from './lie';

/*
 * A machine driven over ground that gives way, in fixed steps: the same start on the same ground ends the same way.
 *
 * The book's formulas say what a rolling wheel sinks, costs and pushes (`soil/wheelOnSoil`). What they leave out is ours
 * and assumed: what a second wheel finds in a rut, and how a wheel that spins digs itself down. Set so that the trade's
 * points hold on the reference wagon (checks/rehearsal.test.ts). It tells which of two ways is better; it tells no slope.
 */

const STEP_S = 0.02;
/** A frame to be drawn for so many steps. */
const STEPS_A_FRAME = 4;
export const FRAME_S = STEP_S * STEPS_A_FRAME;

/** Of what it took to press a rut down, the next wheel in it still has to find so much. Assumption. */
const RUT_LEFT = 0.4;
/** A meter of spinning digs so deep at 100 kPa on the ground, m. Assumption. */
const DIGS_M = 0.04;
/** Any wheel on any ground, of its load. Assumption. */
const ROLLING = 0.02;
/** A wheel on a firm track, of its load: what it can push with, and the slip at which it does. Assumption. */
const FIRM = { grip: 0.7, slip: 0.06 };
/** What stands on the belly is dragged along by so much of its weight; so much lower it carries all it ever takes, and that is so much of the machine. Assumptions. */
const BELLY = { drag: 0.6, fullM: 0.08, most: 0.7 };
/** How fast wheels are brought up to speed, and how hard it is braked, m/s². Assumptions. */
const SPINS_UP = 2.5;
const BRAKES = 3;
/** Slower it stands, m/s. */
const STANDS_MS = 0.03;
/** Slip of a wheel that hardly turns yet is told against this, m/s: from a standstill it takes hold before it spins. */
const CREEP_MS = 0.4;
/** Wheels spin where more than this share of their way is lost. */
const SPINNING = 0.5;
/** Noticed after so long, s. Assumption. */
const NOTICED_S = 0.4;
/** Whoever keeps a foot down gives up after so long on one spot, s. Assumption. */
const GIVES_UP_S = 3;
/** No drive of these is longer, s. */
const LONGEST_S = 90;
/** How finely ruts are kept, m, and how far before the way they may begin. */
const CELL_M = 0.1;
const BEFORE_M = 30;

/** A meter of spinning on the bottom of a layer takes so much of the push away, up to so much: snow turns to ice. Assumptions. */
const POLISHES = { perM: 0.12, most: 0.5 };

/** How it is driven: wheels turn so fast, m/s, with at most so much push, of its weight. Assumptions. */
export const PACES = {
  /** Lowest gear, engine at idle. */
  idle: { wheelMs: 1.3, push: 0.6 },
  /** A walking start, a foot on it. */
  steady: { wheelMs: 3, push: 0.7 },
  /** As fast as the ground before lets it come. */
  runUp: { wheelMs: 8.3, push: 0.45 },
} as const;
export type Pace = keyof typeof PACES;

/** How a machine stands in its drive. Handed on, never changed. */
export interface DriveState {
  readonly timeS: number;
  /** Of the first axle, along the way. */
  readonly atM: number;
  readonly speedMs: number;
  readonly wheelMs: number;
  /** How far each axle has dug itself down beyond what it would sink rolling, m. */
  readonly dugM: readonly number[];
  /** Of what each axle could push with, lost on what it polished: a layer that it spun through to its bottom. */
  readonly slick: readonly number[];
  /** How deep the ground is pressed, by cells of the way: on drives before, then by each axle of this one. */
  readonly rutsM: readonly (readonly number[])[];
  readonly spunS: number;
  readonly aground: boolean;
}

/** One picture of it. */
export interface Frame {
  readonly timeS: number;
  readonly atM: number;
  readonly speedMs: number;
  readonly wheelMs: number;
  /** Of each axle, below the untouched ground, m. */
  readonly sunkM: readonly number[];
}

/** How a drive ended. */
export type DriveEnd =
  /** All of it is past the end. */
  | 'through'
  /** The wheels turn faster than it goes. */
  | 'spins'
  /** It stands, and its wheels do. */
  | 'stands'
  /** It stands, dug in: its wheels turned on the spot until the driver gave up. */
  | 'dugIn'
  /** It stands on its belly. */
  | 'aground';

export interface DriveRun {
  readonly state: DriveState;
  readonly end: DriveEnd;
  readonly frames: readonly Frame[];
  /** Of the first axle while it rolled, at the most, m; not counting what it dug. */
  readonly sinkM: number;
  /** Deepest that any axle dug, m. */
  readonly dugM: number;
  /** Since this run began. */
  readonly spunS: number;
}

/** At the start of a way, on its firm side. */
export const atStart = ({ axles }: DrivenRig, atM = 0, speedMs = 0): DriveState => ({
  timeS: 0,
  atM,
  speedMs,
  wheelMs: speedMs,
  dugM: axles.map(() => 0),
  slick: axles.map(() => 0),
  rutsM: [[], ...axles.map(() => [])],
  spunS: 0,
  aground: false,
});

/** The same machine elsewhere on the way, standing, its ruts left where they are; what it dug is left behind with them. */
export function placedAt(state: DriveState, rig: DrivenRig, atM: number, speedMs = 0): DriveState {
  return { ...atStart(rig, atM, speedMs), timeS: state.timeS, spunS: state.spunS, rutsM: pressedBefore(state) };
}

/** All its ruts as those of drives before: whoever tries again meets them. */
export function pressedBefore({ rutsM }: DriveState): DriveState['rutsM'] {
  const length = Math.max(...rutsM.map((rut) => rut.length));
  const all = Array.from({ length }, (_, cell) => Math.max(...rutsM.map((rut) => rut[cell] ?? 0)));
  return [all, ...rutsM.slice(1).map(() => [])];
}

/** Boards carry it on by so much, and give it this much of a start. Assumptions. */
const BOARDS = { m: 1.2, ms: 0.8 };

/** Dug out, and driven off over boards. */
export const freed = (state: DriveState, rig: DrivenRig): DriveState =>
  placedAt(state, rig, state.atM + BOARDS.m, BOARDS.ms);

/** How much slip backing out takes before it digs. Assumption. */
const BACKING_SLIP = 0.3;

/** Whether it would roll back down its own ruts, as it stands. */
export function backsOut(state: DriveState, rig: DrivenRig, way: Way, pressuresKpa: readonly number[]): boolean {
  if (state.aground) return false;
  const standing = standingOf(rig, pressuresKpa);
  let [pushKn, heldKn] = [0, 0];
  for (const [index, { wheels, wheelLoadKg, driven, behindM }] of rig.axles.entries()) {
    const stands = standing(index, wheelLoadKg);
    const soil = way.soilAt(state.atM - behindM);
    if (!stands) return false;
    if (!soil) {
      pushKn += driven ? wheels * FIRM.grip * stands.loadKn : 0;
      continue;
    }
    const { areaM2, lengthM, loadKn, widthM } = stands;
    const rolling = rollingSinkM(soil, stands, way.lie.depthM);
    const cost = (toM: number): number => compactionResistanceKn(soil, widthM, toM);
    // Behind it lies its own rut; out of what it dug it has to climb.
    heldKn += wheels * (RUT_LEFT * cost(rolling) + cost(rolling + state.dugM[index]!) - cost(rolling));
    pushKn += driven ? wheels * thrustKn(soil, { areaM2, lengthM, loadKn }, BACKING_SLIP) : 0;
  }
  const slope = (way.slopeDeg(state.atM - rig.axles.at(-1)!.behindM / 2) * Math.PI) / 180;
  return pushKn + ((rig.massKg * STANDARD_GRAVITY) / 1000) * Math.sin(slope) > heldKn;
}

const cellOf = (atM: number): number => Math.max(0, Math.round((atM + BEFORE_M) / CELL_M));

export interface DriveOrder {
  readonly pressuresKpa: readonly number[];
  /** How it is driven on; null to stop. */
  readonly pace: Pace | null;
  /** A foot stays down when the wheels spin. */
  readonly keepsOn: boolean;
  /** Pushed ahead on soft ground: a blade's snow, of the machine's weight. */
  readonly pushedShare: number | undefined;
}

/** One wheel of an axle on what lies under it. */
interface OnGround {
  readonly standing: Standing;
  /** Rolling, m. */
  readonly sinkM: number;
  readonly sunkM: number;
  readonly resistanceKn: number;
  readonly push: (slip: number) => number;
  readonly digs: number;
}

function onFirm(standing: Standing): OnGround {
  const { loadKn } = standing;
  return {
    standing,
    sinkM: 0,
    sunkM: 0,
    resistanceKn: ROLLING * loadKn,
    push: (slip) => FIRM.grip * loadKn * (1 - Math.exp(-slip / FIRM.slip)),
    digs: 0,
  };
}

/** How deep a wheel sinks while it rolls, m: as its plate would, no deeper than a rigid wheel, nor than the layer. */
export const rollingSinkM = (
  soil: Parameters<typeof sinkageM>[0],
  { widthM, groundKpa, diameterM, loadKn }: Standing,
  depthM: number | null,
): number =>
  Math.min(
    sinkageM(soil, widthM, groundKpa),
    rigidSinkageM(soil, widthM, diameterM, loadKn),
    depthM ?? Number.POSITIVE_INFINITY,
  );

/**
 * Drives on from where a machine stands, until it is through, stands, or its wheels spin.
 *
 * @returns null where a tire would be squeezed flat: it does not carry its load at this pressure
 */
export function driveOn(from: DriveState, rig: DrivenRig, way: Way, order: DriveOrder): DriveRun | null {
  const { axles, massKg } = rig;
  const { depthM } = way.lie;
  const standing = standingOf(rig, order.pressuresKpa);
  const weightKn = (massKg * STANDARD_GRAVITY) / 1000;
  const pace = order.pace ? PACES[order.pace] : null;
  const [first, last] = [axles[0]!, axles.at(-1)!];
  const spreadM = last.behindM - first.behindM;
  const ruts = from.rutsM.map((rut) => [...rut]);
  const dug = [...from.dugM];
  const slick = [...from.slick];
  const frames: Frame[] = [];
  let { timeS, atM, speedMs, wheelMs, spunS, aground } = from;
  let deepestM = Math.max(...dug);
  let sinkM = 0;
  let [spinningS, spotS, standsS] = [0, 0, 0];
  let end: DriveEnd | undefined;

  const wheelAt = (index: number, loadKg: number): OnGround | null => {
    const stands = standing(index, loadKg);
    if (!stands) return null;
    const placeM = atM - axles[index]!.behindM;
    const soil = way.soilAt(placeM);
    if (!soil) return onFirm(stands);
    const rolling = rollingSinkM(soil, stands, depthM);
    const sunkM = Math.min(rolling + dug[index]!, depthM ?? Number.POSITIVE_INFINITY);
    const cell = cellOf(placeM);
    // What drives before pressed, and the axles ahead of it.
    let before = 0;
    for (let of = 0; of <= index; of++) before = Math.max(before, ruts[of]![cell] ?? 0);
    before = Math.min(sunkM, before);
    const cost = (toM: number): number => compactionResistanceKn(soil, stands.widthM, toM);
    return {
      standing: stands,
      sinkM: rolling,
      sunkM,
      resistanceKn: cost(sunkM) - (1 - RUT_LEFT) * cost(before) + ROLLING * stands.loadKn,
      push: (slip) => thrustKn(soil, { areaM2: stands.areaM2, lengthM: stands.lengthM, loadKn: stands.loadKn }, slip),
      digs: DIGS_M * (stands.groundKpa / 100) * digsLike(soil),
    };
  };

  for (let step = 0; !end; step++) {
    const slope = (way.slopeDeg(atM - spreadM / 2) * Math.PI) / 180;
    // Uphill the weight goes to the rear.
    const movedKg = spreadM > 0 ? (massKg * Math.sin(slope) * rig.weightM) / spreadM : 0;
    const sunkBefore = frames.at(-1)?.sunkM ?? dug;
    const lowM = sunkBefore.reduce((sum, each) => sum + each, 0) / axles.length - rig.bellyM;
    const onBelly = Math.min(1, Math.max(0, lowM / BELLY.fullM)) * BELLY.most;
    const wheels: OnGround[] = [];
    for (const [index, { wheels: count, wheelLoadKg }] of axles.entries()) {
      const moved = index === 0 ? -movedKg : index === axles.length - 1 ? movedKg : 0;
      const loadKg = Math.max(0.05 * wheelLoadKg, wheelLoadKg * Math.cos(slope) + moved / count) * (1 - onBelly);
      const wheel = wheelAt(index, loadKg);
      if (!wheel) return null;
      wheels.push(wheel);
    }
    if (step % STEPS_A_FRAME === 0)
      frames.push({ timeS, atM, speedMs, wheelMs, sunkM: wheels.map(({ sunkM }) => sunkM) });

    const push = (ms: number): number => {
      if (ms <= speedMs) return 0;
      const slip = (ms - speedMs) / Math.max(ms, CREEP_MS);
      return wheels.reduce((sum, { push: one }, index) => {
        const { driven, wheels: count } = axles[index]!;
        return driven ? sum + count * (1 - slick[index]!) * one(Math.max(slip, 1e-4)) : sum;
      }, 0);
    };
    if (pace) {
      wheelMs = Math.min(pace.wheelMs, Math.max(wheelMs, speedMs) + SPINS_UP * STEP_S);
      // An engine that has no more to give turns as fast as what it has to push lets it.
      const mostKn = pace.push * weightKn;
      if (push(wheelMs) > mostKn) {
        let [low, high] = [speedMs, wheelMs];
        for (let half = 0; half < 14; half++) {
          const middle = (low + high) / 2;
          if (push(middle) > mostKn) high = middle;
          else low = middle;
        }
        wheelMs = low;
      }
    } else wheelMs = speedMs;

    const softShare = wheels.some(({ digs }) => digs > 0) ? 1 : 0;
    const heldKn =
      wheels.reduce((sum, { resistanceKn }, index) => sum + axles[index]!.wheels * resistanceKn, 0) +
      BELLY.drag * onBelly * weightKn +
      softShare * (order.pushedShare ?? 0) * weightKn;
    const braked = pace ? 0 : BRAKES;
    const gainKn = push(wheelMs) - heldKn - weightKn * Math.sin(slope);
    speedMs = Math.max(0, speedMs + ((gainKn * 1000) / massKg - braked) * STEP_S);
    atM += speedMs * STEP_S;
    timeS += STEP_S;

    const lostMs = Math.max(0, wheelMs - speedMs);
    wheels.forEach((wheel, index) => {
      const digs = axles[index]!.driven ? wheel.digs * lostMs : 0;
      // Rolling on, it leaves what it dug behind it.
      const left = (dug[index]! * speedMs) / wheel.standing.lengthM;
      const mostM = depthM === null ? Number.POSITIVE_INFINITY : Math.max(0, depthM - wheel.sinkM);
      const onBottom = digs > 0 && dug[index]! >= mostM;
      dug[index] = Math.min(mostM, Math.max(0, dug[index]! + (digs - left) * STEP_S));
      const polished = onBottom ? POLISHES.perM * lostMs : 0;
      const behind = (slick[index]! * speedMs) / wheel.standing.lengthM;
      slick[index] = Math.min(POLISHES.most, Math.max(0, slick[index]! + (polished - behind) * STEP_S));
      const rut = ruts[index + 1]!;
      const cell = cellOf(atM - axles[index]!.behindM);
      if (wheel.sunkM > (rut[cell] ?? 0)) {
        for (let empty = rut.length; empty < cell; empty++) rut[empty] = 0;
        rut[cell] = wheel.sunkM;
      }
    });
    deepestM = Math.max(deepestM, ...dug);
    sinkM = Math.max(sinkM, wheels[0]!.sinkM);
    aground = onBelly > 0;

    const spinning = wheelMs > 0.2 && lostMs / wheelMs > SPINNING && softShare > 0;
    spunS += spinning ? STEP_S : 0;
    spinningS = spinning ? spinningS + STEP_S : 0;
    const stands = speedMs < STANDS_MS;
    spotS = stands && spinning ? spotS + STEP_S : 0;
    standsS = stands && !spinning ? standsS + STEP_S : 0;
    if (atM - last.behindM > way.lengthM) end = 'through';
    else if (stands && onBelly >= BELLY.most / 2) end = 'aground';
    else if (!order.keepsOn && spinningS > NOTICED_S) end = 'spins';
    else if (spotS > GIVES_UP_S) end = 'dugIn';
    else if (standsS > (pace ? 1 : 0.2)) end = 'stands';
    else if (timeS - from.timeS > LONGEST_S) end = 'stands';
  }
  return {
    state: { timeS, atM, speedMs, wheelMs, dugM: dug, slick, rutsM: ruts, spunS, aground },
    end,
    frames,
    sinkM,
    dugM: deepestM,
    spunS: spunS - from.spunS,
  };
}
