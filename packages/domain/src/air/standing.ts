import {
  familyOf,
  measuredLossADay,
  storageLoss,
  type AxlePosition,
  type StorageLoss,
  type TubeKind,
} from '@dunlinmoss/core';

import { courseOf, type AirHistory } from './inTire';
import { rigWheels } from './wheels';

/** Two readings this far apart tell how fast it goes, days. Assumption. */
const FAR_APART_DAYS = 3;
/** Below this share of its road pressure somebody has to look. Assumption. */
const LEAST_SHARE = 0.9;
/** What is that low already is looked at once it has lost as much again. Assumption. */
const LOSS_WORTH_A_LOOK = 0.97;
const DAY_MS = 86_400_000;

/** What an axle's tires lose while the rig stands. */
export interface StandingAxle {
  readonly position: AxlePosition;
  readonly loss: StorageLoss;
  /** The share lost in a day by the person's own readings; null where two of them don't lie days apart. */
  readonly ownLossADay: number | null;
  /** False where nobody wrote down when it was read: it is to be looked at now. */
  readonly isDated: boolean;
  /** When to look again, epoch ms. */
  readonly nextMs: number;
}

/** What holds the air in, where nobody said: what the rig has. */
export const usualTube = ({ axles }: AirHistory['rig']): TubeKind => (axles[0]?.tube ? 'standard' : 'noTube');

/** When each axle of a standing rig is to be looked at again: by its first wheel of which anything is known. */
export function standingAxles(history: AirHistory, tube: TubeKind, nowMs: number): StandingAxle[] {
  const { rig } = history;
  const wheels = rigWheels(rig);
  const positions = [...new Set(wheels.map(({ position }) => position))];
  return positions.flatMap((position): StandingAxle[] => {
    const wheel = wheels.find((each) => each.position === position)!;
    const course = courseOf(history, wheel);
    const now = course.at(-1);
    if (!now) return [];
    const days = (at: string): number => (Date.parse(now.at ?? at) - Date.parse(at)) / DAY_MS;
    // The newest reading against one before it, with nothing done to the air between them.
    const before = course
      .slice(0, -1)
      .reverse()
      .find(({ at, from }) => at !== null && from === 'reading' && days(at) > FAR_APART_DAYS);
    const isUntouched =
      before !== undefined && course.slice(course.indexOf(before)).every(({ from }) => from === 'reading');
    const ownLossADay =
      before && isUntouched && now.known === 'read' && before.known === 'read'
        ? measuredLossADay(before.coldKpa, now.coldKpa, days(before.at!))
        : null;
    const leastKpa = Math.min((wheel.axle.roadKpa ?? now.coldKpa) * LEAST_SHARE, now.coldKpa * LOSS_WORTH_A_LOOK);
    const onBicycle = familyOf(rig.family).kind === 'bicycle';
    const loss = storageLoss(now.coldKpa, leastKpa, tube, onBicycle, ownLossADay);
    const isDated = now.at !== null;
    const nextMs = now.at === null ? nowMs : Date.parse(now.at) + loss.checkDays * DAY_MS;
    return [{ position, loss, ownLossADay, isDated, nextMs }];
  });
}

/** When the first axle of a standing rig is to be looked at, epoch ms; null where nothing is known of its air. */
export const nextLookMs = (axles: readonly StandingAxle[]): number | null =>
  axles.length === 0 ? null : Math.min(...axles.map(({ nextMs }) => nextMs));
