import type { ProofTestRow, RigRow } from '@dunlinmoss/contract';
import {
  drivenRig,
  lessonOf,
  softestClimbed,
  softnessAfter,
  softnessOfRut,
  USUAL_SOFTNESS,
  type ExpectedSoftness,
  type RehearsalInput,
  type SoftnessSeen,
} from '@dunlinmoss/core';

import { axleOfTest, routineTestOf } from '../evidence/evidence';

/** How soft a person may expect the ground of a lesson, and from how many of their own attempts and ruts. */
export interface OwnSoftness {
  readonly softness: ExpectedSoftness;
  readonly climbs: number;
  readonly ruts: number;
}

/** More of them tell nothing new, and each is worked out by driving. */
const MOST = 12;

interface Attempt {
  readonly pressureKpa: number;
  readonly result?: 'reached' | 'nearly' | 'stopped';
  readonly rutMm?: number;
}

interface Slope {
  readonly slopeDeg?: number | null;
  readonly soil?: string | null;
  readonly depthMm?: number | null;
}

/**
 * What a person's own climbs and ruts say of how soft the ground of a lesson is: climbs of a slope that was measured, on
 * the lesson's own soil; ruts of farm machines on a field. What the other axle had then is taken as today's ratio has it.
 */
export function seenSoftness(
  input: RehearsalInput,
  rig: Pick<RigRow, 'family'>,
  tests: readonly ProofTestRow[],
): OwnSoftness {
  const { soil, depthM } = lessonOf(input.lesson).lie;
  const driven = drivenRig(input.kind, input.axles);
  const seen: SoftnessSeen[] = [];
  const newest = tests
    .filter(({ counts, kind }) => counts && (kind === 'climb' || (kind === 'rut' && input.kind === 'farm')))
    .sort((a, b) => b.performedAt.localeCompare(a.performedAt));
  for (const test of newest) {
    const { setup, runs } = routineTestOf(test.kind, test.details as never, rig.family);
    const at = input.axles.findIndex(({ position }) => position === axleOfTest(test));
    if (at < 0) continue;
    for (const { pressureKpa, result, rutMm } of runs as unknown as readonly Attempt[]) {
      if (seen.length >= MOST) break;
      const kpa = input.askedKpa.map((asked) => (pressureKpa * asked) / input.askedKpa[at]!);
      const { slopeDeg, soil: climbed, depthMm } = setup as Slope;
      if (test.kind === 'climb' && result && slopeDeg != null && climbed === soil) {
        seen.push({
          code: 'climb',
          shift: softestClimbed(driven, kpa, slopeDeg, soil, depthMm == null ? depthM : depthMm / 1000),
          result,
        });
      } else if (test.kind === 'rut' && rutMm != null && rutMm > 0) {
        seen.push({ code: 'rut', shift: softnessOfRut(driven, kpa, rutMm / 1000, soil, depthM) });
      }
    }
  }
  // The lesson's own softness is on top of the book's: what was seen is told against that.
  const { shift } = lessonOf(input.lesson);
  const softness = softnessAfter(
    USUAL_SOFTNESS,
    seen.map((each) => ({ ...each, shift: each.shift - shift })),
  );
  const count = (code: SoftnessSeen['code']): number => seen.filter((each) => each.code === code).length;
  return {
    softness: seen.length === 0 ? USUAL_SOFTNESS : softness,
    climbs: count('climb'),
    ruts: count('rut'),
  };
}
