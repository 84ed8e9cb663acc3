import { z } from 'zod';

import { altitudeM, id, pressureKpa, revision, tempC, timestamp } from '../quantities';
import { gaugeUsed } from './airing';
import { stamps } from './row';
import { wheelRef } from './wheelRef';

/** Why somebody went round with a gauge. */
export const OCCASIONS = ['watch', 'coldStart', 'afterAnHour', 'storage', 'roadCheck'] as const;

/** Wheels read with a gauge, one after the other. */
export const readingRound = z
  .strictObject({
    id,
    revision,
    rigId: id,
    outingId: id.nullable(),
    readAt: timestamp,
    occasion: z.enum(OCCASIONS),
    gauge: gaugeUsed,
    /** Outside, and in the tires; null where nobody measured. */
    airTempC: tempC.nullable(),
    tireTempC: tempC.nullable(),
    altitudeM,
    /** Within three quarters of an hour of moving: what is read then is no cold reading. */
    justDriven: z.boolean().default(false),
    wheels: z
      .array(z.strictObject({ ...wheelRef, shownKpa: pressureKpa }))
      .min(1)
      .max(24),
  })
  .refine(({ wheels }) => new Set(wheels.map(({ position, wheel }) => `${position} ${wheel}`)).size === wheels.length, {
    path: ['wheels'],
    message: 'expected each wheel once',
    params: { code: 'wheelTwice' },
  });

export const readingRoundRow = readingRound.safeExtend(stamps);

export type ReadingRound = z.infer<typeof readingRound>;
export type ReadingRoundRow = z.infer<typeof readingRoundRow>;
export type Occasion = (typeof OCCASIONS)[number];
