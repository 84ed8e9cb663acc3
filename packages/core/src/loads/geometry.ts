/** Every axle a rig can have, front to rear, and what is coupled behind it. */
export const AXLE_POSITIONS = ['front', 'rear', 'rear2', 'trailer', 'trailer2', 'trailer3'] as const;
export type AxlePosition = (typeof AXLE_POSITIONS)[number];

export const isTrailer = (position: AxlePosition): boolean => position.startsWith('trailer');

/** Wheels side by side on an axle: one, two, or a pair on each side. */
export const WHEEL_COUNTS = [1, 2, 4] as const;
export type WheelCount = (typeof WHEEL_COUNTS)[number];

export const WHEEL_CODES = ['single', 'left', 'right', 'leftOuter', 'leftInner', 'rightInner', 'rightOuter'] as const;
export type WheelCode = (typeof WHEEL_CODES)[number];

const WHEELS: Record<WheelCount, readonly WheelCode[]> = {
  1: ['single'],
  2: ['left', 'right'],
  4: ['leftOuter', 'leftInner', 'rightInner', 'rightOuter'],
};

/** The wheels of an axle, left to right. */
export const wheelsOf = (count: WheelCount): readonly WheelCode[] => WHEELS[count];

export type Side = 'left' | 'right' | 'middle';
export const sideOf = (wheel: WheelCode): Side =>
  wheel === 'single' ? 'middle' : wheel.startsWith('left') ? 'left' : 'right';

/** Where an axle stands. */
export interface AxlePlace {
  readonly position: AxlePosition;
  readonly wheels: WheelCount;
  /** Behind the front axle; for a trailer's axle behind the coupling. mm. */
  readonly behindMm: number;
  /** From the middle of the left wheel, or pair, to that of the right. mm; null where it is not known. */
  readonly trackMm: number | null;
}

/** A rig seen from above. */
export interface RigGeometry {
  readonly axles: readonly AxlePlace[];
  /** The coupling behind the front axle of the vehicle, mm; null without one. */
  readonly hitchMm: number | null;
}
