import type { Evidence } from '../calibrate/observation';
import type { TireBuild } from '../contact/stiffness';
import type { Family, Kind } from '../families/family';
import type { CeilingCode } from '../limits/ceilings';
import type { FloorCode } from '../limits/floors';
import type { Level } from './levels';

/** How low and how high a test may send somebody, kPa, and by what. */
export interface TestLimits {
  readonly lowest: { readonly code: FloorCode; readonly pressureKpa: number };
  /** Null where no ceiling is known. */
  readonly highest: { readonly code: CeilingCode; readonly pressureKpa: number } | null;
  /** What the plan has there now; null where the wheels differ, or there is no plan. */
  readonly plannedKpa: number | null;
}

/** What a number of a test is counted in. `rating` goes from 1, bad, to 10, good. */
export type FieldUnit = 'kpa' | 'mm' | 'mm2' | 'ml' | 'm' | 's' | 'deg' | 'watt' | 'times' | 'rating';

/** One thing that is written down. The unit is the end of its name, as everywhere. */
export type Field = FieldOfKinds &
  (
    | {
        readonly type: 'number';
        readonly unit: FieldUnit;
        readonly min: number;
        readonly max: number;
        readonly whole?: boolean;
        /** Read off a tire gauge: the gauge's offset is taken off before anything is judged. */
        readonly gauge?: boolean;
        /** Can be taken off the clock that runs on the screen. */
        readonly clock?: boolean;
        readonly optional?: boolean;
      }
    | {
        readonly type: 'choice';
        readonly options: readonly string[];
        readonly optional?: boolean;
        /** Options that only some kinds of rig meet. */
        readonly only?: Readonly<Record<string, readonly Kind[]>>;
      }
    /** A wheel of the rig, as `wheelKey` writes it. */
    | { readonly type: 'wheel'; readonly optional?: boolean }
    /** A closed line of points, mm. */
    | { readonly type: 'outline'; readonly optional: true }
    /** Something kept elsewhere under this id. */
    | { readonly type: 'id'; readonly optional: true }
  );

interface FieldOfKinds {
  /** The kinds of rig it is asked of; all, without. Such a field is optional. */
  readonly kinds?: readonly Kind[];
}

/** Whether a field is asked of a kind of rig, and which options of it. */
export const isAskedOf = ({ kinds }: Field, kind: Kind): boolean => kinds === undefined || kinds.includes(kind);
export const optionsFor = (field: Extract<Field, { type: 'choice' }>, kind: Kind): readonly string[] =>
  field.options.filter((option) => field.only?.[option]?.includes(kind) ?? true);

export type Fields = Readonly<Record<string, Field>>;
export type OutlineMm = readonly (readonly [xMm: number, yMm: number])[];

type ValueOfField<Of extends Field> = Of extends { type: 'choice'; options: readonly (infer Option)[] }
  ? Option
  : Of extends { type: 'number' }
    ? number
    : Of extends { type: 'outline' }
      ? OutlineMm
      : string;
type OrNull<Of extends Field> = Of extends { optional: true } ? null : never;
export type ValuesOf<Of extends Fields> = { readonly [Name in keyof Of]: ValueOfField<Of[Name]> | OrNull<Of[Name]> };

/** A value as it crosses a border: checked against its field by the contract. */
export type RoutineValue = number | string | OutlineMm | null;
export type RoutineValues = Readonly<Record<string, RoutineValue>>;

/** Which way to go next. `look` is for something that pressure does not mend. */
export type Move = 'softer' | 'firmer' | 'keep' | 'again' | 'look';

export interface Judgement {
  /** In the routine's own words. */
  readonly verdict: string;
  readonly move: Move;
  /** How far, kPa; null where it is not a matter of steps. */
  readonly stepKpa: number | null;
  /** What to try next, or to keep, kPa; null where the test does not tell. */
  readonly tryKpa: number | null;
  /** The limit that what is to be tried was held at; null where none was in its way. */
  readonly heldAt: FloorCode | CeilingCode | null;
  /** How sure, 0 to 1; null where that is not known yet. */
  readonly sure: number | null;
  readonly figures: Readonly<Record<string, number>>;
  /** What came out at each pressure, firmest first; none where nothing is counted. */
  readonly levels: readonly Level[];
  /** A word on each run, in their order; empty where a run says nothing by itself. */
  readonly runs: readonly string[];
  /** Pairs of runs that can't both be right. They are shown, and not averaged. */
  readonly contradictions: readonly (readonly [number, number])[];
}

export const judgement = (part: Partial<Judgement> & Pick<Judgement, 'verdict' | 'move'>): Judgement => ({
  stepKpa: null,
  tryKpa: null,
  heldAt: null,
  sure: null,
  figures: {},
  levels: [],
  runs: [],
  contradictions: [],
  ...part,
});

/** Where a test was made. */
export interface TestedOn {
  readonly family: Family;
  readonly build: TireBuild;
  /** Null where nobody knows it: what needs it is then withheld. */
  readonly wheelLoadKg: number | null;
  /** The limits of the plan it was made under; without one those of the family. */
  readonly limits?: TestLimits;
}

/**
 * One test that is walked through and written down. A new one is a file in this folder and a line in `registry.ts`;
 * schema, form, list and API follow from it.
 */
export interface Routine<Setup extends Fields = Fields, Run extends Fields = Fields> {
  readonly code: string;
  readonly kinds: readonly Kind[];
  /** What it costs with two pressures, in minutes. Assumption. */
  readonly minutes: number;
  /** Made on one wheel; otherwise on the rig as it rolls. */
  readonly oneWheel: boolean;
  /** Written down once. */
  readonly setup: Setup;
  /** Written down at every run. */
  readonly run: Run;
  /** What the result of one run counts, for comparing pressures; null for one that tells nothing. */
  readonly score?: {
    readonly better: 'more' | 'less';
    readonly unit: FieldUnit;
    readonly of: (run: ValuesOf<Run>, setup: ValuesOf<Setup>) => { kpa: number; value: number } | null;
  };
  /** What its levels count, where it has no score to say so. */
  readonly levelUnit?: FieldUnit;
  readonly judge: (runs: readonly ValuesOf<Run>[], setup: ValuesOf<Setup>, on: TestedOn) => Judgement;
  /**
   * What of it is proved, and not only proposed: a pressure that was found the best, or that got there. `rolls` where the
   * whole rig did, every axle with it.
   */
  readonly proves?: {
    readonly by: 'trial' | 'climb' | 'away';
    readonly rolls: boolean;
    readonly pressureKpa: (judgement: Judgement) => number | null;
    /** What the other axle had then, where it was written down, kPa; null where it was not. */
    readonly otherKpa?: (runs: readonly ValuesOf<Run>[], pressureKpa: number) => number | null;
  };
  /** The axle that it speaks of, where that is not the one of its wheel. */
  readonly speaksOf?: (setup: ValuesOf<Setup>) => 'front' | 'rear' | null;
  /** What a run tells of how near an edge came to the rim, and whether it was hit at speed; null where it tells nothing of it. */
  readonly rim?: (
    run: ValuesOf<Run>,
  ) => { readonly pressureKpa: number; readonly struck: boolean; readonly ridden: boolean } | null;
  /** What it tells of the tire's own constants. */
  readonly evidence?: (runs: readonly ValuesOf<Run>[], setup: ValuesOf<Setup>, on: TestedOn) => readonly Evidence[];
}

/** Ties the types of a routine's parts together, and gives it to those who know it only as a routine. */
export const defineRoutine = <const Code extends string, const Setup extends Fields, const Run extends Fields>(
  routine: Routine<Setup, Run> & { readonly code: Code },
): Routine<Setup, Run> & { readonly code: Code } => routine;

/** A gauge pressure that is written down. */
export const GAUGE = { type: 'number', unit: 'kpa', min: 0, max: 2000, gauge: true } as const;

/** A pressure that a track was driven at some time before: no gauge is in hand. */
export const DRIVEN_AT = { ...GAUGE, gauge: false } as const;

/** Whether anything of a test is read off a tire gauge. */
export const readsGauge = ({ setup, run }: Pick<Routine, 'setup' | 'run'>): boolean =>
  Object.values({ ...setup, ...run }).some((field) => field.type === 'number' && field.gauge === true);
