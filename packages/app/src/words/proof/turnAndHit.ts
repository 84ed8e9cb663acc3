import { next, type RoutineWords } from './routineWords';

export const turnAndHitWords: RoutineWords = {
  name: 'Turn and square hit',
  tells: 'What the worst of the ride says: rim, bead, folding, pinging.',
  need: 'A stretch with one fast turn and one square edge, ridden as you ride.',
  where: 'The same stretch, warmed up, three times or more.',
  steps: [
    'Ride it. Count what hits the rim, and where air burps out.',
    'Note how it holds in the turn, and how it takes roots.',
  ],
  read: 'Folds in the turn: too low. Pings off roots: too high. A rim strike: up at once. Judge by the worst, not the average.',
  fields: { pressureKpa: 'Gauge', turn: 'In the turn', roots: 'Over roots', rimStrikes: 'Rim strikes', burps: 'Burps' },
  options: {
    turn: { holds: 'Holds', squirms: 'Squirms', folds: 'Folds' },
    roots: { takes: 'Takes them', pings: 'Pings off' },
  },
  verdicts: {
    noRuns: 'Not ridden yet',
    rimStrike: 'A rim strike',
    burp: 'It burped',
    folds: 'It folds',
    squirms: 'It squirms',
    pings: 'It pings',
    right: 'Right',
  },
  advice: (judgement, units) => {
    switch (judgement.verdict) {
      case 'noRuns':
        return 'Ride the stretch once.';
      case 'rimStrike':
        return `Up at once, and look at the rim.${next(judgement, units)}`;
      case 'burp':
        return `The bead let air go.${next(judgement, units)}`;
      case 'folds':
        return `Too low for this turn.${next(judgement, units)}`;
      case 'squirms':
        return `Half a step up, if it bothers you.${next(judgement, units)}`;
      case 'pings':
        return `Too high for these roots.${next(judgement, units)}`;
      default:
        return `The worst of it was well.${next(judgement, units)}`;
    }
  },
  runs: { rimStrike: 'rim strike', burp: 'burp', folds: 'folds', squirms: 'squirms', pings: 'pings', right: 'well' },
};
