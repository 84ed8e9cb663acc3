import type { Judgement } from '@dunlinmoss/core';

import type { Units } from '../../settings/preferences';
import { pressure } from '../format';

/** Everything that is said about one kind of test. A new one is a file beside this and a line in `registry.ts`. */
export interface RoutineWords {
  readonly name: string;
  /** What it tells, in one line. */
  readonly tells: string;
  readonly need: string;
  readonly where: string;
  readonly steps: readonly string[];
  readonly read: string;
  /** What can hurt while doing it. */
  readonly mind?: string;
  /** By name of field, of setup and run alike. */
  readonly fields: Readonly<Record<string, string>>;
  readonly options?: Readonly<Record<string, Readonly<Record<string, string>>>>;
  /** By verdict: a few words for lists. */
  readonly verdicts: Readonly<Record<string, string>>;
  /** What the verdict means and what to do about it. */
  readonly advice: (judgement: Judgement, units: Units) => string;
  /** What is counted on the strip, where something is. */
  readonly counted?: string;
  /** What a run is called; `Run` by default. */
  readonly run?: string;
  /** A word on one run by itself. */
  readonly runs?: Readonly<Record<string, string>>;
}

/** ` Next: 22 psi.`, where the test says what to try. */
export const next = ({ tryKpa, move }: Judgement, units: Units): string =>
  tryKpa === null ? '' : move === 'keep' ? ` Keep ${pressure(tryKpa, units)}.` : ` Next: ${pressure(tryKpa, units)}.`;

/** `9 of 10`: how sure, in words that promise no more than they know. */
export function sureText(sure: number): string {
  if (sure >= 0.995) return 'as good as certain';
  return `${Math.max(5, Math.min(9.5, Math.round(sure * 20) / 2))} of 10`.replace(/^(\d+)\.0 /, '$1 ');
}

/** What every test says that gives one number a run. */
export const MEASURED_VERDICTS = {
  onePressure: 'One pressure so far',
  moreRuns: 'More runs needed',
  noDifference: 'No difference',
  better: 'One does better',
} as const;

export function measuredAdvice(judgement: Judgement, units: Units, better: string): string {
  const { verdict, levels, sure, tryKpa } = judgement;
  switch (verdict) {
    case 'onePressure':
      return 'Do the same at another pressure, a step or two away.';
    case 'moreRuns':
      return `Three runs at each pressure show a difference from chance. So far ${pressure(tryKpa!, units)} looks best.`;
    case 'noDifference':
      return `Between the two best the runs lie as far apart as the pressures do: no difference. Take the one you like, or ride each ${levels.length > 2 ? 'of the two best ' : ''}some more.`;
    default:
      return `${pressure(tryKpa!, units)} ${better}${sure === null ? '' : `: ${sureText(sure)} that it is no chance`}.`;
  }
}
