import { AXLE_POSITIONS, WHEEL_CODES } from '@dunlinmoss/core';
import { z } from 'zod';

import { axlePosition } from './loadCase';

/** One wheel of a rig, as fields of a row about it. */
export const wheelRef = { position: axlePosition, wheel: z.enum(WHEEL_CODES) };

/** One wheel as one word, as the core's `wheelKey` writes it. */
export const wheelKey = z.enum(
  AXLE_POSITIONS.flatMap((position) => WHEEL_CODES.map((wheel) => `${position} ${wheel}` as const)),
);
