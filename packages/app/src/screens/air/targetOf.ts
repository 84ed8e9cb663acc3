import type { RigWheel } from '@dunlinmoss/domain';

import type { AirJob } from '../../hooks/useAirJob';

/**
 * What a wheel is to have, cold, kPa; undefined where nothing says. Air is put back to the road pressure; a bicycle has
 * none of its own, and is pumped up to what the ground asks for.
 */
export function targetOf(
  { family, planned, ordered }: Pick<AirJob, 'family' | 'planned' | 'ordered'>,
  way: 'out' | 'in',
  wheel: RigWheel,
): number | undefined {
  // A route asks for a pressure of its own, between road and ground.
  const asked = ordered.get(wheel.position);
  if (asked !== undefined) return asked;
  const onGround = planned(wheel)?.startKpa;
  const road = wheel.axle.roadKpa ?? undefined;
  if (way === 'out') return onGround;
  return family.kind === 'bicycle' ? (onGround ?? road) : road;
}
