import { storageLoss, TUBE_KINDS } from '@dunlinmoss/core';
import { z } from 'zod';

import { pumpedKpa } from '../quantities';
import { defineCalculator } from './calculator';

export const storageCalculator = defineCalculator({
  name: 'storage-loss',
  summary: 'What a tire loses while it stands, and when to look again',
  input: z.strictObject({
    nowKpa: pumpedKpa,
    leastKpa: pumpedKpa,
    tube: z.enum(TUBE_KINDS),
    onBicycle: z.boolean(),
  }),
  output: z.strictObject({ daysToLeast: z.number().nullable(), checkDays: z.number(), thenKpa: z.number() }),
  run: ({ nowKpa, leastKpa, tube, onBicycle }) => storageLoss(nowKpa, leastKpa, tube, onBicycle),
});
