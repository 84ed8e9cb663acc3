import type { Judgement } from '@dunlinmoss/core';

import type { Units } from '../../settings/preferences';
import { pressure } from '../format';
import { next, type RoutineWords } from './routineWords';

const ZONE = { worn: 'Gone', partly: 'Partly', still: 'Still there' };

/** Which of two lines was the more even, where two were drawn. */
function evener({ levels }: Judgement, units: Units): string {
  const [first, second] = [...levels].sort((a, b) => a.mean - b.mean);
  if (!first || !second) return '';
  return first.mean === second.mean
    ? ` Lines at ${pressure(first.pressureKpa, units)} and ${pressure(second.pressureKpa, units)} are as even as each other.`
    : ` The line at ${pressure(first.pressureKpa, units)} is the more even, against ${pressure(second.pressureKpa, units)}.`;
}

export const chalkWords: RoutineWords = {
  name: 'Chalk line',
  tells: 'Whether the tread stands evenly: too hard, too soft, right, or on one side.',
  need: 'Chalk, some ten meters of smooth, hard, dry ground.',
  where: 'Straight and level. Drive as loaded as you will be.',
  steps: [
    'Draw a thick line across the whole tread of each wheel, shoulder to shoulder.',
    'Roll straight on for a few lengths of the vehicle, slowly. No turning.',
    'Look at each line in five parts, left to right as you stand behind the wheel.',
  ],
  read: 'Gone in the middle: too hard. Gone at the edges: too soft. Gone evenly: right. Gone on one side: not a matter of pressure.',
  fields: {
    wheel: 'Wheel',
    pressureKpa: 'Gauge',
    outerLeft: 'Left edge',
    left: 'Left of middle',
    middle: 'Middle',
    right: 'Right of middle',
    outerRight: 'Right edge',
  },
  options: {
    outerLeft: ZONE,
    left: ZONE,
    middle: ZONE,
    right: ZONE,
    outerRight: ZONE,
  },
  verdicts: {
    notRolled: 'Nothing worn yet',
    oneSided: 'Worn on one side',
    tooHard: 'Too hard',
    tooSoft: 'Too soft',
    right: 'Right',
  },
  advice: (judgement, units) => {
    switch (judgement.verdict) {
      case 'notRolled':
        return 'Nothing of the line has worn: roll a few lengths further, then look again.';
      case 'oneSided':
        return 'One side carries more than the other, and air does not mend that: look at camber, toe, a worn joint, or a load that sits to one side.';
      case 'tooHard':
        return `The tread stands on its middle.${next(judgement, units)} Draw a new line and look again.${evener(judgement, units)}`;
      case 'tooSoft':
        return `The tread stands on its edges.${next(judgement, units)} Draw a new line and look again.${evener(judgement, units)}`;
      default:
        return `The tread stands evenly.${next(judgement, units)} That is for hard ground; soft ground may want it lower.${evener(judgement, units)}`;
    }
  },
  counted: 'unevenness',
  run: 'Line',
  runs: { notRolled: 'nothing worn', oneSided: 'one side', tooHard: 'too hard', tooSoft: 'too soft', right: 'right' },
};
