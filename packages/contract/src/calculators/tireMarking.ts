import {
  loadIndexKg,
  outerDiameterMm,
  plyRatingOf,
  readMarking,
  sectionHeightMm,
  speedSymbolKmh,
  TIRE_USES,
  writeMarking,
} from '@dunlinmoss/core';
import { z } from 'zod';

import { defineCalculator } from './calculator';

export const tireMarkingCalculator = defineCalculator({
  name: 'tire-marking',
  summary: 'What a marking on a sidewall says: size, build, and the load and speed it is good for',
  input: z.strictObject({ marking: z.string().max(60) }),
  output: z.discriminatedUnion('ok', [
    z.strictObject({
      ok: z.literal(true),
      written: z.string(),
      notation: z.string(),
      use: z.enum(TIRE_USES),
      construction: z.enum(['radial', 'bias', 'belted']),
      sectionWidthMm: z.number(),
      sectionHeightMm: z.number(),
      aspectPercent: z.number(),
      rimDiameterMm: z.number(),
      outerDiameterMm: z.number(),
      loadKg: z.number().optional(),
      dualLoadKg: z.number().optional(),
      speedKmh: z.number().optional(),
      fasterLoadKg: z.number().optional(),
      fasterSpeedKmh: z.number().optional(),
      loadRange: z.string().optional(),
      plyRating: z.number().optional(),
      stars: z.number().optional(),
      flexion: z.enum(['IF', 'VF']).optional(),
      cyclicField: z.literal(true).optional(),
    }),
    z.strictObject({ ok: z.literal(false), problem: z.looseObject({ code: z.string() }) }),
  ]),
  run: ({ marking }) => {
    const reading = readMarking(marking);
    if (!reading.ok) return { ok: false as const, problem: { ...reading.problem } };
    const tire = reading.value;
    const { service, loadRange, stars, flexion, cyclicField } = tire;
    const plyRating = plyRatingOf(tire);
    return {
      ok: true as const,
      written: writeMarking(tire),
      notation: tire.notation,
      use: tire.use,
      construction: tire.construction,
      sectionWidthMm: tire.sectionWidthMm,
      sectionHeightMm: sectionHeightMm(tire),
      aspectPercent: tire.aspectPercent,
      rimDiameterMm: tire.rimDiameterMm,
      outerDiameterMm: outerDiameterMm(tire),
      ...(service && { loadKg: loadIndexKg(service.loadIndex)!, speedKmh: speedSymbolKmh(service.speedSymbol) }),
      ...(service?.dualLoadIndex !== undefined && { dualLoadKg: loadIndexKg(service.dualLoadIndex)! }),
      ...(service?.faster && {
        fasterLoadKg: loadIndexKg(service.faster.loadIndex)!,
        fasterSpeedKmh: speedSymbolKmh(service.faster.speedSymbol),
      }),
      ...(loadRange && { loadRange }),
      ...(plyRating !== null && { plyRating }),
      ...(stars !== undefined && { stars }),
      ...(flexion && { flexion }),
      ...(cyclicField && { cyclicField }),
    };
  },
});
