import { next, type RoutineWords } from './routineWords';

export const kerbWords: RoutineWords = {
  name: 'Kerb and thumb',
  tells: 'How near the rim an edge comes under your weight.',
  need: 'A kerb or a square edge.',
  where: 'Standing beside the bicycle.',
  steps: [
    'Set the tire on the edge and press down on the bar or saddle with your weight.',
    'Watch, or feel with a thumb on the rim, how near the edge comes.',
  ],
  read: 'Near the rim without touching is right. Touching is a pinch waiting to happen. Far off can go lower.',
  fields: { pressureKpa: 'Gauge', rim: 'Edge and rim' },
  options: { rim: { far: 'Far off', near: 'Near, not touching', touches: 'Touches' } },
  verdicts: { noRuns: 'Not pressed yet', touches: 'Touches', far: 'Far off', near: 'Near' },
  advice: (judgement, units) =>
    judgement.verdict === 'noRuns'
      ? 'Press once.'
      : judgement.verdict === 'touches'
        ? `The next stone pinches it.${next(judgement, units)}`
        : judgement.verdict === 'far'
          ? `There is room for a slow climb: a press is not a hit.${next(judgement, units)}`
          : `Near, and not touching.${next(judgement, units)} A thumb on the tire can’t show this.`,
  runs: { touches: 'touches', far: 'far off', near: 'near' },
};
