import { GROUND_CODES, MODIFIER_CODES } from '@dunlinmoss/core';
import { z } from 'zod';

import { id, pressureKpa, revision, speedKmh, timestamp } from '../quantities';
import { axlePosition } from './loadCase';
import { stamps } from './row';

/** Where an outing stands: nothing set yet, air let out, back at road pressure. */
export const OUTING_STATES = ['planned', 'lowered', 'closed'] as const;

/** What was decided after driving and testing. */
export const DECISIONS = ['keep', 'lower', 'higher', 'turnedBack'] as const;

/** One drive on one ground, as a person saves it. */
export const outing = z
  .strictObject({
    id,
    revision,
    rigId: id,
    /** How the rig is loaded on this drive; null goes by the load case that stands on the rig. */
    loadCaseId: id.nullable(),
    groundCode: z.enum(GROUND_CODES),
    /** What was said of the day. */
    modifiers: z.array(z.enum(MODIFIER_CODES)).max(MODIFIER_CODES.length).default([]),
    /** How fast it has to go there; null goes by the ground's guide. */
    speedKmh: speedKmh.nullable().default(null),
    /** How full its tanks are on this drive, 0 to 1; null goes by the load case. */
    tankLevel: z.number().min(0).max(1).nullable().default(null),
    /** How far below the floor the person has gone, stuck: 0 not at all, then one rung of the ladder at a time. */
    stuckRung: z.int().min(0).max(3).default(0),
    title: z.string().trim().max(80),
    startedAt: timestamp,
    state: z.enum(OUTING_STATES),
    /** Cold pressures that were set, one an axle; empty until the air is out. */
    pressures: z.array(z.strictObject({ position: axlePosition, pressureKpa })).max(6),
    /** When these pressures were set; null where nothing was, or by an earlier version. */
    pressuresAt: timestamp.nullable().default(null),
    decision: z
      .strictObject({
        code: z.enum(DECISIONS),
        note: z.string().trim().max(500),
        /** False for one that was struck: it is kept and shown, and no number stands on it. */
        counts: z.boolean().default(true),
      })
      .nullable(),
  })
  .refine(({ state, pressures }) => state !== 'lowered' || pressures.length > 0, {
    path: ['pressures'],
    message: 'expected the pressures that were set, because the outing says that air was let out',
    params: { code: 'pressuresMissing' },
  })
  .refine(({ modifiers }) => new Set(modifiers).size === modifiers.length, {
    path: ['modifiers'],
    message: 'expected each once',
    params: { code: 'modifierTwice' },
  })
  .refine(({ pressures }) => new Set(pressures.map(({ position }) => position)).size === pressures.length, {
    path: ['pressures'],
    message: 'expected each axle once',
    params: { code: 'axleTwice' },
  });

export const outingRow = outing.safeExtend({
  ...stamps,
  /** The rig's name, so that an outing can still be listed when its rig is archived. */
  rigName: z.string(),
});

export type Outing = z.infer<typeof outing>;
export type OutingRow = z.infer<typeof outingRow>;
export type OutingState = (typeof OUTING_STATES)[number];
export type DecisionCode = (typeof DECISIONS)[number];
