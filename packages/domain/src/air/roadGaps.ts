import { familyOf, limpSpeedKmh, onPavement, type WheelRef } from '@dunlinmoss/core';

import { planAxles } from '../plan/planInput';
import type { RigNow } from './rigNow';

/** A wheel that is below its road pressure. Cold. */
export interface RoadGap extends WheelRef {
  readonly nowKpa: number;
  readonly roadKpa: number;
}

export interface RoadGaps {
  readonly gaps: readonly RoadGap[];
  /** Wheels nobody knows anything of. */
  readonly unread: readonly WheelRef[];
  /** The fastest on pavement with what is in the tires; null where nothing holds it back, or the load is not known. */
  readonly limpKmh: number | null;
}

/** Which wheels are below road pressure at today's load, and how fast that may go on pavement. */
export function roadGaps({ rig, wheels, known, stepKpa, tests, loadCaseId }: RigNow): RoadGaps {
  const gaps = wheels.flatMap((wheel): RoadGap[] => {
    const { roadKpa } = wheel.axle;
    const now = known(wheel);
    if (!roadKpa || !now || now.coldKpa >= roadKpa - stepKpa / 2) return [];
    return [{ position: wheel.position, wheel: wheel.wheel, nowKpa: now.coldKpa, roadKpa }];
  });
  const axles = planAxles(rig, tests, loadCaseId);
  const softest = (position: string): number =>
    Math.min(
      ...wheels.flatMap((wheel) =>
        wheel.position === position ? [known(wheel)?.coldKpa ?? Number.POSITIVE_INFINITY] : [],
      ),
    );
  return {
    gaps,
    unread: wheels.filter((wheel) => known(wheel) === undefined),
    limpKmh:
      gaps.length > 0 && axles.ok
        ? limpSpeedKmh(
            onPavement({
              family: rig.family,
              roadSpeedKmh: rig.topSpeedKmh ?? familyOf(rig.family).roadSpeedKmh,
              axles: axles.value,
            }),
            axles.value.map(({ position }) => softest(position)),
            stepKpa,
          )
        : null,
  };
}
