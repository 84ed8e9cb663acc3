import { airPressureKpaAbs } from '@dunlinmoss/core';
import { z } from 'zod';

import { altitudeM } from '../quantities';

import { defineCalculator } from './calculator';

export const airPressureCalculator = defineCalculator({
  name: 'air-pressure',
  summary: 'Absolute pressure of the outside air at an altitude, in the standard atmosphere',
  input: z.strictObject({ altitudeM }),
  output: z.strictObject({ airPressureKpaAbs: z.number() }),
  run: ({ altitudeM }) => ({ airPressureKpaAbs: airPressureKpaAbs(altitudeM) }),
});
