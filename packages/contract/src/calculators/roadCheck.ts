import { bestUse, FAMILY_CODES, innerVolumeL, limpSpeedKmh, onPavement, wheelsOf } from '@dunlinmoss/core';
import { z } from 'zod';

import { gaugeStepKpa, pressureKpa, speedKmh } from '../quantities';
import { wheelRef } from '../resources/wheelRef';
import { defineCalculator } from './calculator';
import { planAxleInput, planAxleOf } from './planShapes';

export const roadCheckCalculator = defineCalculator({
  name: 'road-check',
  summary: 'How fast a rig may go on pavement with what is in its tires, and the best use of too little air',
  input: z.strictObject({
    family: z.enum(FAMILY_CODES),
    roadSpeedKmh: speedKmh.nullable().default(null),
    axles: z
      .array(planAxleInput.extend({ nowKpa: pressureKpa }))
      .min(1)
      .max(6),
    /** What there is to put in, L at 1 atm. */
    liters: z.number().min(0).max(1_000_000).default(0),
    stepKpa: gaugeStepKpa.default(7),
  }),
  output: z.strictObject({
    /** With what is in them now; null where all have their road pressure. */
    limpSpeedKmh: z.number().nullable(),
    best: z.strictObject({
      speedKmh: z.number().nullable(),
      neededLiters: z.number(),
      wheels: z.array(z.strictObject({ ...wheelRef, fromKpa: z.number(), toKpa: z.number(), liters: z.number() })),
    }),
  }),
  run: ({ family, roadSpeedKmh, axles, liters, stepKpa }) => {
    const contexts = onPavement({
      family,
      roadSpeedKmh,
      axles: axles.map(({ nowKpa: _, ...axle }) => planAxleOf(axle)),
    });
    const wheels = contexts.flatMap((context, index) => {
      const { position, wheels: count } = context.axle;
      const volumeL = innerVolumeL(context.build);
      const { nowKpa } = axles[index]!;
      return wheelsOf(count).map((wheel) => ({ position, wheel, context, volumeL, nowKpa }));
    });
    const best = bestUse(wheels, liters, stepKpa);
    return {
      limpSpeedKmh: limpSpeedKmh(
        contexts,
        axles.map(({ nowKpa }) => nowKpa),
        stepKpa,
      ),
      best: { ...best, wheels: [...best.wheels] },
    };
  },
});
