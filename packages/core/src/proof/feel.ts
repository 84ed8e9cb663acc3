import { defineRoutine, GAUGE } from './routine';
import { worst } from './worst';

/** From what one feels to what to change. Common practice, no source. */
export const feel = defineRoutine({
  code: 'feel',
  kinds: ['car', 'quad', 'motorcycle', 'bicycle', 'farm'],
  minutes: 1,
  oneWheel: false,
  setup: {},
  run: {
    pressureKpa: GAUGE,
    symptom: { type: 'choice', options: ['well', 'pings', 'folds', 'drags', 'pushesWide', 'wanders', 'spins'] },
  },
  judge: (runs, _, on) =>
    worst(runs, on, ({ symptom }) => symptom, {
      folds: 1,
      wanders: 1,
      drags: 1,
      pings: -1,
      pushesWide: -1,
      spins: -1,
      well: 0,
    }),
});
