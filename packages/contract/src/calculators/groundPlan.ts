import { planGround } from '@dunlinmoss/core';
import { z } from 'zod';

import { defineCalculator } from './calculator';
import { groundPlanShape, planInput, planInputOf, planOut, problemShape } from './planShapes';

export const groundPlanCalculator = defineCalculator({
  name: 'ground-plan',
  summary:
    'Cold pressures for each axle of a rig on one ground: start, window, floor, ceiling, every school, what the tire does, cautions and the working; or what stands in the way',
  input: planInput,
  output: z.discriminatedUnion('ok', [z.strictObject({ ok: z.literal(true), value: groundPlanShape }), problemShape]),
  run: (input) => {
    const result = planGround(planInputOf(input));
    return result.ok
      ? { ok: true as const, value: planOut(result.value) }
      : { ok: false as const, problem: { ...result.problem } };
  },
});
