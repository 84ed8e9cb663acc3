import { defineRoutine, GAUGE } from './routine';
import { worst } from './worst';

/** Press onto an edge with body weight: near the rim without touching is right, touching is a pinch waiting. */
export const kerb = defineRoutine({
  code: 'kerb',
  kinds: ['bicycle'],
  minutes: 3,
  oneWheel: true,
  setup: {},
  run: { pressureKpa: GAUGE, rim: { type: 'choice', options: ['far', 'near', 'touches'] } },
  rim: ({ pressureKpa, rim }) => ({ pressureKpa, struck: rim === 'touches' }),
  judge: (runs, _, on) => worst(runs, on, ({ rim }) => rim, { touches: 1, far: -1, near: 0 }),
});
