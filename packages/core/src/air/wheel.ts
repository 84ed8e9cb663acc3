import type { AxlePosition, WheelCode } from '../loads/geometry';

/** One wheel of a rig. */
export interface WheelPlace {
  readonly position: AxlePosition;
  readonly wheel: WheelCode;
}

/** A wheel as a key: `front left`. */
export const wheelKey = ({ position, wheel }: WheelPlace): string => `${position} ${wheel}`;

export const sameWheel = (a: WheelPlace, b: WheelPlace): boolean => a.position === b.position && a.wheel === b.wheel;
