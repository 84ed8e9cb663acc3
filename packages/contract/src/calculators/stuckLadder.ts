import { stuckLadder } from '@dunlinmoss/core';
import { z } from 'zod';

import { axlePosition } from '../resources/loadCase';
import { defineCalculator } from './calculator';
import { planInput, planInputOf, problemShape } from './planShapes';

const pressures = z.array(z.strictObject({ position: axlePosition, pressureKpa: z.number() }));

export const stuckLadderCalculator = defineCalculator({
  name: 'stuck-ladder',
  summary: 'The deliberate way below the floor, one attempt on each rung, and the way back up',
  input: planInput,
  output: z.discriminatedUnion('ok', [
    z.strictObject({
      ok: z.literal(true),
      rungs: z.array(z.strictObject({ pressures, speedKmh: z.number() })),
      back: pressures,
    }),
    problemShape,
  ]),
  run: (input) => {
    const result = stuckLadder(planInputOf(input));
    if (!result.ok) return { ok: false as const, problem: { ...result.problem } };
    return {
      ok: true as const,
      rungs: result.value.rungs.map((rung) => ({ ...rung, pressures: [...rung.pressures] })),
      back: [...result.value.back],
    };
  },
});
