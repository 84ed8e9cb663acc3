import { SOIL_CODES, soilOf, wheelOnSoil } from '@dunlinmoss/core';
import { z } from 'zod';

import { pressureKpa, someLoadKg, widthMm } from '../quantities';
import { defineCalculator } from './calculator';
import { problemShape } from './planShapes';
import { tireInput } from '../marking';
import { buildOf } from '../rig/build';

export const wheelOnSoilCalculator = defineCalculator({
  name: 'wheel-on-soil',
  summary:
    'One driven wheel on ground that gives way: sinkage, resistance, thrust and the slope it climbs; or why there is no figure',
  input: z.strictObject({
    ...tireInput,
    wheelLoadKg: someLoadKg,
    pressureKpa,
    soil: z.enum(SOIL_CODES),
    /** How deep the soft layer lies; needed on snow. */
    depthMm: widthMm.nullable().default(null),
  }),
  output: z.discriminatedUnion('ok', [
    z.strictObject({
      ok: z.literal(true),
      wheel: z.strictObject({
        groundPressureKpa: z.number(),
        sinkageMm: z.number(),
        resistanceKn: z.number(),
        thrustKn: z.number(),
        pullKn: z.number(),
        climbsDeg: z.number(),
      }),
    }),
    problemShape,
  ]),
  run: ({ wheelLoadKg, pressureKpa: kpa, soil, depthMm, ...tire }) => {
    const wheel = wheelOnSoil(soilOf(soil), buildOf(tire), wheelLoadKg, kpa, depthMm === null ? null : depthMm / 1000);
    return wheel.ok ? { ok: true as const, wheel: wheel.value } : { ok: false as const, problem: { ...wheel.problem } };
  },
});
