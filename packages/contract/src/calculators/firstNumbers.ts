import { firstNumbers, groundsFor, familyOf, SCHOOL_CODES, GROUND_CODES, USUAL_RIG_CODES } from '@dunlinmoss/core';
import { z } from 'zod';

import { someLoadKg } from '../quantities';
import { axlePosition, axlesInOrder } from '../resources/loadCase';
import { defineCalculator } from './calculator';
import { planAxleInput, planAxleOf, planInput, problemShape } from './planShapes';

const speeds = z.strictObject({ low: z.number(), high: z.number() });

export const firstNumbersCalculator = defineCalculator({
  name: 'first-numbers',
  summary:
    'Pressures before any scale, by ground: a rule of thumb that asks for no load, or the whole split by its kind; each says how far it may be off',
  input: planInput.omit({ axles: true, ground: true, stuckAccepted: true, unweighed: true }).extend({
    /** Null answers for every ground of the family. */
    ground: z.enum(GROUND_CODES).nullable().default(null),
    axles: axlesInOrder(planAxleInput.omit({ leftLoadKg: true, rightLoadKg: true })),
    /** The whole rig as it stands; null where nobody knows it. */
    totalKg: someLoadKg.nullable().default(null),
    laden: z.enum(['empty', 'loaded']).default('empty'),
    /** Which usual rig it is like; null takes the first of its family. */
    like: z.enum(USUAL_RIG_CODES).nullable().default(null),
  }),
  output: z.strictObject({
    grounds: z.array(
      z.discriminatedUnion('ok', [
        z.strictObject({
          ok: z.literal(true),
          ground: z.enum(GROUND_CODES),
          basis: z.enum(['ruleOfThumb', 'split']),
          school: z.enum(SCHOOL_CODES).nullable(),
          speedGuideKmh: speeds.nullable(),
          axles: z.array(
            z.strictObject({
              position: axlePosition,
              startKpa: z.number(),
              lowKpa: z.number(),
              highKpa: z.number(),
              floor: z.strictObject({ code: z.string(), pressureKpa: z.number() }),
              schools: z.array(z.strictObject({ code: z.enum(SCHOOL_CODES), startKpa: z.number() })),
              takenKg: z.number().nullable(),
              mayBeOffKpa: z.number().nullable(),
            }),
          ),
        }),
        problemShape.extend({ ground: z.enum(GROUND_CODES) }),
      ]),
    ),
  }),
  run: ({ ground, axles, ...rest }) => {
    // A load that is put in to satisfy the shape, and taken out again.
    const unweighed = axles.map((axle) => planAxleOf({ ...axle, leftLoadKg: 1, rightLoadKg: 1 }));
    const asked = ground === null ? groundsFor(familyOf(rest.family)) : [ground];
    return {
      grounds: asked.map((each) => {
        const result = firstNumbers({ ...rest, ground: each, axles: unweighed });
        if (!result.ok) return { ok: false as const, ground: each, problem: { ...result.problem } };
        const { axles: found, plan: _, ...value } = result.value;
        return {
          ok: true as const,
          ground: each,
          ...value,
          axles: found.map(({ schools, ...axle }) => ({ ...axle, schools: [...schools] })),
        };
      }),
    };
  },
});
