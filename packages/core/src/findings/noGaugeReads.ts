import { gaugeFitness, MIDDLE_SOURCE } from '../gauges/gaugeFitness';
import type { Check } from './finding';

/** The person has gauges, and none of them can be trusted with this axle's road pressure. */
export const noGaugeReads = {
  severity: 'care',
  source: MIDDLE_SOURCE,
  find: ({ axles, gauges, gaugeStepKpa }) =>
    gauges.length === 0
      ? []
      : axles.flatMap(({ position, roadKpa }) =>
          roadKpa === null || gauges.some((gauge) => gaugeFitness(gauge, roadKpa, gaugeStepKpa).fitness !== 'unfit')
            ? []
            : [{ code: 'noGaugeReads', position, pressureKpa: roadKpa }],
        ),
} as const satisfies Check;
