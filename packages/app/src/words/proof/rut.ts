import { MEASURED_VERDICTS, measuredAdvice, type RoutineWords } from './routineWords';

export const rutWords: RoutineWords = {
  name: 'Rut and lugs',
  tells: 'Which pressure leaves the shallower rut.',
  need: 'A straight lath, a ruler.',
  where: 'Two tracks side by side, in the same soil, one pass each.',
  steps: [
    'Lay the lath across the rut and measure down to the bottom.',
    'Measure how deep the lugs bit beside it.',
    'At three places in each track.',
  ],
  read: 'A rut is soil that was pressed or pushed away. Most damage is done in the first pass.',
  fields: { pressureKpa: 'Gauge', rutMm: 'Rut depth', lugMm: 'Lug depth' },
  verdicts: MEASURED_VERDICTS,
  advice: (judgement, units) => measuredAdvice(judgement, units, 'leaves the shallowest rut'),
  counted: 'rut depth',
  run: 'Place',
};
