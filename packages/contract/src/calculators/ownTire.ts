import { ownTire } from '@dunlinmoss/core';
import { z } from 'zod';

import { pressureKpa, someLoadKg } from '../quantities';
import { defineCalculator } from './calculator';
import { tireInput } from '../marking';
import { buildOf } from '../rig/build';
import { ownTireShape } from './shapes';

export const ownTireCalculator = defineCalculator({
  name: 'own-tire',
  summary:
    "What a tire's own readings make of the handbook's contact length, width, carcass or drop, and of the gauge, with nine chances in ten",
  input: z.strictObject({
    ...tireInput,
    readings: z
      .array(
        z.strictObject({
          of: z.enum(['length', 'width', 'settles']),
          pressureKpa,
          loadKg: someLoadKg,
          valueMm: z.number().min(0).max(5_000),
          deviationMm: z.number().min(0.1).max(200),
          /** Readings that are all too long by the same share one name; null reads the thing itself. */
          offset: z.string().max(40).nullable().default(null),
        }),
      )
      .max(500),
  }),
  output: z.strictObject({
    tire: ownTireShape,
    gauge: z.strictObject({ biasKpa: z.number(), lowKpa: z.number(), highKpa: z.number() }),
    wild: z.array(z.int()),
    contradictions: z.array(z.tuple([z.int(), z.int()])),
  }),
  run: ({ readings, ...tire }) => {
    const own = ownTire(
      buildOf(tire),
      readings.map((reading, run) => ({ ...reading, test: 'asked', run })),
    );
    return {
      ...own,
      wild: [...own.wild],
      contradictions: own.contradictions.map(([a, b]): [number, number] => [a, b]),
    };
  },
});
