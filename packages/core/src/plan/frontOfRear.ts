import { widthOnRimMm } from '../contact/deflection';
import { towardsTrail } from '../reference/bicyclePoints';
import type { AxleContext } from '../axle/axleContext';

/** From 40 mm, off pavement, the front is at most this share of the rear. Common practice, no source. */
const FRONT_OF_REAR = 0.96;

/**
 * How much of the rear's pressure a bicycle's front may have at most: under braking it takes what the rear gives up. Equal
 * on pavement and on narrow tires. Null where the rear is let down on purpose for one climb.
 */
export function frontShareOf({ ground, build }: AxleContext): number | null {
  if (ground.bicycle?.rear) return null;
  return ground.bicycle?.hard ? 1 : 1 - (1 - FRONT_OF_REAR) * towardsTrail(widthOnRimMm(build));
}
