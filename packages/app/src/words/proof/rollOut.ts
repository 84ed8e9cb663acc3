import { MEASURED_VERDICTS, measuredAdvice, type RoutineWords } from './routineWords';

export const rollOutWords: RoutineWords = {
  name: 'Roll-out',
  tells: 'Which pressure rolls farther, and whether that is more than chance.',
  need: 'A short drop to roll down, a long flat after it, something to mark where you stop.',
  where: 'The same start, the same line, no wind. Sit the same, do not pedal.',
  steps: [
    'Roll from the mark, coast until you stand, measure the distance.',
    'Three times at each pressure, in mixed order: tires and bearings warm up.',
  ],
  read: 'On smooth ground firmer rolls farther; on rough ground softer may. A difference smaller than the spread is none.',
  fields: { surface: 'Ground', pressureKpa: 'Gauge', distanceM: 'Distance' },
  options: { surface: { smooth: 'Smooth', rough: 'Rough' } },
  verdicts: MEASURED_VERDICTS,
  advice: (judgement, units) => measuredAdvice(judgement, units, 'rolls farthest'),
  counted: 'distance',
};
