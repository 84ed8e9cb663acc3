import { FAMILY_CODES, WHEEL_CODES } from '@dunlinmoss/core';
import { z } from 'zod';

import { axlePosition, axlesInOrder, loadCase, loadItem } from '../resources/loadCase';
import { rigAxle } from '../resources/rig';
import { lengthMm } from '../quantities';
import { rigLoads } from '../rig/rigInput';
import { defineCalculator } from './calculator';

const onAxle = z.strictObject({ position: axlePosition, loadKg: z.number() });

export const rigLoadsCalculator = defineCalculator({
  name: 'rig-loads',
  summary:
    'The load on every wheel in one load case, from scales, from moments, from how a rider sits or from the whole split by its kind',
  input: z.strictObject({
    /** Only a split of the whole goes by it. */
    family: z.enum(FAMILY_CODES).default('fourWheel'),
    axles: axlesInOrder(rigAxle.pick({ position: true, wheels: true, behindMm: true, trackMm: true })),
    hitchMm: lengthMm.nullable(),
    loadCase: loadCase.omit({ id: true, name: true }),
  }),
  output: z.discriminatedUnion('ok', [
    z.strictObject({
      ok: z.literal(true),
      totalKg: z.number(),
      couplingKg: z.number().nullable(),
      axles: z.array(
        onAxle.extend({
          standing: z.enum(['weighed', 'shared', 'estimated']),
          wheels: z.array(z.strictObject({ wheel: z.enum(WHEEL_CODES), loadKg: z.number() })),
        }),
      ),
      shares: z.array(z.strictObject({ item: loadItem, massKg: z.number(), onAxles: z.array(onAxle) })),
    }),
    z.strictObject({ ok: z.literal(false), problem: z.looseObject({ code: z.string() }) }),
  ]),
  run: ({ loadCase: given, ...geometry }) => {
    const loads = rigLoads(geometry as never, given);
    if (!loads.ok) return { ok: false as const, problem: { ...loads.problem } };
    const { axles, shares, ...rest } = loads.value;
    return {
      ok: true as const,
      ...rest,
      axles: axles.map((axle) => ({ ...axle, wheels: [...axle.wheels] })),
      shares: shares.map((share) => ({ ...share, onAxles: [...share.onAxles] })),
    };
  },
});
