import { bestUse, limpSpeedKmh, innerVolumeL, wheelsOf, carcassFactor } from '@dunlinmoss/core';
import { z } from 'zod';

import { pressureKpa } from '../quantities';
import { wheelPlace } from '../resources/wheelPlace';
import { defineCalculator } from './calculator';
import { planAxleInput, planAxleOf } from './planShapes';

export const roadCheckCalculator = defineCalculator({
  name: 'road-check',
  summary: 'How fast a rig may go on pavement with what is in its tires, and the best use of too little air',
  input: z.strictObject({
    axles: z
      .array(planAxleInput.extend({ nowKpa: pressureKpa }))
      .min(1)
      .max(6),
    /** What there is to put in, L at 1 atm. */
    liters: z.number().min(0).max(1_000_000).default(0),
    stepKpa: z.number().positive().max(50).default(7),
  }),
  output: z.strictObject({
    /** With what is in them now; null where all have their road pressure. */
    limpSpeedKmh: z.number().nullable(),
    best: z.strictObject({
      speedKmh: z.number().nullable(),
      neededLiters: z.number(),
      wheels: z.array(z.strictObject({ ...wheelPlace, fromKpa: z.number(), toKpa: z.number(), liters: z.number() })),
    }),
  }),
  run: ({ axles, liters, stepKpa }) => {
    const planned = axles.map(({ nowKpa, ...axle }) => ({ nowKpa, axle: planAxleOf(axle) }));
    const wheels = planned.flatMap(({ nowKpa, axle }) => {
      const build = {
        tire: axle.tire,
        carcass: carcassFactor(axle.loadRange),
        ...(axle.widthMm !== null && { widthMm: axle.widthMm }),
      };
      const volumeL = innerVolumeL(build);
      return wheelsOf(axle.wheels).map((wheel) => ({ position: axle.position, wheel, axle, volumeL, nowKpa }));
    });
    const best = bestUse(wheels, liters, stepKpa);
    return {
      limpSpeedKmh: limpSpeedKmh(
        planned.map(({ axle }) => axle),
        planned.map(({ nowKpa }) => nowKpa),
        stepKpa,
      ),
      best: { ...best, wheels: [...best.wheels] },
    };
  },
});
