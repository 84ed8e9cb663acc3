import { gaugeNowKpa } from '@dunlinmoss/core';
import { z } from 'zod';

import { altitudeM, pressureKpa, tempC } from '../quantities';
import { defineCalculator } from './calculator';

export const gaugeNowCalculator = defineCalculator({
  name: 'gauge-now',
  summary: 'What a gauge should show on a tire that is not cold, at an altitude, for a cold pressure',
  input: z.strictObject({
    coldKpa: pressureKpa,
    coldTempC: tempC,
    tireTempC: tempC,
    altitudeM,
  }),
  output: z.strictObject({ gaugeNowKpa: z.number() }),
  run: ({ coldKpa, ...conditions }) => ({ gaugeNowKpa: gaugeNowKpa(coldKpa, conditions) }),
});
