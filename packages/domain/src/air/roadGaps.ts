import { familyOf, limpSpeedKmh, onPavement, type WheelRef } from '@dunlinmoss/core';

import { planAxles } from '../plan/planInput';
import type { InTire } from './inTire';
import type { RigNow } from './rigNow';

/** A wheel that is not known to be at its road pressure. Cold. */
export interface RoadGap extends WheelRef {
  /** What is known of it; undefined where nothing is. */
  readonly now: InTire | undefined;
  /** Null where not entered. */
  readonly roadKpa: number | null;
}

export interface RoadGaps {
  /** Below road pressure as far as is known. */
  readonly gaps: readonly (RoadGap & { readonly now: InTire; readonly roadKpa: number })[];
  /** Not below it as far as is known, and read by nobody, or only warm. */
  readonly unread: readonly RoadGap[];
  /** Every wheel was read, cold, at its road pressure, and not long ago: nothing else is ready for the road. */
  readonly ready: boolean;
  /** The fastest on pavement with what is in the tires; null where nothing holds it back, or the load is not known. */
  readonly limpKmh: number | null;
}

/** A tire loses air by itself: what was read longer ago says little, days. Common practice, no source: every four weeks. */
export const READ_FOR_DAYS = 28;

/** Which wheels are not known to be at road pressure, and how fast that may go on pavement. */
export function roadGaps({ rig, wheels, known, stepKpa, tests, loadCaseId }: RigNow, nowMs: number): RoadGaps {
  const all = wheels.map((wheel): RoadGap => ({
    position: wheel.position,
    wheel: wheel.wheel,
    now: known(wheel),
    roadKpa: wheel.axle.roadKpa || null,
  }));
  const isGap = (each: RoadGap): each is RoadGaps['gaps'][number] => each.now?.low === true && each.roadKpa !== null;
  const gaps = all.filter(isGap);
  // A reading without its day may be of any day.
  const isRead = ({ now }: RoadGap): boolean =>
    now?.known === 'read' && now.at !== null && nowMs - Date.parse(now.at) < READ_FOR_DAYS * 86_400_000;
  const unread = all.filter((each) => !isGap(each) && !isRead(each));
  const loaded = planAxles(rig, tests, loadCaseId);
  const softest = (position: string): number =>
    Math.min(
      ...all.flatMap((each) => (each.position === position ? [each.now?.coldKpa ?? Number.POSITIVE_INFINITY] : [])),
    );
  return {
    gaps,
    unread,
    ready: gaps.length === 0 && unread.length === 0,
    limpKmh:
      gaps.length > 0 && loaded.ok
        ? limpSpeedKmh(
            onPavement({
              family: rig.family,
              roadSpeedKmh: rig.topSpeedKmh ?? familyOf(rig.family).roadSpeedKmh,
              ...loaded.value,
            }),
            loaded.value.axles.map(({ position }) => softest(position)),
            stepKpa,
          )
        : null,
  };
}
