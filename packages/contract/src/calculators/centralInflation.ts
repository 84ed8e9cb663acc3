import { centralCost, centralTimes } from '@dunlinmoss/core';
import { z } from 'zod';

import {
  conductanceLPerS,
  litersPerMin,
  pressureKpa,
  pumpedKpa,
  someLitersPerMin,
  speedKmh,
  volumeL,
} from '../quantities';
import { axlePosition } from '../resources/loadCase';
import { outsideKpaAbs } from './airShapes';
import { defineCalculator } from './calculator';

export const centralInflationCalculator = defineCalculator({
  name: 'central-inflation',
  heavy: true,
  summary: 'How long central inflation takes from road to field and back, and what waiting at the gate costs in a day',
  input: z.strictObject({
    axles: z
      .array(
        z.strictObject({
          position: axlePosition,
          wheels: z.int().min(1).max(4),
          volumeL,
          roadKpa: pumpedKpa,
          fieldKpa: pumpedKpa,
        }),
      )
      .min(1)
      .max(6),
    outLPerS: conductanceLPerS,
    lineLPerS: conductanceLPerS,
    supply: z
      .tuple([z.strictObject({ pressureKpa, litersPerMin: someLitersPerMin })])
      .rest(z.strictObject({ pressureKpa, litersPerMin })),
    tankL: volumeL,
    tankKpa: pumpedKpa,
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
    upProblem: z.enum(['overAnHour', 'tankTooSmall']).nullable(),
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
    const { downS, upS, upProblem } = centralTimes(input);
    return { downS, upS, upProblem, cost: upS === null ? null : centralCost({ downS, upS }, day) };
  },
});
