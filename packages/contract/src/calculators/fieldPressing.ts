import { pressing, TEXTURE_CODES, textureOf } from '@dunlinmoss/core';
import { z } from 'zod';

import { pressureKpa, someLoadKg } from '../quantities';
import { defineCalculator } from './calculator';

export const fieldPressingCalculator = defineCalculator({
  name: 'field-pressing',
  summary:
    'How deep an axle presses into a field: contact on soil, and at each depth stress, strength and the chance that the soil gives way for good',
  input: z.strictObject({
    tire: z.strictObject({
      widthMm: z.number().min(50).max(2_000),
      diameterMm: z.number().min(300).max(3_000),
      loadKg: someLoadKg,
      /** Gauge. */
      pressureKpa: pressureKpa.min(10),
    }),
    /** The middle of each tire of the axle, from the middle of the rig. */
    tiresAtMm: z.array(z.number().min(-10_000).max(10_000)).min(1).max(12),
    /** How often wheels run in the same track. */
    passes: z.int().min(1).max(100).default(1),
    texture: z.enum(TEXTURE_CODES),
    /** Since rain that soaked it. */
    daysSinceRain: z.number().min(0).max(365),
    /** How deep it was loosened and has not settled. */
    looseToMm: z.number().min(0).max(600).default(0),
    /** What one's own readings say of its strength, as times that of its texture. */
    strengthFactor: z.number().min(0.2).max(5).default(1),
    depthsMm: z.array(z.number().min(50).max(2_000)).min(1).max(20),
  }),
  output: z.strictObject({
    contact: z.strictObject({
      areaMm2: z.number(),
      lengthMm: z.number(),
      meanKpa: z.number(),
      peakOverMean: z.number(),
    }),
    depths: z.array(
      z.strictObject({
        depthMm: z.number(),
        stressKpa: z.number(),
        strengthKpa: z.number(),
        chance: z.number(),
        leastChance: z.number(),
        mostChance: z.number(),
        severity: z.number(),
      }),
    ),
    /** More than 50 kPa at 500 mm. */
    pastRule: z.boolean(),
  }),
  run: ({ tire, tiresAtMm, passes, texture, daysSinceRain, looseToMm, strengthFactor, depthsMm }) => {
    const { contact, depths, pastRule } = pressing(
      {
        tire: {
          widthM: tire.widthMm / 1000,
          diameterM: tire.diameterMm / 1000,
          loadKg: tire.loadKg,
          pressureKpa: tire.pressureKpa,
        },
        tiresAtM: tiresAtMm.map((mm) => mm / 1000),
        passes,
      },
      { texture: textureOf(texture), daysSinceRain, looseToM: looseToMm / 1000, strengthFactor },
      depthsMm.map((mm) => mm / 1000),
    );
    return {
      contact: {
        areaMm2: contact.areaM2 * 1e6,
        lengthMm: contact.lengthM * 1000,
        meanKpa: contact.meanKpa,
        peakOverMean: contact.peakOverMean,
      },
      depths: depths.map(({ depthM, ...rest }) => ({ depthMm: depthM * 1000, ...rest })),
      pastRule,
    };
  },
});
