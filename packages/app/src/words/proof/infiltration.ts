import { length } from '../format';
import { next, type RoutineWords } from './routineWords';

export const infiltrationWords: RoutineWords = {
  name: 'Ring infiltration',
  tells: 'Which track still takes in water, and by how much.',
  need: 'Two rings or pieces of pipe of one size, a measure of water, a ruler. One inch of water in the field kit’s ring is 444 mL (USDA NRCS soil quality test kit; from memory); in a pipe of your own measure its inner diameter.',
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
    ringMm: 'Inner diameter of the ring, if not the field kit’s',
    pouredMl: 'Water poured',
    pouredMm: 'Or how deep it stood',
    track: 'Ring',
    atS: 'After',
    leftMm: 'Left',
  },
  options: { track: { trackA: 'Track A', trackB: 'Track B' } },
  verdicts: {
    pouredMissing: 'How much water?',
    oneTrack: 'One ring so far',
    noDifference: 'No difference',
    trackA: 'Track A takes more',
    trackB: 'Track B takes more',
  },
  advice: (judgement, units) => {
    const { verdict, figures, contradictions } = judgement;
    const rate = (mm: number | undefined): string =>
      mm === undefined ? 'not entered yet' : `${length(mm, units)} an hour`;
    const rates = ` Track A ${rate(figures.trackA)}, track B ${rate(figures.trackB)}.`;
    const rising =
      contradictions.length > 0
        ? ` Water can’t have risen: look at readings ${contradictions.map(([a, b]) => `${a + 1} and ${b + 1}`).join(', ')}.`
        : '';
    switch (verdict) {
      case 'pouredMissing':
        return 'Write down how much water was poured, or how deep it stood at the start.';
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
