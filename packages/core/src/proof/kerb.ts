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
  rim: ({ pressureKpa, rim }) => ({ pressureKpa, struck: rim === 'touches', ridden: false }),
  judge: (runs, _, on) => {
    const judged = worst(runs, on, ({ rim }) => rim, { touches: 1, far: -1, near: 0 });
    const plannedKpa = on.limits?.plannedKpa ?? null;
    if (plannedKpa === null || judged.tryKpa === null) return judged;
    // A press says how far to go from what is set now, whatever it was pressed at.
    const stepKpa = on.family.trialStepKpa;
    const tryKpa = { far: plannedKpa - stepKpa, near: plannedKpa, touches: Math.max(plannedKpa, judged.tryKpa) };
    return { ...judged, tryKpa: tryKpa[judged.verdict as keyof typeof tryKpa] };
  },
});
