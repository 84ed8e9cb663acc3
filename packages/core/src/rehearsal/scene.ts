import type { RouteTools, Setting } from '../route/routeStops';
import { routeStops } from '../route/routeStops';
import {
  atStart,
  backsOut,
  driveOn,
  freed,
  PACES,
  placedAt,
  type DriveEnd,
  type DriveRun,
  type DriveState,
  type Pace,
} from './drive';
import { drivenRig, type DrivenAxle, type DrivenRig, type RehearsedKind } from './drivenRig';
import { lessonOf, type LessonCode } from './lessons/registry';
import type { Lesson } from './lessons/lesson';
import { wayOf, type Way } from './lie';
import { softnessSeen, type ExpectedSoftness, type GroundAttempt } from './ownSoftness';
import { normalQuantile } from '../numerics/normal';
import { normalDraw } from './softness';

/** From patch to patch, and how well it is known once one has driven on it. Assumptions. */
const PATCH_SCATTER = 0.08;
const FELT_SCATTER = 0.05;
/** So far onto it one has felt it, m. */
const FELT_M = 2;

/** A lesson on a person's own machine. Pressures are cold, by axle. */
export interface RehearsalInput {
  readonly lesson: LessonCode;
  readonly kind: RehearsedKind;
  readonly axles: readonly DrivenAxle[];
  readonly tools: RouteTools;
  /** Before pavement, at the start, what the ground asks for, and the least it allows. */
  readonly roadKpa: readonly number[];
  readonly fromKpa: readonly number[];
  readonly askedKpa: readonly number[];
  readonly lowKpa: readonly number[];
  /** What the person saw of such ground before. */
  readonly attempts: readonly GroundAttempt[];
}

/** Where a decision is due. */
export type Moment =
  /** Before it, on firm ground. */
  | 'edge'
  | 'spins'
  | 'stands'
  /** It stands, dug in or on its belly. */
  | 'stuck'
  | 'through'
  /** Round it, or pulled out: this lesson is over without getting through. */
  | 'around'
  | 'pulledOut';

export const isOver = (moment: Moment): boolean =>
  moment === 'through' || moment === 'around' || moment === 'pulledOut';

export type ChoiceCode = 'drive' | 'keepOn' | 'lift' | 'letOut' | 'dig' | 'backOut' | 'around' | 'help';

export interface Choice {
  readonly code: ChoiceCode;
  /** Set first, by axle; null as it is. */
  readonly toKpa: readonly number[] | null;
  readonly pace: Pace;
}

/** A lesson as it stands. Handed on, never changed. */
export interface Scene {
  readonly moment: Moment;
  readonly pressuresKpa: readonly number[];
  readonly drive: DriveState;
  /** So far, without putting the air back. */
  readonly minutes: number;
  readonly decisions: number;
  /** How it was driven last. */
  readonly pace: Pace;
  /** What was driven last; none where nothing was. */
  readonly run: DriveRun | null;
  /** It was dug in, on its belly, or pulled out at some time. */
  readonly wasStuck: boolean;
}

/** Digging out: getting the spade and boards, and for each 10 mm that it sits deep; more on its belly. Assumptions, min. */
const DIG_MIN = { begin: 6, per10Mm: 0.6, belly: 12 };
const BACK_OUT_MIN = 1;
/** What a pump that can't puts back costs, min: looking for another. Assumption. */
const NO_AIR_MIN = 15;
/** A foot is off, and it stands. */
const LIFT_MIN = 0.1;
/** Pressures nearer than this are the same, kPa. */
const SAME_KPA = 3.5;
/** So many decisions are enough: then somebody is called. */
const MOST_DECISIONS = 4;

const near = (a: readonly number[], b: readonly number[]): boolean =>
  a.every((kpa, index) => Math.abs(kpa - b[index]!) < SAME_KPA);
const lower = (a: readonly number[], b: readonly number[]): boolean =>
  !near(a, b) && a.every((kpa, index) => kpa <= b[index]! + SAME_KPA);

const MOMENT_AT: Readonly<Record<DriveEnd, Moment>> = {
  through: 'through',
  spins: 'spins',
  stands: 'stands',
  dugIn: 'stuck',
  aground: 'stuck',
};

/** One lesson, once: the same seed is the same place. */
export interface Rehearsal {
  readonly lesson: Lesson;
  readonly rig: DrivenRig;
  readonly way: Way;
  readonly begin: Scene;
  readonly choices: (scene: Scene) => readonly Choice[];
  /** What comes of a choice; null where a tire would be squeezed flat. */
  readonly take: (scene: Scene, choice: Choice, on?: Way) => Scene | null;
  /** What each choice would come to on places that are like this one as far as anybody can know. */
  readonly expect: (scene: Scene, choice: Choice) => Expected;
}

/** What a choice comes to on average, over places that look the same. */
export interface Expected {
  /** Until it is through and the air is back. */
  readonly minutes: number;
  /** How often it never stuck, 0 to 1. */
  readonly clean: number;
  /** How often this choice itself came to a halt before the end, 0 to 1. */
  readonly halted: number;
}

/** Seeds of places that are only thought of, and how the ones ahead are dealt out among them. */
const OTHER_PLACES = 100_000;
const FURTHER = 5;
/** How many such places are tried in thought. */
export const PLACES = 16;

/**
 * Sets a lesson up for one place.
 *
 * @param softness how soft such a place may be: by what the person saw, unless it is given
 */
export function rehearse(
  input: RehearsalInput,
  seed: number,
  softness: ExpectedSoftness = softnessSeen(input).softness,
): Rehearsal {
  const rig = drivenRig(input.kind, input.axles);
  const lesson = deepEnough(lessonOf(input.lesson), rig, input.fromKpa, softness);
  const meantShift = lesson.shift + softness.shift;
  const laid = (place: number, shift: number): Way => wayOf(lesson.lie, { seed: place, shift, scatter: PATCH_SCATTER });
  const way = laid(seed, meantShift + softness.scatter * normalDraw(seed, 7));

  const settingOf = (kpa: readonly number[]): Setting =>
    input.axles.map(({ position }, index) => ({ position, pressureKpa: kpa[index]! }));
  const stops = new Map<string, number>();
  const stopMin = (from: readonly number[], to: readonly number[]): number => {
    if (near(from, to)) return 0;
    const key = `${from.join()} ${to.join()}`;
    const before = stops.get(key);
    if (before !== undefined) return before;
    const minutes =
      routeStops(input.tools, [settingOf(from), settingOf(to)]).stop(0, 1, 0, false)?.minutes ?? NO_AIR_MIN;
    stops.set(key, minutes);
    return minutes;
  };

  const begin: Scene = {
    moment: 'edge',
    pressuresKpa: input.fromKpa,
    drive: atStart(rig, lesson.startM),
    minutes: 0,
    decisions: 0,
    pace: lesson.paces[0],
    run: null,
    wasStuck: false,
  };

  const half = (from: readonly number[], to: readonly number[]): number[] =>
    from.map((kpa, index) => (kpa + to[index]!) / 2);
  /** The next that would be let out to. */
  const nextKpa = ({ pressuresKpa }: Scene): readonly number[] | null => {
    if (lower(input.askedKpa, pressuresKpa)) return input.askedKpa;
    return lower(input.lowKpa, pressuresKpa) ? input.lowKpa : null;
  };
  const choices = (scene: Scene): readonly Choice[] => {
    const { moment, pressuresKpa, pace } = scene;
    const as = (code: ChoiceCode, toKpa: readonly number[] | null = null, by: Pace = pace): Choice => ({
      code,
      toKpa,
      pace: by,
    });
    const [usual, other] = lesson.paces as readonly [Pace, Pace?];
    if (moment === 'edge') {
      const { askedKpa } = input;
      const softer = lower(askedKpa, pressuresKpa);
      const between = softer && !lesson.byTread ? half(pressuresKpa, askedKpa) : null;
      const low = !softer && lower(input.lowKpa, pressuresKpa) ? input.lowKpa : null;
      return [
        as('drive', null, usual),
        ...(other ? [as('drive', null, other)] : []),
        ...(between && !other && !near(between, askedKpa) && !near(between, pressuresKpa)
          ? [as('letOut', between, usual)]
          : []),
        ...(softer ? [as('letOut', askedKpa, usual)] : []),
        ...(low ? [as('letOut', low, usual)] : []),
        as('around'),
      ];
    }
    if (moment === 'spins') return [as('keepOn'), as('lift')];
    if (moment !== 'stands' && moment !== 'stuck') return [];
    const next = nextKpa(scene);
    // Whoever stood on a hill does not go on with a run-up.
    const from = usual;
    return [
      ...(moment === 'stands' ? [as('drive', null, from)] : []),
      ...(next ? [as('letOut', next, from)] : []),
      as('dig', null, from),
      ...(backsOut(scene.drive, rig, way, pressuresKpa) ? [as('backOut')] : []),
      as('help'),
    ];
  };

  const take = (scene: Scene, choice: Choice, on: Way = way): Scene | null => {
    const decisions = scene.decisions + 1;
    const { code, toKpa, pace } = choice;
    const pressuresKpa = toKpa ?? scene.pressuresKpa;
    const kept = { ...scene, decisions, pressuresKpa, run: null };
    if (code === 'around') return { ...kept, moment: 'around', minutes: scene.minutes + lesson.aroundMin };
    if (code === 'help') {
      return { ...kept, moment: 'pulledOut', minutes: scene.minutes + lesson.helpMin, wasStuck: true };
    }
    if (code === 'backOut') {
      const drive = placedAt(scene.drive, rig, lesson.startM);
      return { ...kept, moment: 'edge', drive, minutes: scene.minutes + BACK_OUT_MIN };
    }
    let { drive } = scene;
    let minutes = scene.minutes + (toKpa ? stopMin(scene.pressuresKpa, toKpa) : 0);
    if (code === 'dig') {
      const deepMm = 1000 * Math.max(...drive.dugM);
      minutes += DIG_MIN.begin + (DIG_MIN.per10Mm * deepMm) / 10 + (drive.aground ? DIG_MIN.belly : 0);
      drive = freed(drive, rig);
    }
    if (scene.moment === 'edge')
      drive = placedAt(drive, rig, lesson.startM, pace === 'runUp' ? PACES.runUp.wheelMs : 0);
    const run = driveOn(drive, rig, on, {
      pressuresKpa,
      pace: code === 'lift' ? null : pace,
      keepsOn: code === 'keepOn',
      pushedShare: lesson.pushedShare,
    });
    if (!run) return null;
    const moment = code === 'lift' ? 'stands' : MOMENT_AT[run.end];
    return {
      moment,
      pressuresKpa,
      drive: run.state,
      minutes: minutes + (run.state.timeS - drive.timeS) / 60 + (code === 'lift' ? LIFT_MIN : 0),
      decisions,
      pace,
      run,
      wasStuck: scene.wasStuck || moment === 'stuck',
    };
  };

  /** What a sensible driver does next, who knows nothing more than anybody: the rest of a choice is judged by it. */
  const sensible = (scene: Scene): Choice => {
    const all = choices(scene);
    const of = (code: ChoiceCode): Choice | null => all.find((choice) => choice.code === code) ?? null;
    if (scene.decisions >= MOST_DECISIONS) return of('help') ?? all[0]!;
    if (scene.moment === 'edge') return of('letOut') ?? all[0]!;
    if (scene.moment === 'spins') return of('lift')!;
    // Nobody pumps for two hours to get out of a hole.
    const next = nextKpa(scene);
    const worth =
      next !== null && stopMin(scene.pressuresKpa, next) + stopMin(next, input.roadKpa) < lesson.helpMin / 2;
    if (scene.moment === 'stuck') return of('dig')!;
    return (worth ? (of('backOut') ?? of('letOut')) : null) ?? of('dig')!;
  };

  /** What the places that lie ahead cost with what is in the tires now, min: each time it does not go through at once. */
  const ahead = (over: Scene, place: number): number => {
    let minutes = 0;
    for (let more = 1; more <= lesson.more; more++) {
      // As firm and soft in turn as they come, whatever this one was.
      const z = normalQuantile((((place + more * FURTHER) % PLACES) + 0.5) / PLACES);
      const on = laid(OTHER_PLACES * (1 + more) + place, meantShift + softness.scatter * z);
      const again = take(
        { ...begin, pressuresKpa: over.pressuresKpa },
        { code: 'drive', toKpa: null, pace: over.pace },
        on,
      );
      minutes += again?.moment === 'through' ? again.minutes : DIG_MIN.begin + BACK_OUT_MIN;
    }
    return minutes;
  };

  const expect = (scene: Scene, choice: Choice): Expected => {
    const felt = scene.drive.atM > lesson.startM + FELT_M || scene.decisions > 0;
    let minutes = 0;
    let clean = 0;
    let halted = 0;
    for (let place = 1; place <= PLACES; place++) {
      // Other places than this one; where it was driven on, as soft as that felt.
      const z = normalQuantile((place - 0.5) / PLACES);
      const on = laid(
        OTHER_PLACES + place,
        felt ? way.draw.shift + FELT_SCATTER * z : meantShift + softness.scatter * z,
      );
      let at: Scene | null = take(scene, choice, on);
      let last = at;
      halted += !at || (at.run !== null && at.run.end !== 'through') ? 1 : 0;
      for (let turn = 0; at && !isOver(at.moment) && turn < MOST_DECISIONS + 2; turn++) {
        at = take(at, sensible(at), on);
        last = at ?? last;
      }
      const over = last && isOver(last.moment) ? last : null;
      minutes += over ? over.minutes - scene.minutes + stopMin(over.pressuresKpa, input.roadKpa) : lesson.helpMin;
      if (over?.moment === 'through') minutes += ahead(over, place);
      clean += over && !over.wasStuck ? 1 : 0;
    }
    return { minutes: minutes / PLACES, clean: clean / PLACES, halted: halted / PLACES };
  };

  return { lesson, rig, way, begin, choices, take, expect };
}

/** Layers that are tried, m. */
const DEEPER_M = 0.02;
const DEEPEST_M = 0.5;

/** The lesson with its layer deep enough to stop what is in the tires at the start, on a place that is as meant. */
function deepEnough(lesson: Lesson, rig: DrivenRig, fromKpa: readonly number[], softness: ExpectedSoftness): Lesson {
  if (!lesson.deepEnough) return lesson;
  let depthM = lesson.lie.depthM!;
  for (; depthM < DEEPEST_M; depthM += DEEPER_M) {
    const way = wayOf({ ...lesson.lie, depthM }, { seed: 0, shift: lesson.shift + softness.shift, scatter: 0 });
    const run = driveOn(atStart(rig, lesson.startM), rig, way, {
      pressuresKpa: fromKpa,
      pace: lesson.paces[0],
      keepsOn: false,
      pushedShare: lesson.pushedShare,
    });
    if (run?.end !== 'through') break;
  }
  return { ...lesson, lie: { ...lesson.lie, depthM } };
}
