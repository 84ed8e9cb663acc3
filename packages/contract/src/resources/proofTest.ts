import { LOAD_RANGE_CODES } from '@dunlinmoss/core';
import { z } from 'zod';

import { tireMarking } from '../marking';
import { contactLengthMm, id, pressureKpa, revision, timestamp, wheelLoadKg } from '../quantities';
import { stamps } from './row';

export const WHEELS = ['frontLeft', 'frontRight', 'rearLeft', 'rearRight'] as const;

/** The tape test's own part. Tire and load are kept as they were on the day, so that a changed rig rewrites no history. */
export const tapeDetails = z.strictObject({
  wheel: z.enum(WHEELS),
  tireMarking,
  loadRange: z.enum(LOAD_RANGE_CODES),
  wheelLoadKg,
  surface: z.enum(['firm', 'soft']),
  method: z.enum(['poles', 'marks']),
  /** The gauge of the readings, which are kept as it showed them; null for one that was taken as true. */
  gauge: z.strictObject({ gaugeId: id, offsetKpa: z.number().min(-500).max(500) }).nullable(),
  readings: z
    .array(z.strictObject({ pressureKpa, lengthMm: contactLengthMm }))
    .min(1)
    .max(40),
});

/** A test as a person saves it. A new kind of test adds its details to this union. */
export const proofTest = z.strictObject({
  id,
  revision,
  rigId: id,
  outingId: id.nullable(),
  performedAt: timestamp,
  kind: z.literal('tape'),
  details: tapeDetails,
});

export const proofTestRow = proofTest.extend(stamps);

export type ProofTest = z.infer<typeof proofTest>;
export type ProofTestRow = z.infer<typeof proofTestRow>;
export type TapeDetails = z.infer<typeof tapeDetails>;
export type Wheel = (typeof WHEELS)[number];
