import { buildOf, geometryOf, type RigAxle, type RigRow } from '@dunlinmoss/contract';
import { innerVolumeL, walkingOrder, walkSeconds, wheelKey, type WheelRef } from '@dunlinmoss/core';

/** One wheel of a rig with its axle and the air it holds. */
export interface RigWheel extends WheelRef {
  readonly axle: RigAxle;
  readonly volumeL: number;
}

/** How much air a tire of an axle holds, L. */
export const volumeOf = (axle: RigAxle): number =>
  innerVolumeL({
    ...buildOf(axle),
    ...(axle.measuredWidthMm !== null && { widthMm: axle.measuredWidthMm }),
  });

/** Every wheel of a rig, in walking order. */
export const rigWheels = (rig: RigRow): RigWheel[] =>
  walkingOrder(rig).flatMap((place) => {
    const axle = rig.axles.find(({ position }) => position === place.position);
    if (!axle) return [];
    // Reckoned when it is asked for: who only wants to know what is in the tires of a farm asks for none.
    const withAir: RigWheel = {
      ...place,
      axle,
      get volumeL() {
        return volumeOf(axle);
      },
    };
    return [withAir];
  });

/** How long the walk to each wheel takes from the one before it, s; none to the first. */
export const walksOf = (rig: RigRow, order: readonly WheelRef[]): number[] =>
  order.map((place, index) => (index === 0 ? 0 : walkSeconds(geometryOf(rig), order[index - 1]!, place)));

/** Wheels in an order that was chosen before, new ones at the end. */
export function inOrder<Wheel extends WheelRef>(
  wheels: readonly Wheel[],
  keys: readonly string[] | undefined,
): Wheel[] {
  if (!keys) return [...wheels];
  const place = (wheel: Wheel): number => {
    const at = keys.indexOf(wheelKey(wheel));
    return at === -1 ? keys.length : at;
  };
  return [...wheels].sort((a, b) => place(a) - place(b));
}
