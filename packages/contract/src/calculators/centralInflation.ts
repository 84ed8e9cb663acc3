import { centralCost, centralTimes } from '@dunlinmoss/core';
import { z } from 'zod';

import { pressureKpa, speedKmh } from '../quantities';
import { axlePosition } from '../resources/loadCase';
import { outsideKpaAbs } from './airShapes';
import { defineCalculator } from './calculator';

export const centralInflationCalculator = defineCalculator({
  name: 'central-inflation',
  summary: 'How long central inflation takes from road to field and back, and what waiting at the gate costs in a day',
  input: z.strictObject({
    axles: z
      .array(
        z.strictObject({
          position: axlePosition,
          wheels: z.int().min(1).max(4),
          volumeL: z.number().positive().max(10_000),
          roadKpa: pressureKpa.positive(),
          fieldKpa: pressureKpa.positive(),
        }),
      )
      .min(1)
      .max(6),
    outLPerS: z.number().positive().max(100),
    lineLPerS: z.number().positive().max(100),
    supply: z
      .tuple([z.strictObject({ pressureKpa, litersPerMin: z.number().positive().max(100_000) })])
      .rest(z.strictObject({ pressureKpa, litersPerMin: z.number().min(0).max(100_000) })),
    tankL: z.number().positive().max(10_000),
    tankKpa: pressureKpa.positive(),
    outsideKpaAbs,
    day: z.strictObject({
      distanceM: z.number().min(0).max(100_000),
      speedKmh,
      cycles: z.int().min(0).max(200),
    }),
  }),
  output: z.strictObject({
    downS: z.number(),
    upS: z.number().nullable(),
    cost: z
      .strictObject({
        doneBeforeGate: z.boolean(),
        beginM: z.number(),
        waitDownS: z.number(),
        waitUpS: z.number(),
        minutesADay: z.number(),
      })
      .nullable(),
  }),
  run: ({ day, ...input }) => {
    const { downS, upS } = centralTimes(input);
    return { downS, upS, cost: upS === null ? null : centralCost({ downS, upS }, day) };
  },
});
