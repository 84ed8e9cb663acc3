import { compromise, GROUND_CODES, MODIFIER_CODES } from '@dunlinmoss/core';
import { z } from 'zod';

import { speedKmh } from '../quantities';
import { axlePosition, axlesInOrder } from '../resources/loadCase';
import { defineCalculator } from './calculator';
import {
  groundPlanShape,
  planAxleInput,
  planAxleOf,
  planInput,
  planInputOf,
  planOut,
  problemShape,
} from './planShapes';
import { contactPatchShape } from './shapes';

const limitOnLeg = z.strictObject({ leg: z.int(), code: z.string(), pressureKpa: z.number() });

export const onePressureCalculator = defineCalculator({
  name: 'one-pressure',
  summary:
    'The best single pressure for a day of several grounds and loads, beside what each would have; null where no pressure is safe on all',
  input: planInput.omit({ ground: true, modifiers: true, speedKmh: true }).extend({
    legs: z
      .array(
        z.strictObject({
          ground: z.enum(GROUND_CODES),
          modifiers: z.array(z.enum(MODIFIER_CODES)).default([]),
          speedKmh: speedKmh.nullable().default(null),
          /** The rig as it is loaded there; without it, as given for all. */
          axles: axlesInOrder(planAxleInput).optional(),
          /** Against the other legs. */
          weight: z.number().positive().max(1_000_000).default(1),
        }),
      )
      .min(1)
      .max(20),
  }),
  output: z.discriminatedUnion('ok', [
    z.strictObject({
      ok: z.literal(true),
      changes: z.int(),
      axles: z.array(
        z.strictObject({
          position: axlePosition,
          pressureKpa: z.number().nullable(),
          lowest: limitOnLeg,
          highest: limitOnLeg.nullable(),
          held: z.boolean(),
        }),
      ),
      legs: z.array(
        z.strictObject({
          plan: groundPlanShape,
          axles: z.array(
            z.strictObject({
              position: axlePosition,
              ownKpa: z.number(),
              aboveOwnKpa: z.number(),
              atOwn: contactPatchShape,
              atOne: contactPatchShape.nullable(),
            }),
          ),
        }),
      ),
    }),
    problemShape,
  ]),
  run: ({ legs, ...rest }) => {
    const [first] = legs;
    const base = planInputOf({ ...rest, ground: first!.ground, modifiers: [], speedKmh: null });
    const all = legs.map(({ axles, ...leg }) => ({ ...leg, axles: axles ? axles.map(planAxleOf) : base.axles }));
    const result = compromise(base, all);
    if (!result.ok) return { ok: false as const, problem: { ...result.problem } };
    return {
      ok: true as const,
      changes: result.value.changes,
      axles: [...result.value.axles],
      legs: result.value.legs.map(({ plan, axles }) => ({ plan: planOut(plan), axles: [...axles] })),
    };
  },
});
