import { loadIndexKg, outerDiameterMm, readMarking, sectionHeightMm, speedSymbolKmh } from '@dunlinmoss/core';
import { z } from 'zod';

import { defineCalculator } from './calculator';

export const tireMarkingCalculator = defineCalculator({
  name: 'tire-marking',
  summary: 'What a marking on a sidewall says: size, build, and the load and speed it is good for',
  input: z.strictObject({ marking: z.string().max(60) }),
  output: z.discriminatedUnion('ok', [
    z.strictObject({
      ok: z.literal(true),
      use: z.enum(['passenger', 'lightTruck', 'commercial']),
      construction: z.enum(['radial', 'bias', 'belted']),
      sectionWidthMm: z.number(),
      sectionHeightMm: z.number(),
      aspectPercent: z.number(),
      rimDiameterMm: z.number(),
      outerDiameterMm: z.number(),
      loadKg: z.number().optional(),
      dualLoadKg: z.number().optional(),
      speedKmh: z.number().optional(),
      loadRange: z.string().optional(),
    }),
    z.strictObject({ ok: z.literal(false), problem: z.looseObject({ code: z.string() }) }),
  ]),
  run: ({ marking }) => {
    const reading = readMarking(marking);
    if (!reading.ok) return { ok: false as const, problem: { ...reading.problem } };
    const { use, construction, sectionWidthMm, aspectPercent, rimDiameterMm, service, loadRange } = reading.value;
    return {
      ok: true as const,
      use,
      construction,
      sectionWidthMm,
      sectionHeightMm: sectionHeightMm(reading.value),
      aspectPercent,
      rimDiameterMm,
      outerDiameterMm: outerDiameterMm(reading.value),
      ...(service && { loadKg: loadIndexKg(service.loadIndex), speedKmh: speedSymbolKmh(service.speedSymbol) }),
      ...(service?.dualLoadIndex !== undefined && { dualLoadKg: loadIndexKg(service.dualLoadIndex) }),
      ...(loadRange && { loadRange }),
    };
  },
});
