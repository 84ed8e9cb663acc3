import { judgeMeasured } from './measured';
import { defineRoutine, GAUGE } from './routine';

const score = {
  better: 'less' as const,
  unit: 'watt' as const,
  of: ({ pressureKpa, powerW }: { pressureKpa: number; powerW: number }) => ({ kpa: pressureKpa, value: powerW }),
};

/** The power that one and the same speed takes on one and the same stretch, by a power meter. */
export const steadyPower = defineRoutine({
  code: 'steadyPower',
  kinds: ['bicycle'],
  minutes: 25,
  oneWheel: false,
  setup: { surface: { type: 'choice', options: ['smooth', 'rough'] } },
  run: { pressureKpa: GAUGE, powerW: { type: 'number', unit: 'watt', min: 20, max: 1500 } },
  score,
  judge: (runs, setup) => judgeMeasured(score, runs, setup),
});
