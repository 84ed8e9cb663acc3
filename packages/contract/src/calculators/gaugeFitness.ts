import { gaugeFitness } from '@dunlinmoss/core';
import { z } from 'zod';

import { gaugeStepKpa, pressureKpa } from '../quantities';
import { gauge } from '../resources/gauge';
import { defineCalculator } from './calculator';

export const gaugeFitnessCalculator = defineCalculator({
  name: 'gauge-fitness',
  summary: 'Whether a gauge can be trusted with a pressure',
  input: z.strictObject({
    fromKpa: gauge.shape.fromKpa,
    fullScaleKpa: gauge.shape.fullScaleKpa,
    gradePercent: gauge.shape.gradePercent,
    comparisons: gauge.shape.comparisons.default([]),
    targetKpa: pressureKpa,
    stepKpa: gaugeStepKpa,
  }),
  output: z.strictObject({
    fitness: z.enum(['good', 'fair', 'unfit']),
    errorKpa: z.number(),
    flaws: z.array(z.looseObject({ code: z.string() })),
  }),
  run: ({ targetKpa, stepKpa, ...given }) => {
    const { flaws, ...fitness } = gaugeFitness(given, targetKpa, stepKpa);
    return { ...fitness, flaws: flaws.map((flaw) => ({ ...flaw })) };
  },
});
