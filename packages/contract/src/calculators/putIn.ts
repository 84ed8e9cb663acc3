import { fillPlan, inToolOf, type Pump } from '@dunlinmoss/core';
import { z } from 'zod';

import { airTool } from '../resources/airTool';
import { wheelRef } from '../resources/wheelRef';
import { airToolKind, airWheel, outsideKpaAbs, place } from './airShapes';
import { defineCalculator } from './calculator';
import { problemShape } from './planShapes';

export const putInCalculator = defineCalculator({
  name: 'put-in',
  summary: 'How long filling takes with a pump, its rests, what is left of its charge, and whether it will be enough',
  input: z.strictObject({
    tool: airToolKind,
    flow: airTool.shape.flow,
    duty: airTool.shape.duty,
    budget: airTool.shape.budget,
    rate: z.number().min(0.05).max(10).default(1),
    outsideKpaAbs,
    wheelsAtOnce: airTool.shape.wheelsAtOnce.default(1),
    wheels: z.array(airWheel).min(1).max(24),
  }),
  output: z.discriminatedUnion('ok', [
    z.strictObject({
      ok: z.literal(true),
      totalS: z.number(),
      runS: z.number(),
      restS: z.number(),
      liters: z.number(),
      missingLiters: z.number(),
      /** How long the pump has run since it last rested, s; 0 where it need not rest. */
      ranS: z.number(),
      shortAt: place.nullable(),
      shortBecause: z.enum(['stalls', 'runsOut']).nullable(),
      wheels: z.array(
        z.strictObject({
          ...wheelRef,
          fromKpa: z.number(),
          toKpa: z.number(),
          reachedKpa: z.number(),
          enough: z.boolean(),
          startS: z.number(),
          endS: z.number(),
          runS: z.number(),
          restS: z.number(),
          liters: z.number(),
          leftLiters: z.number().nullable(),
        }),
      ),
    }),
    problemShape,
  ]),
  run: ({ tool: code, flow, duty, budget, rate, wheels, wheelsAtOnce, outsideKpaAbs: outside }) => {
    const tool = inToolOf(code);
    if (!tool) return { ok: false as const, problem: { code: 'putsNothingIn' } };
    const pump: Pump = {
      flow: flow.length > 0 ? (flow as unknown as Pump['flow']) : tool.pump.flow,
      duty: duty ?? tool.pump.duty,
      budget: budget ?? tool.pump.budget,
    };
    const plan = fillPlan({ wheels, pump, outsideKpaAbs: outside, setUpS: tool.setUpS, rate, wheelsAtOnce });
    return { ok: true as const, ...plan, wheels: [...plan.wheels] };
  },
});
