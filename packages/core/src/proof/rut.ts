import { judgeMeasured } from './measured';
import { defineRoutine, GAUGE } from './routine';

const score = {
  better: 'less' as const,
  unit: 'mm' as const,
  of: ({ pressureKpa, rutMm }: { pressureKpa: number; rutMm: number }) => ({ kpa: pressureKpa, value: rutMm }),
};

/** How deep the rut is, and how deep the lugs bite beside it. */
export const rut = defineRoutine({
  code: 'rut',
  kinds: ['farm', 'car', 'quad'],
  minutes: 8,
  oneWheel: false,
  setup: {},
  run: {
    pressureKpa: GAUGE,
    rutMm: { type: 'number', unit: 'mm', min: 0, max: 800 },
    lugMm: { type: 'number', unit: 'mm', min: 0, max: 150, optional: true },
  },
  score,
  judge: (runs, setup) => judgeMeasured(score, runs, setup),
});
