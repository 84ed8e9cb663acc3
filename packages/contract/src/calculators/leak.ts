import { leakTest, timeToFloor } from '@dunlinmoss/core';
import { z } from 'zod';

import { altitudeM, gaugeStepKpa, pressureKpa, tempC } from '../quantities';
import { defineCalculator } from './calculator';

export const leakCalculator = defineCalculator({
  name: 'leak-test',
  summary: 'Whether a tire loses air or only cools, how fast, and when it comes down to a floor',
  input: z.strictObject({
    readings: z
      .array(z.strictObject({ atH: z.number(), pressureKpa, tempC: tempC.nullable() }))
      .min(1)
      .max(2_000),
    altitudeM: altitudeM.default(0),
    coldTempC: tempC.default(20),
    noiseKpa: gaugeStepKpa.default(1),
    floorKpa: pressureKpa,
  }),
  output: z.strictObject({
    verdict: z.enum(['tooEarly', 'noLeak', 'leak', 'cannotTell']),
    lossKpaPerH: z.number(),
    lossErrorKpaPerH: z.number().nullable(),
    coldNowKpa: z.number(),
    z: z.number(),
    sensorLagH: z.number(),
    readings: z.int(),
    floorInH: z.number().nullable(),
    floorSoonestInH: z.number().nullable(),
  }),
  run: ({ floorKpa, ...input }) => {
    const test = leakTest({ ...input, readings: [...input.readings].sort((a, b) => a.atH - b.atH) });
    const floor = test.verdict === 'leak' ? timeToFloor(test, floorKpa) : null;
    return {
      ...test,
      lossErrorKpaPerH: Number.isFinite(test.lossErrorKpaPerH) ? test.lossErrorKpaPerH : null,
      floorInH: floor?.hours ?? null,
      floorSoonestInH: floor?.soonestHours ?? null,
    };
  },
});
