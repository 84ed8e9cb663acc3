import { capacity, pressureForLoadKpa } from '@dunlinmoss/core';
import { z } from 'zod';

import { loadKg, pressureKpa, speedKmh } from '../quantities';
import { loadLine, loadRow } from '../resources/rig';
import { curveOf } from '../rig/rigInput';
import { defineCalculator } from './calculator';
import { tireInput } from '../marking';

export const tireCapacityCalculator = defineCalculator({
  name: 'tire-capacity',
  summary: 'What one tire carries at a pressure and speed, and the pressure that a load needs',
  input: z.strictObject({
    ...tireInput,
    maxKpa: pressureKpa.nullable().default(null),
    lines: z.array(loadLine).max(6).default([]),
    rows: z.array(loadRow).max(80).default([]),
    rowsOf: z.enum(['thisTire', 'standardTire']).default('thisTire'),
    pressureKpa,
    /** Null asks at the speed the rating itself is for. */
    speedKmh: speedKmh.nullable().default(null),
    dual: z.boolean().default(false),
    highTorque: z.boolean().default(false),
    /** A farm wheel that only rolls. */
    rolling: z.boolean().default(false),
    /** Asks for the pressure that carries this load. */
    loadKg: loadKg.optional(),
  }),
  output: z.discriminatedUnion('ok', [
    z.strictObject({
      ok: z.literal(true),
      from: z.enum(['rows', 'lines', 'index', 'road']),
      capacity: z.union([
        z.strictObject({ ok: z.literal(true), loadKg: z.number(), extrapolated: z.boolean() }),
        z.strictObject({ ok: z.literal(false), code: z.literal('belowFirstRow'), firstKpa: z.number() }),
        z.strictObject({ ok: z.literal(false), code: z.literal('tooFast'), topKmh: z.number() }),
      ]),
      neededKpa: z.number().nullable().optional(),
    }),
    z.strictObject({ ok: z.literal(false), problem: z.looseObject({ code: z.string() }) }),
  ]),
  run: (input) => {
    const curve = curveOf(input);
    if (!curve.ok) return { ok: false as const, problem: { ...curve.problem } };
    return {
      ok: true as const,
      from: curve.value.from,
      capacity: capacity(curve.value, input),
      ...(input.loadKg !== undefined && {
        neededKpa: pressureForLoadKpa(curve.value, input.loadKg, input) ?? null,
      }),
    };
  },
});
