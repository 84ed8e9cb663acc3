import type { ProofTestRow } from '@dunlinmoss/contract';
import { routineOf, type FamilyCode } from '@dunlinmoss/core';

import { axleOfTest, routineTestOf } from '../evidence/evidence';

/** A measured test as a trial takes it in. */
export interface MeasuredTest {
  readonly test: ProofTestRow;
  readonly better: 'more' | 'less';
  /** Pressures as they truly were, kPa, and what came out. */
  readonly runs: readonly { readonly pressureKpa: number; readonly measured: number }[];
}

/**
 * The tests of a rig whose runs each came out at a number, for a trial of one of its axles, newest first. What was made
 * with the rig as it rolls speaks for every axle; tests that were left out do not count here either.
 */
export function measuredTests(
  tests: readonly ProofTestRow[],
  family: FamilyCode,
  wheel: string,
): readonly MeasuredTest[] {
  const axle = wheel.split(' ')[0];
  return tests.flatMap((test): MeasuredTest[] => {
    const { score, oneWheel } = routineOf(test.kind);
    if (!score || !test.counts || (oneWheel && axleOfTest(test) !== axle)) return [];
    const { setup, runs } = routineTestOf(test.kind, test.details, family);
    const measured = runs.flatMap((run) => {
      const scored = score.of(run as never, setup as never);
      return scored ? [{ pressureKpa: scored.kpa, measured: scored.value }] : [];
    });
    return measured.length === 0 ? [] : [{ test, better: score.better, runs: measured }];
  });
}
