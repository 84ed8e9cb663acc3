import { length, percent, pressure } from '../format';
import { next, type RoutineWords } from './routineWords';

const TRACK = { untouched: 'Untouched', trackA: 'Track A', trackB: 'Track B' } as const;

export const penetrometerWords: RoutineWords = {
  name: 'Cone by depth',
  tells: 'How hard the soil is under two tracks, against the soil beside them, and where roots stop.',
  need: 'A cone penetrometer, or the simulated probe.',
  where: 'In both tracks and beside them, on a day when the soil is moist.',
  steps: [
    'Push the cone in slowly and evenly.',
    'Read it at each mark of depth.',
    'Several pushes in each place, put in as they come.',
  ],
  read: 'Above 300 psi (2 MPa) roots stop (Taylor et al. 1966; from memory).',
  fields: {
    trackAKpa: 'Track A was driven at',
    trackBKpa: 'Track B was driven at',
    track: 'Where',
    depthMm: 'Depth',
    coneKpa: 'Cone reads',
  },
  options: { track: TRACK },
  verdicts: {
    oneTrack: 'One track so far',
    noDifference: 'No difference',
    trackA: 'Track A is looser',
    trackB: 'Track B is looser',
  },
  advice: (judgement, units) => {
    const { verdict, figures } = judgement;
    const limits = (['untouched', 'trackA', 'trackB'] as const)
      .flatMap((name) => {
        const mean = figures[`${name} mean`];
        if (mean === undefined) return [];
        const limit = figures[`${name} limit`];
        return [
          `${TRACK[name]}: ${pressure(mean, units)} on average, ${limit === undefined ? 'roots go all the way' : `roots stop at ${length(limit, units)}`}`,
        ];
      })
      .join('. ');
    const told = limits === '' ? '' : ` ${limits}.`;
    switch (verdict) {
      case 'oneTrack':
        return `Read both tracks, at two depths or more, and say what track B was driven at.${told}`;
      case 'noDifference':
        return `The two tracks are as hard as each other.${told}`;
      default:
        return `${TRACK[verdict as 'trackA']} is looser, by ${percent(figures.share ?? 0)} of the ${figures['untouched mean'] === undefined ? 'harder one' : 'untouched soil'}.${next(judgement, units)}${told}`;
    }
  },
  run: 'Reading',
};
