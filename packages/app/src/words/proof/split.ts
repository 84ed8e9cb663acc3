import { next, sureText, type RoutineWords } from './routineWords';

export const splitWords: RoutineWords = {
  name: 'Split',
  tells: 'Which of two pressures holds better here, side against side.',
  need: 'One driven axle without a lock, two pressures, someone to watch the wheels.',
  where: 'Even ground, a gentle pull: uphill, or against a light load.',
  steps: [
    'Set the left wheel of the driven axle to one pressure, the right one to another.',
    'Pull away slowly until a wheel slips. Note which.',
    'Change the sides over and do it again: one side may simply stand on better ground.',
  ],
  read: 'The side that slips first holds less. It counts when it stays so with the sides changed over.',
  mind: 'Put both sides to the same pressure before you drive on.',
  fields: { pressureKpa: 'Left gauge', otherKpa: 'Right gauge', slippedFirst: 'Slipped first' },
  options: { slippedFirst: { left: 'Left', right: 'Right', together: 'Together', neither: 'Neither' } },
  verdicts: {
    noRuns: 'No pull yet',
    neitherSlips: 'Neither slips',
    changeSides: 'Change the sides over',
    softerHolds: 'The softer side holds',
    firmerHolds: 'The firmer side holds',
    noDifference: 'No difference',
  },
  advice: (judgement, units) => {
    const sure = judgement.sure === null ? '' : ` Next pull the same with ${sureText(judgement.sure)}.`;
    switch (judgement.verdict) {
      case 'noRuns':
        return 'Set two pressures and pull away.';
      case 'neitherSlips':
        return 'Both hold: this tells nothing of the two pressures. Find slicker ground or a steeper pull, and try there.';
      case 'changeSides':
        return 'Change the sides over and pull once more: only then it is the pressure, not the ground.';
      case 'softerHolds':
        return `Softer holds better here.${sure}${next(judgement, units)}`;
      case 'firmerHolds':
        return `Firmer holds better here: there may be a firm layer to reach.${sure}${next(judgement, units)}`;
      default:
        return 'As often one as the other: no difference between these two.';
    }
  },
  run: 'Pull',
  runs: {
    alike: 'both alike',
    together: 'together',
    neither: 'neither slipped',
    softerHeld: 'the softer gripped',
    firmerHeld: 'the firmer gripped',
  },
};
