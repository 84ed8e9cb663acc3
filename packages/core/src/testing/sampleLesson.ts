import { drivenRig, type DrivenAxle, type DrivenRig } from '../rehearsal/drivenRig';
import type { LessonCode } from '../rehearsal/lessons/registry';
import type { RehearsalInput } from '../rehearsal/scene';
import { REFERENCE_RIG } from '../reference/referenceRig';
import { psi } from '../units/units';
import { sampleTools } from './sampleDay';

/** The reference wagon on its axles, all wheels driven. */
export const referenceAxles = (wheelLoadKg = REFERENCE_RIG.loadKg): readonly DrivenAxle[] =>
  (['front', 'rear'] as const).map((position, index) => ({
    position,
    build: REFERENCE_RIG.build,
    wheels: 2,
    wheelLoadKg,
    driven: true,
    behindM: 2.79 * index,
  }));

export const referenceWagon = (wheelLoadKg?: number): DrivenRig => drivenRig('car', referenceAxles(wheelLoadKg));

const both = (pressurePsi: number): readonly number[] => [psi(pressurePsi), psi(pressurePsi)];

/** A lesson on the reference wagon at the trade's own pressures. */
export const sampleLesson = (
  lesson: LessonCode = 'firstBeach',
  change: Partial<RehearsalInput> = {},
): RehearsalInput => ({
  lesson,
  kind: 'car',
  axles: referenceAxles(),
  tools: sampleTools(),
  roadKpa: both(36),
  fromKpa: both(36),
  askedKpa: both(16),
  lowKpa: both(12),
  attempts: [],
  ...change,
});
