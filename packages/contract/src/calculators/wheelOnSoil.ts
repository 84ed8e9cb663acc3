import { SOIL_CODES, soilOf, wheelOnSoil } from '@dunlinmoss/core';
import { z } from 'zod';

import { loadKg, pressureKpa } from '../quantities';
import { defineCalculator } from './calculator';
import { buildOf, tireInput } from './shapes';

export const wheelOnSoilCalculator = defineCalculator({
  name: 'wheel-on-soil',
  summary:
    'One driven wheel on ground that gives way: sinkage, resistance, thrust and the slope it climbs; null where the tire is squeezed flat',
  input: z.strictObject({ ...tireInput, wheelLoadKg: loadKg.positive(), pressureKpa, soil: z.enum(SOIL_CODES) }),
  output: z.strictObject({
    wheel: z
      .strictObject({
        groundPressureKpa: z.number(),
        sinkageMm: z.number(),
        resistanceKn: z.number(),
        thrustKn: z.number(),
        pullKn: z.number(),
        climbsDeg: z.number(),
      })
      .nullable(),
  }),
  run: ({ wheelLoadKg, pressureKpa: kpa, soil, ...tire }) => ({
    wheel: wheelOnSoil(soilOf(soil), buildOf(tire), wheelLoadKg, kpa) ?? null,
  }),
});
