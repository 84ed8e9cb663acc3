import { AIR_TOOL_CODES } from '@dunlinmoss/core';
import { z } from 'zod';

import { altitudeM, id, offsetKpa, pressureKpa, revision, tempC, timestamp, volumeL } from '../quantities';
import { stamps } from './row';
import { wheelRef } from './wheelRef';

/** The gauge of readings that are kept as it showed them; null for one that was taken as true. */
export const gaugeUsed = z.strictObject({ gaugeId: id, offsetKpa }).nullable();

const wheel = z.strictObject({
  ...wheelRef,
  volumeL,
  /** What it is to have, cold, and what the gauge should show for that as warm as the tires were. */
  coldKpa: pressureKpa,
  targetKpa: pressureKpa,
  /** What the person said of it: well as it is, or left out. */
  settled: z.enum(['accepted', 'skipped']).nullable(),
});

const run = z.strictObject({
  ...wheelRef,
  startedAt: timestamp,
  /** Null while it goes on. */
  endedAt: timestamp.nullable(),
  /** As the gauge showed it. */
  beforeKpa: pressureKpa,
  /** Null until it was read. */
  afterKpa: pressureKpa.nullable(),
  /** False where the clock can't be trusted for it. */
  timed: z.boolean(),
});

const placeOf = ({ position, wheel: code }: { position: string; wheel: string }): string => `${position} ${code}`;

/** Air let out of a rig's wheels or put back, one after the other: what was tapped and read. */
export const airing = z
  .strictObject({
    id,
    revision,
    rigId: id,
    outingId: id.nullable(),
    way: z.enum(['out', 'in']),
    toolId: id.nullable(),
    toolKind: z.enum(AIR_TOOL_CODES),
    startedAt: timestamp,
    /** Null while it goes on. */
    endedAt: timestamp.nullable(),
    gauge: gaugeUsed,
    coldTempC: tempC,
    tireTempC: tempC,
    altitudeM,
    /** Within three quarters of an hour of moving, and nobody measured how warm: what is read may be less cold. */
    justDriven: z.boolean().default(false),
    /** In the order they are walked. */
    wheels: z.array(wheel).min(1).max(24),
    runs: z.array(run).max(400),
  })
  .refine(({ wheels }) => new Set(wheels.map(placeOf)).size === wheels.length, {
    path: ['wheels'],
    message: 'expected each wheel once',
    params: { code: 'wheelTwice' },
  })
  .refine(({ wheels, runs }) => runs.every((each) => wheels.some((one) => placeOf(one) === placeOf(each))), {
    path: ['runs'],
    message: 'expected runs of the wheels of this airing alone',
    params: { code: 'noSuchWheel' },
  })
  .refine(({ runs }) => new Set(runs.map((each) => `${placeOf(each)} ${each.startedAt}`)).size === runs.length, {
    path: ['runs'],
    message: 'expected each run once',
    params: { code: 'runTwice' },
  });

export const airingRow = airing.safeExtend(stamps);

export type Airing = z.infer<typeof airing>;
export type AiringRow = z.infer<typeof airingRow>;
export type AiringWheel = z.infer<typeof wheel>;
export type AiringRunBody = z.infer<typeof run>;
