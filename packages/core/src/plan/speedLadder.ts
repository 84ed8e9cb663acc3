import { bindingFloor } from '../limits/floors';
import { pressureForSpeedKpa } from '../limits/speedAtPressure';
import { SPEED_PAIRS } from '../limits/speedPairs';
import type { AxlePosition } from '../loads/geometry';
import type { PlanInput } from './plan';
import { contextsOf } from './planGround';

/** A speed, and the least that each axle has to have for it on loose ground, cold, kPa. */
export interface SpeedRung {
  readonly speedKmh: number;
  readonly axles: readonly { readonly position: AxlePosition; readonly leastKpa: number }[];
}

/**
 * How fast on how little: the speeds of the trade's pairs, fastest first, each with the least pressure that it asks of an
 * axle. The pressure falls with the speed, and no rung lies below the bead's floor. Empty for rigs without a speed guide.
 */
export function speedLadder(input: PlanInput): SpeedRung[] {
  const contexts = contextsOf(input);
  if (!contexts[0]?.family.speedGuide) return [];
  const rungs = [...SPEED_PAIRS]
    .map(([speedKmh]) => speedKmh)
    .sort((a, b) => b - a)
    .map((speedKmh): SpeedRung => ({
      speedKmh,
      axles: contexts.map((context) => {
        // What holds whatever the speed: the bead, the sidewall's own minimum, one's own floor.
        const always = bindingFloor(context)
          .all.filter(({ code }) => code === 'bead' || code === 'sidewallMinimum' || code === 'own')
          .map(({ pressureKpa }) => pressureKpa);
        const leastKpa = Math.max(pressureForSpeedKpa(context, speedKmh, false) ?? 0, ...always);
        return { position: context.axle.position, leastKpa };
      }),
    }));
  // Rungs on which nothing changes any more are one: the fastest of them.
  return rungs.filter((rung, index) => {
    const before = rungs[index - 1];
    return !before || rung.axles.some(({ leastKpa }, axle) => before.axles[axle]!.leastKpa - leastKpa > SAME_KPA);
  });
}

/** Rungs closer than this are one, kPa. Assumption: half of what a gauge shows. */
const SAME_KPA = 3.5;
