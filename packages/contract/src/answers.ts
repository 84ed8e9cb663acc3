import { GROUND_CODES, MODIFIER_CODES, type GroundCode, type ModifierCode } from '@dunlinmoss/core';
import { z } from 'zod';

import { groundPlanShape, problemShape } from './calculators/planShapes';
import { id, name, pressureKpa, speedKmh } from './quantities';
import { axlePosition } from './resources/loadCase';

/*
 * What the API answers about a rig from everything that is kept of it, beside the rows themselves: the same answers that
 * the application gives on the device.
 */

/** What is asked for beside the rig itself; what is left out goes by the rig and the ground. */
export const planQuery = z.strictObject({
  ground: z.enum(GROUND_CODES as readonly [GroundCode, ...GroundCode[]]).optional(),
  loadCaseId: id.optional(),
  /** Codes, parted by commas. */
  modifiers: z
    .string()
    .max(400)
    .transform((text) => text.split(',').filter((part) => part !== ''))
    .pipe(z.array(z.enum(MODIFIER_CODES as readonly [ModifierCode, ...ModifierCode[]])))
    .default([]),
  speedKmh: z.coerce.number().pipe(speedKmh).optional(),
});

/** A plan of a rig on a ground, or what stands in its way. */
export const rigPlan = z.discriminatedUnion('ok', [
  z.strictObject({ ok: z.literal(true), value: groundPlanShape }),
  problemShape,
]);

/** Where an outing stands on its path. */
export const NEXT_STEPS = ['start', 'setPressures', 'backUp', 'test', 'decide', 'airUp'] as const;

/** What comes next with a machine, whether an outing says so or not. */
export const BOARD_STEPS = [
  ...NEXT_STEPS,
  /** Air is going out or in just now. */
  'goOn',
  /** It stands low, and no outing says why: put the air back, or read it. */
  'standsLow',
  /** Its air is back: the outing can be ended. */
  'endOuting',
] as const;

/** The one next step of a rig, with the outing that it belongs to and what was set on it. */
export const rigNextStep = z.strictObject({
  step: z.enum(BOARD_STEPS),
  outingId: id.nullable(),
  pressures: z.array(z.strictObject({ position: axlePosition, pressureKpa })),
});

/** Every ground of a rig in one load case: what its pressure card is made of. */
export const rigCard = z.strictObject({
  rigId: id,
  name,
  loadCaseId: id.nullable(),
  grounds: z.array(z.strictObject({ ground: z.enum(GROUND_CODES), plan: rigPlan })),
});

export type RigPlan = z.infer<typeof rigPlan>;
export type NextStep = (typeof NEXT_STEPS)[number];
export type BoardStep = (typeof BOARD_STEPS)[number];
export type RigNextStep = z.infer<typeof rigNextStep>;
export type RigCard = z.infer<typeof rigCard>;
