import type { RoutineWords } from './routineWords';

export const standingHeightWords: RoutineWords = {
  name: 'Standing height',
  tells: 'How far the tire really settles under its load: the stiffness of its carcass, or its drop.',
  need: 'A tape or a ruler, something to hold the wheel just clear of the ground.',
  where: 'Level, hard ground, one spot.',
  steps: [
    'With the wheel just clear of the ground, measure from the ground below the hub to the rim’s lower edge, as if it touched: lower it until it only just touches, then measure.',
    'Let the whole load down. Measure from the ground to the same edge.',
    'Let air out and measure again at a second pressure.',
  ],
  read: 'The difference is how far the tire settles. Less than predicted is a stiff carcass, more is a soft one.',
  mind: 'Never go under a vehicle that stands on a jack.',
  fields: { hangingMm: 'Rim edge, just touching', pressureKpa: 'Gauge', loadedMm: 'Rim edge, loaded' },
  verdicts: {
    noRuns: 'Nothing measured yet',
    loadMissing: 'Load not known',
    stiffer: 'Stiffer than expected',
    softer: 'Softer than expected',
    asExpected: 'Settles as expected',
  },
  advice: ({ verdict, figures }) => {
    const share =
      figures.ratio === undefined
        ? ''
        : ` It settles ${(100 * figures.ratio).toFixed(0)}\u00a0% of what was predicted.`;
    switch (verdict) {
      case 'noRuns':
        return 'The loaded edge has to stand lower than the one that only touches.';
      case 'loadMissing':
        return 'The heights are kept. What they say of the carcass needs the load on this wheel: weigh it.';
      case 'stiffer':
        return `A stiff carcass: it takes less air for the same footprint.${share} Plans for this tire now count that in.`;
      case 'softer':
        return `A soft carcass, or more load than you think.${share} Plans for this tire now count that in; weigh the wheel if you have not.`;
      default:
        return `The model has this tire right.${share}`;
    }
  },
  counted: 'settles by',
  runs: { settled: '', higher: 'stands higher than unloaded: measure again' },
};
