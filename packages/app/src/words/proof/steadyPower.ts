import { MEASURED_VERDICTS, measuredAdvice, type RoutineWords } from './routineWords';

export const steadyPowerWords: RoutineWords = {
  name: 'Power at one speed',
  tells: 'Which pressure takes less power for the same speed, and whether that is more than chance.',
  need: 'A power meter, a quiet stretch of some minutes, a speed you can hold.',
  where: 'The same stretch, the same direction, the same clothes and posture, no wind.',
  steps: [
    'Roll up to the speed, hold it over the whole stretch, note the mean power.',
    'Three times at each pressure, in mixed order: wind and warmth change meanwhile.',
  ],
  read: 'Less power at the same speed is the better tire pressure on this ground. A difference smaller than the spread is none.',
  fields: { surface: 'Ground', pressureKpa: 'Gauge', powerW: 'Mean power' },
  options: { surface: { smooth: 'Smooth', rough: 'Rough' } },
  verdicts: MEASURED_VERDICTS,
  advice: (judgement, units) => measuredAdvice(judgement, units, 'takes the least power'),
  counted: 'watts',
};
