import type { OutingRow, ProofTestRow, RigRow } from '@dunlinmoss/contract';
import type { Judgement, RoutineCode, RoutineTest, TestLimits } from '@dunlinmoss/core';
import type { TestedWheel } from '@dunlinmoss/domain';
import type { UseFieldArrayReturn, UseFormReturn } from 'react-hook-form';

import type { Units } from '../../settings/preferences';
import type { FieldText } from './fieldText';
import type { RoutineFormValues } from './routineForm';

export interface RoutineInput {
  readonly code: RoutineCode;
  readonly row: ProofTestRow | undefined;
  readonly rig: RigRow;
  readonly outing: OutingRow | undefined;
}

export interface OpenRoutine extends RoutineInput {
  readonly form: UseFormReturn<RoutineFormValues>;
  readonly values: RoutineFormValues;
  /** The list of runs; one that is dropped is given back on request. */
  readonly runs: Pick<UseFieldArrayReturn<RoutineFormValues, 'runs'>, 'fields' | 'append'> & {
    readonly drop: (index: number) => void;
  };
  readonly chooseWheel: (key: string) => void;
  /** The wheel of one run. */
  readonly chooseWheelOf: (run: number, key: string) => void;
  readonly units: Units;
  readonly wheels: readonly TestedWheel[];
  /** Their names by key. */
  readonly names: Readonly<Record<string, string>>;
  readonly wheel: TestedWheel;
  readonly offsetKpa: number;
  /** The limits of a run's own wheel, by its key, else of the wheel that the test is made on. */
  readonly limitsOf: (wheel: FieldText | undefined) => TestLimits | undefined;
  /** What can be judged already, and what it says. */
  readonly test: RoutineTest | undefined;
  readonly judgement: Judgement | undefined;
  readonly submit: () => Promise<void>;
  readonly archiveRow: (() => void) | undefined;
}
