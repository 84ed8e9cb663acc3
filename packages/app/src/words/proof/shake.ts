import { MEASURED_VERDICTS, measuredAdvice, type RoutineWords } from './routineWords';

export const shakeWords: RoutineWords = {
  name: 'Shake',
  tells: 'Which pressure shakes you less.',
  need: 'A pail of water that hangs from the bar, a ruler.',
  where: 'The same rough slope, the same speed.',
  steps: [
    'Fill the pail to the mark.',
    'Roll down, then measure how deep the water still is.',
    'Three times at each pressure, in mixed order.',
  ],
  read: 'What is left was not shaken out.',
  fields: { filledMm: 'Filled to', pressureKpa: 'Gauge', leftMm: 'Left' },
  verdicts: MEASURED_VERDICTS,
  advice: (judgement, units) => measuredAdvice(judgement, units, 'shakes least'),
  counted: 'water left',
};
