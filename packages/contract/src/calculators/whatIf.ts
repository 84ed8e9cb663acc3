import { contextsOf, planGround, whatIf } from '@dunlinmoss/core';
import { z } from 'zod';

import { pressureKpa } from '../quantities';
import { axlePosition } from '../resources/loadCase';
import { defineCalculator } from './calculator';
import { planInput, planInputOf, problemShape } from './planShapes';
import { contactPatchShape } from './shapes';

export const whatIfCalculator = defineCalculator({
  name: 'what-if',
  summary:
    'What each axle of a rig would do at another pressure on one ground, and how near it would come to each limit',
  input: planInput.extend({ pressureKpa }),
  output: z.discriminatedUnion('ok', [
    z.strictObject({
      ok: z.literal(true),
      axles: z.array(
        z.strictObject({
          position: axlePosition,
          pressureKpa: z.number(),
          patch: contactPatchShape.nullable(),
          clearanceLostMm: z.number().nullable(),
          speedKmh: z.number().nullable(),
          loadLeftKg: z.number().nullable(),
          limits: z.array(z.strictObject({ code: z.string(), limitKpa: z.number(), insideKpa: z.number() })),
        }),
      ),
    }),
    problemShape,
  ]),
  run: ({ pressureKpa: setKpa, ...rest }) => {
    const input = planInputOf(rest);
    const plan = planGround(input);
    if (!plan.ok) return { ok: false as const, problem: { ...plan.problem } };
    return {
      ok: true as const,
      axles: contextsOf(input).map((context, index) => {
        const axle = plan.value.axles[index]!;
        const { limits, ...what } = whatIf(context, axle, setKpa);
        return { position: axle.position, ...what, limits: [...limits] };
      }),
    };
  },
});
