import type { AxlePosition, WheelCode } from '../loads/geometry';

/** One wheel of a rig. */
export interface WheelRef {
  readonly position: AxlePosition;
  readonly wheel: WheelCode;
}

/** A wheel as a key: `front left`. */
export const wheelKey = ({ position, wheel }: WheelRef): string => `${position} ${wheel}`;

export const sameWheel = (a: WheelRef, b: WheelRef): boolean => a.position === b.position && a.wheel === b.wheel;
