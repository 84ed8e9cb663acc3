import type { OutingRow, ProofTestRow, RigRow } from '@dunlinmoss/contract';
import type { Judgement, RoutineTest, RoutineValues } from '@dunlinmoss/core';
import type { TestedWheel } from '@dunlinmoss/domain';
import type { ComponentType } from 'react';

import type { Units } from '../../../settings/preferences';
import { setOn } from '../nextRun';
import type { NewRoutine } from '../routineForm';
import type { OpenRoutine } from '../openRoutine';

export interface PictureProps {
  readonly test: RoutineTest;
  readonly judgement: Judgement;
  readonly units: Units;
  /** Names of the rig's wheels by key. */
  readonly wheels: Readonly<Record<string, string>>;
}

export interface InputProps {
  readonly rigId: string;
  readonly units: Units;
  readonly setup: RoutineValues | undefined;
  /** Puts a value into a field of the setup. */
  readonly setSetup: (name: string, text: string) => void;
  readonly addRuns: (runs: readonly RoutineValues[]) => void;
}

/** What a new test begins with. */
export interface Beginning {
  readonly rig: RigRow;
  readonly outing: OutingRow | undefined;
  /** Every test of the rig so far. */
  readonly tests: readonly ProofTestRow[];
  /** The wheel it begins on: where all are gone round, the first in walking order. */
  readonly wheel: TestedWheel;
  readonly units: Units;
}

/** What a test has of its own on the screen; all else follows from its fields. */
export interface RoutineOnScreen {
  /** Instead of the strip of its runs. */
  readonly Picture?: ComponentType<PictureProps>;
  /** Ways to put something in without typing it: in the panel of the setup, or one of their own. */
  readonly SetupInput?: ComponentType<InputProps>;
  readonly RunsInput?: ComponentType<InputProps>;
  /** Instead of the panels of setup and runs. */
  readonly Body?: ComponentType<{ readonly open: OpenRoutine }>;
  /** Why the verdict is withheld for now; null where it is not. */
  readonly withheld?: (open: OpenRoutine) => string | null;
  /** Below the verdict. */
  readonly Beside?: ComponentType<{ readonly open: OpenRoutine }>;
  /** What a new one begins with; one run at the pressure that is set, by default. */
  readonly begin?: (at: Beginning) => Omit<NewRoutine, 'wheel'>;
  /** The button that saves a new one; null where there is nothing to save yet. */
  readonly saving?: (open: OpenRoutine) => { readonly label: string; readonly main: boolean } | null;
  /** The picture says what came of each run, so that no line has to. */
  readonly saysRuns?: true;
  /** How its strip is drawn, where its fields alone do not say. */
  readonly strip?: StripSettings;
}

export interface StripSettings {
  /** Both ends of the score, where they are known. */
  readonly range?: readonly [number, number];
  readonly note?: string;
  /** How sure it is is said elsewhere on its screen. */
  readonly sureElsewhere?: true;
}

/** One run at what was set on the outing; the soil is read untouched first. */
export const oneRun: NonNullable<RoutineOnScreen['begin']> = ({ outing, wheel }) => ({
  runs: [{ pressureKpa: setOn(outing, wheel), wheel: wheel.key, track: 'untouched' }],
});
