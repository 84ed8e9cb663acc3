import { hoseJoin, moveAir } from '@dunlinmoss/core';
import { z } from 'zod';

import { gaugeStepKpa, pressureKpa, volumeL } from '../quantities';
import { outsideKpaAbs } from './airShapes';
import { defineCalculator } from './calculator';

const air = { volumeL, pressureKpa };

export const moveAirCalculator = defineCalculator({
  name: 'move-air',
  summary: 'Moving air into a soft tire from others by a hose: what each joining comes to, and how long it takes',
  input: z.strictObject({
    soft: z.strictObject(air),
    donors: z
      .array(z.strictObject({ code: z.string().max(40), ...air, keepKpa: pressureKpa.default(0) }))
      .min(1)
      .max(24),
    targetKpa: pressureKpa,
    stepKpa: gaugeStepKpa.default(7),
    outsideKpaAbs,
  }),
  output: z.strictObject({
    reached: z.boolean(),
    reachedKpa: z.number(),
    transfers: z.array(
      z.strictObject({
        code: z.string(),
        donorBeforeKpa: z.number(),
        donorAfterKpa: z.number(),
        softBeforeKpa: z.number(),
        softAfterKpa: z.number(),
        closedEarly: z.boolean(),
        /** Until both are level; less where it is closed early; null where that is more than anybody waits. */
        levelS: z.number().nullable(),
      }),
    ),
  }),
  run: ({ soft, donors, targetKpa, stepKpa, outsideKpaAbs: outside }) => {
    const moved = moveAir(soft, donors, targetKpa);
    return {
      reached: moved.reached,
      reachedKpa: moved.reachedKpa,
      transfers: moved.transfers.map((each) => ({
        ...each,
        levelS: hoseJoin(
          { volumeL: soft.volumeL, pressureKpa: each.softBeforeKpa },
          donors.find(({ code }) => code === each.code)!,
          outside,
          stepKpa,
        ).seconds,
      })),
    };
  },
});
