import { next, sureText, type RoutineWords } from './routineWords';

export const pullAwayWords: RoutineWords = {
  name: 'Drive off',
  tells: 'On the flat: the firmest pressure that still gets away instead of digging in.',
  need: 'Level soft ground as you will meet it, a shovel, a way back onto firm ground.',
  where: 'Fresh ground for every attempt, the same gear, at idle.',
  steps: [
    'Stop, let it settle, and drive off gently.',
    'The moment a wheel digs, stop: spinning only lowers you.',
    'Back out, let out a step of air, and drive off beside the old tracks.',
  ],
  read: 'The firmest that gets away every time is the one; a labored start is one step short of it.',
  mind: 'Nobody in front of or behind the vehicle. Stop before it digs in.',
  fields: {
    pressureKpa: 'Gauge',
    result: 'It',
    mateKpa: 'The other wheel of that axle, where it differs',
    otherAxleKpa: 'Other axle, where it differs',
    otherMateKpa: 'The other wheel of the other axle, where it differs',
  },
  options: { result: { away: 'Gets away', labors: 'Labors', digsIn: 'Digs in' } },
  verdicts: {
    noRuns: 'No attempt yet',
    nonePasses: 'None gets away yet',
    dugIn: 'Digs in',
    contradicts: 'Attempts contradict each other',
    allPass: 'Every attempt gets away',
    between: 'Between two pressures',
    found: 'Found',
  },
  advice: (judgement, units) => {
    const { verdict, sure } = judgement;
    const again = sure === null ? '' : ` The next attempt gets away with ${sureText(sure)}.`;
    switch (verdict) {
      case 'noRuns':
        return 'Begin with the pressure the plan gives.';
      case 'nonePasses':
        return `Not soft enough yet.${next(judgement, units)}`;
      case 'dugIn':
        return `It digs: free the wheels and lower it first, another attempt as it is only goes deeper.${next(judgement, units)}`;
      case 'contradicts':
        return 'A softer attempt dug in where a firmer one got away: the ground was not the same. Do both once more, side by side.';
      case 'allPass':
        return `It got away every time: you may be softer than you need.${again}${next(judgement, units)}`;
      case 'between':
        return `It lies between two pressures you tried.${next(judgement, units)}${again}`;
      default:
        return `The firmest that gets away, with the next step firmer failing.${next(judgement, units)}${again}`;
    }
  },
  counted: 'got away',
  run: 'Attempt',
  runs: { away: 'got away', labors: 'labored', digsIn: 'dug in' },
};
