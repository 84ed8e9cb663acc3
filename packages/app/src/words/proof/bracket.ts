import { pressure } from '../format';
import { sureText, type RoutineWords } from './routineWords';

export const CRITERION_WORDS = {
  climbs: 'Climbs',
  turns: 'Turns',
  rolls: 'Rolls',
  comfort: 'Comfort',
  worstHit: 'Worst hit',
} as const;

export const bracketWords: RoutineWords = {
  name: 'Bracket',
  tells: 'Your own best pressure, in as few runs as it takes.',
  need: 'A pump, a gauge, a lap of a few minutes. For a blind trial a helper.',
  where: 'The same lap, done alike every time.',
  steps: [
    'Set the pressure that is asked for. Do the lap. Rate it, or type what you measured.',
    'The order is mixed on purpose, so that warming up does not fool you.',
    'It stops when another run would not change the choice.',
  ],
  read: 'A difference smaller than the spread of your own runs is no difference.',
  fields: {
    startKpa: 'Start from',
    stepKpa: 'Step',
    lowestKpa: 'Not below',
    highestKpa: 'Not above',
    by: 'Compared by',
    blind: 'Who sees the pressure',
    ...CRITERION_WORDS,
    pressureKpa: 'Pressure',
    measured: 'Measured',
  },
  options: {
    by: { ratings: 'Ratings, 1 to 10', more: 'A number, more is better', less: 'A number, less is better' },
    blind: { open: 'You see it', blind: 'Blind: a helper sets it' },
  },
  verdicts: { noRuns: 'Not begun', goOn: 'Under way', sure: 'Found', enough: 'Ended' },
  advice: ({ verdict, figures, sure, tryKpa }, units) => {
    const best = figures.bestKpa === undefined ? '' : pressure(figures.bestKpa, units);
    const how = sure === null || sure === 0 ? '' : `, ${sureText(sure)} that the best lies within a step of it`;
    switch (verdict) {
      case 'noRuns':
        return `Begin with ${pressure(tryKpa!, units)}.`;
      case 'goOn':
        return `Best so far ${best}${how}. Try ${pressure(tryKpa!, units)} next.`;
      case 'sure':
        return `${best}${how}. Another run would not change that.`;
      default:
        return `${best} after ${figures.runs} runs${how}. More runs would hardly show more today.`;
    }
  },
  counted: 'score',
};
