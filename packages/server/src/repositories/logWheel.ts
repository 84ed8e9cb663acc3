import { AXLE_POSITIONS, WHEEL_CODES, type AxlePosition, type WheelRef } from '@dunlinmoss/core';

/** So many wheels an axle may have at the most in the numbers of a log: places for more are left. */
const AN_AXLE = 8;

/** A wheel as the rows of a log number it: eight times the place of its axle, and its own. */
export const logWheel = (position: string, wheel: string): number =>
  AN_AXLE * AXLE_POSITIONS.indexOf(position as AxlePosition) + WHEEL_CODES.indexOf(wheel as WheelRef['wheel']);

/** The same turned round. */
export const wheelOfLog = (number: number): WheelRef => ({
  position: AXLE_POSITIONS[Math.floor(number / AN_AXLE)]!,
  wheel: WHEEL_CODES[number % AN_AXLE]!,
});
