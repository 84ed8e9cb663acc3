import { judgeMeasured } from './measured';
import { defineRoutine, GAUGE } from './routine';

const score = {
  better: 'more' as const,
  unit: 'm' as const,
  of: ({ pressureKpa, distanceM }: { pressureKpa: number; distanceM: number }) => ({
    kpa: pressureKpa,
    value: distanceM,
  }),
};

/** Same start, coast, distance. */
export const rollOut = defineRoutine({
  code: 'rollOut',
  kinds: ['bicycle'],
  minutes: 15,
  oneWheel: false,
  setup: { surface: { type: 'choice', options: ['smooth', 'rough'] } },
  run: { pressureKpa: GAUGE, distanceM: { type: 'number', unit: 'm', min: 0.5, max: 2000 } },
  score,
  judge: (runs, setup) => judgeMeasured(score, runs, setup),
});
