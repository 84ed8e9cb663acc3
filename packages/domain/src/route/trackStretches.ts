import type { RouteStretchBody } from '@dunlinmoss/contract';
import { steepestDeg, type GroundCode, type TrackProfile } from '@dunlinmoss/core';

import { newStretch } from './dayRoute';

/** From a place on the track on it is this ground. */
export interface TrackMark {
  readonly id: string;
  readonly fromM: number;
  readonly groundCode: GroundCode;
}

/** No stretch is shorter than this, m: as the contract has it. */
export const LEAST_STRETCH_M = 10;

/** Stretches of a track between its marks, each with its length and steepest climb; what was said of one before is kept. */
export function trackStretches(
  profile: TrackProfile,
  marks: readonly TrackMark[],
  before: readonly RouteStretchBody[] = [],
): RouteStretchBody[] {
  const endM = profile.alongM.at(-1)!;
  const inOrder = [...marks].sort((a, b) => a.fromM - b.fromM);
  return inOrder.flatMap(({ id, groundCode, fromM }, index): RouteStretchBody[] => {
    const from = index === 0 ? 0 : fromM;
    const to = inOrder[index + 1]?.fromM ?? endM;
    const lengthM = to - from;
    if (lengthM < LEAST_STRETCH_M) return [];
    const known = before.find((each) => each.id === id) ?? newStretch(id, groundCode);
    return [{ ...known, groundCode, lengthM, climbDeg: Math.min(45, steepestDeg(profile, from, to)) }];
  });
}

/** Where the marks of stretches lie along a track, m: their lengths added up, drawn to the track's own. */
export function marksOf(stretches: readonly RouteStretchBody[], endM: number): TrackMark[] {
  const total = stretches.reduce((sum, { lengthM }) => sum + lengthM, 0);
  let along = 0;
  return stretches.map(({ id, groundCode, lengthM }) => {
    const mark = { id, groundCode, fromM: total > 0 ? (along / total) * endM : 0 };
    along += lengthM;
    return mark;
  });
}
