import { judgeMeasured } from './measured';
import { defineRoutine, GAUGE } from './routine';

const score = {
  better: 'more' as const,
  unit: 'mm' as const,
  of: ({ pressureKpa, leftMm }: { pressureKpa: number; leftMm: number }) => ({ kpa: pressureKpa, value: leftMm }),
};

/** A pail of water down the same slope: what is left in it tells how much was shaken out. */
export const shake = defineRoutine({
  code: 'shake',
  kinds: ['bicycle'],
  minutes: 15,
  oneWheel: false,
  setup: { filledMm: { type: 'number', unit: 'mm', min: 20, max: 500 } },
  run: { pressureKpa: GAUGE, leftMm: { type: 'number', unit: 'mm', min: 0, max: 500 } },
  score,
  judge: (runs, setup) => judgeMeasured(score, runs, setup),
});
