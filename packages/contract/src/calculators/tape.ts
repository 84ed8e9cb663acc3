import { judgeTape } from '@dunlinmoss/core';
import { z } from 'zod';

import { contactLengthMm, pressureKpa, wheelLoadKg } from '../quantities';
import { defineCalculator } from './calculator';
import { tireInput } from '../marking';
import { buildOf } from '../rig/build';
import { tapeContactShape } from './shapes';

export const tapeCalculator = defineCalculator({
  name: 'tape',
  summary: "Judges contact lengths measured at several pressures and fits the rig's own contact constant",
  input: z.strictObject({
    ...tireInput,
    wheelLoadKg,
    method: z.enum(['poles', 'marks']),
    surface: z.enum(['firm', 'soft']),
    readings: z.array(z.strictObject({ pressureKpa, lengthMm: contactLengthMm })).max(40),
  }),
  output: z.strictObject({
    verdict: z.enum(['tooFewReadings', 'grewAsExpected', 'hardlyGrew', 'moreThanExpected']),
    rows: z.array(
      z.strictObject({ pressureKpa: z.number(), lengthMm: z.number(), predictedMm: z.number().nullable() }),
    ),
    growth: z.strictObject({ measuredMm: z.number(), predictedMm: z.number(), ratio: z.number() }).nullable(),
    contact: tapeContactShape.nullable(),
    offsetMm: z.number(),
  }),
  run: (input) => {
    const { rows, ...result } = judgeTape({ ...input, build: buildOf(input) });
    return { ...result, rows: [...rows] };
  },
});
