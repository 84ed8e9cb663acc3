import { creepsBackKpa, drainPlan, outToolOf, rateFrom } from '@dunlinmoss/core';
import { z } from 'zod';

import { gaugeStepKpa, pressureKpa, volumeL } from '../quantities';
import { wheelRef } from '../resources/wheelRef';
import { airToolKind, airWheel, outsideKpaAbs } from './airShapes';
import { defineCalculator } from './calculator';
import { problemShape } from './planShapes';

export const letOutCalculator = defineCalculator({
  name: 'let-out',
  summary: 'How long letting air out takes with a tool, wheel by wheel, by what was timed with it before',
  input: z.strictObject({
    tool: airToolKind,
    wheelsAtOnce: z.int().min(1).max(6).optional(),
    outsideKpaAbs,
    wheels: z.array(airWheel).min(1).max(24),
    timed: z
      .array(
        z.strictObject({
          volumeL,
          beforeKpa: pressureKpa,
          afterKpa: pressureKpa,
          seconds: z.number().min(0.1).max(36_000),
          readingKpa: gaugeStepKpa.default(2),
        }),
      )
      .max(200)
      .default([]),
  }),
  output: z.discriminatedUnion('ok', [
    z.strictObject({
      ok: z.literal(true),
      conductanceLPerS: z.number(),
      relativeError: z.number(),
      totalS: z.number(),
      wheels: z.array(
        z.strictObject({
          ...wheelRef,
          startS: z.number(),
          openS: z.number(),
          endS: z.number(),
          /** How far the gauge creeps back up within minutes, as the air that is left warms. */
          creepsKpa: z.number(),
        }),
      ),
    }),
    problemShape,
  ]),
  run: ({ tool: code, wheels, timed, wheelsAtOnce, outsideKpaAbs: outside }) => {
    const tool = outToolOf(code);
    if (!tool) return { ok: false as const, problem: { code: 'letsNothingOut' } };
    const rate = rateFrom(
      tool.conductanceLPerS,
      timed.map((drop) => ({ ...drop, outsideKpaAbs: outside })),
    );
    const plan = drainPlan(tool, rate, wheels, outside, wheelsAtOnce);
    return {
      ok: true as const,
      conductanceLPerS: rate.conductanceLPerS,
      relativeError: plan.relativeError,
      totalS: plan.totalS,
      wheels: plan.wheels.map((wheel, index) => ({
        ...wheel,
        creepsKpa: creepsBackKpa(wheels[index]!.fromKpa, wheels[index]!.toKpa, wheel.openS, outside),
      })),
    };
  },
});
