import { length } from '../format';
import { next, type RoutineWords } from './routineWords';

export const infiltrationWords: RoutineWords = {
  name: 'Ring infiltration',
  tells: 'Which track still takes in water, and by how much.',
  need: 'Two 6 in rings, a measure of water, a ruler. One inch of water in the field kit’s ring is 444 ml (USDA NRCS soil quality test kit; from memory).',
  where: 'One ring in each track, driven in to its mark.',
  steps: [
    'Pour the same depth into both rings and start both clocks at once.',
    'Whenever you look, note how deep the water still stands: the time is taken for you.',
    'Go on until one is empty, or for half an hour.',
  ],
  read: 'Slower means pressed soil. Rings a step apart differ by a third as well.',
  fields: {
    trackAKpa: 'Track A was driven at',
    trackBKpa: 'Track B was driven at',
    pouredMm: 'Poured',
    track: 'Ring',
    atS: 'After',
    leftMm: 'Left',
  },
  options: { track: { trackA: 'Track A', trackB: 'Track B' } },
  verdicts: {
    oneTrack: 'One ring so far',
    noDifference: 'No difference',
    trackA: 'Track A takes more',
    trackB: 'Track B takes more',
  },
  advice: (judgement, units) => {
    const { verdict, figures, contradictions } = judgement;
    const rate = (mm: number | undefined): string =>
      mm === undefined ? 'not told yet' : `${length(mm, units)} an hour`;
    const rates = ` Track A ${rate(figures.trackA)}, track B ${rate(figures.trackB)}.`;
    const rising =
      contradictions.length > 0
        ? ` Water can’t have risen: look at readings ${contradictions.map(([a, b]) => `${a + 1} and ${b + 1}`).join(', ')}.`
        : '';
    switch (verdict) {
      case 'oneTrack':
        return `Read each ring once more.${rates}${rising}`;
      case 'noDifference':
        return `No more apart than two rings a step away from each other.${rates}${rising}`;
      default:
        return `${verdict === 'trackA' ? 'Track A' : 'Track B'} takes in ${figures.ratio === undefined ? 'water, the other hardly any' : `${figures.ratio.toFixed(1)} times as much`}.${rates}${next(judgement, units)}${rising}`;
    }
  },
  run: 'Look',
};
