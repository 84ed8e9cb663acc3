import { LOAD_RANGE_CODES } from '@dunlinmoss/core';
import { z } from 'zod';

import { tireMarking } from '../marking';
import { id, placardKpa, revision, wheelLoadKg } from '../quantities';
import { stamps } from './row';

export const axlePosition = z.enum(['front', 'rear']);

export const rigAxle = z.strictObject({
  position: axlePosition,
  tireMarking,
  loadRange: z.enum(LOAD_RANGE_CODES),
  placardKpa,
  /** `axle`: the axle was weighed and halved; `wheel`: each wheel was weighed. */
  loadsFrom: z.enum(['axle', 'wheel']),
  leftLoadKg: wheelLoadKg,
  rightLoadKg: wheelLoadKg,
});

/** A rig as a person saves it. */
export const rig = z.strictObject({
  id,
  revision,
  family: z.literal('fourWheel'),
  name: z.string().trim().min(1).max(60),
  beadLocks: z.boolean(),
  axles: z
    .array(rigAxle)
    .length(2)
    .refine((axles) => axles[0]?.position === 'front' && axles[1]?.position === 'rear', {
      message: 'expected the front axle, then the rear axle',
      params: { code: 'axleOrder' },
    }),
});

export const rigRow = rig.extend(stamps);

export type Rig = z.infer<typeof rig>;
export type RigAxle = z.infer<typeof rigAxle>;
export type RigRow = z.infer<typeof rigRow>;
