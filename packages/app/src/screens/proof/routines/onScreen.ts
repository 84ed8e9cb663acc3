import type { Judgement, RoutineTest, RoutineValues } from '@dunlinmoss/core';
import type { ComponentType } from 'react';

import type { Units } from '../../../settings/preferences';

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

/** What a test has of its own on the screen; all else follows from its fields. */
export interface RoutineOnScreen {
  /** Instead of the strip of its runs. */
  readonly Picture?: ComponentType<PictureProps>;
  /** Ways to put something in without typing it: in the panel of the setup, or one of their own. */
  readonly SetupInput?: ComponentType<InputProps>;
  readonly RunsInput?: ComponentType<InputProps>;
  /** What the setup of a new one begins with. */
  readonly setup?: RoutineValues;
  /** The picture says what came of each run, so that no line has to. */
  readonly saysRuns?: true;
  /** How its strip is drawn, where its fields alone do not say. */
  readonly strip?: StripSettings;
}

export interface StripSettings {
  /** Both ends of the score, where they are known. */
  readonly range?: readonly [number, number];
  /** What the score is counted in. */
  readonly unit?: 'mm' | 'none';
  readonly note?: string;
  /** How sure it is is said elsewhere on its screen. */
  readonly sureElsewhere?: true;
}
