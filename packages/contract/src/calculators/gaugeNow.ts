import { gaugeNowKpa } from '@dunlinmoss/core';
import { z } from 'zod';

import { pressureKpa } from '../quantities';
import { defineCalculator } from './calculator';

const tempC = z.number().min(-60).max(150);

export const gaugeNowCalculator = defineCalculator({
  name: 'gauge-now',
  summary: 'What a gauge should show on a tire that is not cold, at an altitude, for a cold pressure',
  input: z.strictObject({
    coldKpa: pressureKpa,
    coldTempC: tempC,
    tireTempC: tempC,
    altitudeM: z.number().min(-500).max(9000),
  }),
  output: z.strictObject({ gaugeNowKpa: z.number() }),
  run: ({ coldKpa, ...conditions }) => ({ gaugeNowKpa: gaugeNowKpa(coldKpa, conditions) }),
});
