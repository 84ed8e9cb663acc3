import {
  FAMILY_CODES,
  familyOf,
  judgeRoutine,
  planGround,
  ROUTINE_CODES,
  testLimitsOf,
  type RoutineCode,
} from '@dunlinmoss/core';
import { z } from 'zod';

import { someLoadKg } from '../quantities';
import { axlePosition } from '../resources/loadCase';
import { routineFields } from '../resources/proofTest';
import { defineCalculator } from './calculator';
import { planInput, planInputOf } from './planShapes';
import { tireInput } from '../marking';
import { buildOf } from '../rig/build';

const dashed = (code: RoutineCode): string => code.replaceAll(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);

/** Judges one kind of test from what was written down. Every test of the registry has its own. */
export const routineCalculators = ROUTINE_CODES.map((code) =>
  defineCalculator({
    name: `proof-${dashed(code)}`,
    summary: `Judges a test (${code}): what it says, which way to go, how sure, and which runs contradict each other`,
    input: z.strictObject({
      ...tireInput,
      family: z.enum(FAMILY_CODES),
      wheelLoadKg: someLoadKg.nullable().default(null),
      /** The rig on the ground it is tested for: what is proposed stays between the floors and ceilings of its plan. */
      plan: planInput.nullable().default(null),
      /** The axle that is tested; null is the rig as it rolls. */
      position: axlePosition.nullable().default(null),
      ...routineFields(code),
    }),
    output: z.strictObject({
      verdict: z.string(),
      move: z.enum(['softer', 'firmer', 'keep', 'again', 'look']),
      stepKpa: z.number().nullable(),
      tryKpa: z.number().nullable(),
      /** The limit that what is to be tried was held at. */
      heldAt: z.string().nullable(),
      sure: z.number().min(0).max(1).nullable(),
      figures: z.record(z.string(), z.number()),
      levels: z.array(z.strictObject({ pressureKpa: z.number(), values: z.array(z.number()), mean: z.number() })),
      runs: z.array(z.string()),
      contradictions: z.array(z.tuple([z.int(), z.int()])),
    }),
    run: ({ family, wheelLoadKg, plan, position, setup, runs, ...tire }) => {
      const planned = plan && planGround(planInputOf(plan));
      const on = {
        family: familyOf(family),
        build: buildOf(tire),
        wheelLoadKg,
        ...(planned?.ok && { limits: testLimitsOf(planned.value, position) }),
      };
      const { levels, runs: words, contradictions, figures, ...rest } = judgeRoutine({ code, setup, runs, on });
      return {
        ...rest,
        figures: { ...figures },
        runs: [...words],
        levels: levels.map(({ values, ...level }) => ({ ...level, values: [...values] })),
        contradictions: contradictions.map(([a, b]): [number, number] => [a, b]),
      };
    },
  }),
);
