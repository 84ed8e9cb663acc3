import type { ProofTestRow, RigRow } from '@dunlinmoss/contract';
import {
  axleKpa,
  compareTexts,
  lessonOf,
  otherAxleOf,
  type GroundAttempt,
  type LessonCode,
  type RehearsedKind,
  type WheelsAtAttempt,
} from '@dunlinmoss/core';

import { axleOfTest, routineTestOf } from '../evidence/evidence';

interface Run extends WheelsAtAttempt {
  readonly result?: 'reached' | 'nearly' | 'stopped';
  readonly rutMm?: number | null;
}

interface Slope {
  readonly slopeDeg?: number | null;
  readonly soil?: string | null;
  readonly depthMm?: number | null;
}

/**
 * What a person wrote down of the ground of a lesson, the newest first: climbs of a slope that was measured, on the
 * lesson's own soil; ruts of farm machines on a field. What the other axles had then, where nobody wrote it down, is
 * taken in the proportion that this ground asks for (assumption).
 */
export function groundAttempts(
  lesson: LessonCode,
  kind: RehearsedKind,
  rig: Pick<RigRow, 'family' | 'axles'>,
  tests: readonly ProofTestRow[],
  askedKpa: readonly number[],
): GroundAttempt[] {
  const { soil } = lessonOf(lesson).lie;
  return tests
    .filter(({ counts, kind: of }) => counts && (of === 'climb' || (of === 'rut' && kind === 'farm')))
    .sort((a, b) => compareTexts(b.performedAt, a.performedAt))
    .flatMap((test): GroundAttempt[] => {
      const { setup, runs } = routineTestOf(test.kind, test.details as never, rig.family);
      const at = rig.axles.findIndex(({ position }) => position === axleOfTest(test));
      if (at < 0) return [];
      const { slopeDeg, soil: climbed, depthMm } = setup as Slope;
      return (runs as unknown as readonly Run[]).flatMap((run): GroundAttempt[] => {
        const { result, rutMm } = run;
        const ownKpa = axleKpa(run);
        const otherKpa = otherAxleOf([run], ownKpa);
        const pressuresKpa = askedKpa.map((asked, index) =>
          index === at ? ownKpa : (otherKpa ?? (ownKpa * asked) / askedKpa[at]!),
        );
        if (test.kind === 'rut') return rutMm ? [{ code: 'rut', pressuresKpa, rutM: rutMm / 1000 }] : [];
        if (!result || slopeDeg == null || climbed !== soil) return [];
        return [{ code: 'climb', pressuresKpa, slopeDeg, depthM: depthMm == null ? null : depthMm / 1000, result }];
      });
    });
}
