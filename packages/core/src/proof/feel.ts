import { defineRoutine, GAUGE } from './routine';
import { worst } from './worst';

/** From what one feels to what to change. Common practice, no source. */
export const feel = defineRoutine({
  code: 'feel',
  kinds: ['car', 'quad', 'motorcycle', 'bicycle', 'farm'],
  minutes: 1,
  oneWheel: false,
  setup: { end: { type: 'choice', options: ['front', 'rear'], optional: true } },
  run: {
    pressureKpa: GAUGE,
    symptom: {
      type: 'choice',
      options: ['well', 'bottomsOut', 'pings', 'wallows', 'bouncy', 'folds', 'drags', 'pushesWide', 'wanders', 'spins'],
    },
  },
  speaksOf: ({ end }) => end,
  judge: (runs, _, on) =>
    worst(runs, on, ({ symptom }) => symptom, {
      bottomsOut: 1,
      folds: 1,
      wallows: 1,
      wanders: 1,
      drags: 1,
      pings: -1,
      bouncy: -1,
      pushesWide: -1,
      spins: -1,
      well: 0,
    }),
});
