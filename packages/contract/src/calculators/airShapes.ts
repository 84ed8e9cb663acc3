import { AIR_TOOL_CODES } from '@dunlinmoss/core';
import { z } from 'zod';

import { pressureKpa, volumeL } from '../quantities';
import { wheelRef } from '../resources/wheelRef';

/** A wheel that air goes out of or into. */
export const airWheel = z.strictObject({
  ...wheelRef,
  volumeL,
  fromKpa: pressureKpa,
  toKpa: pressureKpa,
  /** From the wheel before it, s. */
  walkS: z.number().min(0).max(3_600).default(0),
});

export const outsideKpaAbs = z.number().min(30).max(110).default(101.325);
export const airToolKind = z.enum(AIR_TOOL_CODES);
export const place = z.strictObject(wheelRef);
