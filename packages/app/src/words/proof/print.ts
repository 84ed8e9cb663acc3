import { mass, percent, pressure } from '../format';
import type { RoutineWords } from './routineWords';

export const printWords: RoutineWords = {
  name: 'Print',
  tells: 'How long and wide the tire stands, how much of it is rubber, and how hard that presses.',
  need: 'Paint or chalk, a sheet of paper or cardboard larger than the print, a jack or a helper, a phone.',
  where: 'Level, hard ground. The wheel straight.',
  steps: [
    'Read the pressure. Lift the wheel, paint or chalk the tread over the width of the print and a hand more each way.',
    'Lay the sheet under it, lower the wheel, lift it again. Don’t roll.',
    'Photograph the sheet with all four corners in view, or with a tape beside the print. Or measure length and width with a ruler, or count squares.',
    'Let air out to the next pressure, turn the wheel to a clean part, and do it again.',
  ],
  read: 'A softer tire prints longer, hardly wider. Load over outline is what soft ground feels; load over rubber is what hard ground feels.',
  mind: 'Never go under a vehicle that stands on a jack. Chock the other wheels.',
  fields: {
    pressureKpa: 'Gauge',
    how: 'Found by',
    lengthMm: 'Length',
    widthMm: 'Width',
    grossMm2: 'Within the outline',
    netMm2: 'Rubber alone',
  },
  options: { how: { photo: 'A photo', squares: 'Counting squares', ruler: 'Length and width' } },
  verdicts: {
    noRuns: 'No print yet',
    onePrint: 'One print',
    nested: 'Prints compared',
    loadMissing: 'Areas without load',
    contradicts: 'Prints contradict each other',
  },
  advice: ({ verdict, figures, contradictions }, units) => {
    const voids = figures.voidShare === undefined ? '' : ` ${percent(figures.voidShare)} of it is void.`;
    const presses =
      figures.grossKpa === undefined ? '' : ` The last one presses with ${pressure(figures.grossKpa, units)}.`;
    switch (verdict) {
      case 'noRuns':
        return 'Photograph or measure a first print.';
      case 'loadMissing':
        return `The load on this wheel is not known: areas are shown, pressure on the ground is not.${voids} Weigh it, and the rest follows.`;
      case 'contradicts':
        return `A softer print is plainly shorter than a firmer one (${contradictions.map(([a, b]) => `${a + 1} and ${b + 1}`).join(', ')}): one of the two is no print of this wheel at that pressure. Both are kept and shown; do them again.`;
      case 'onePrint':
        return `One print fixes length and width at one pressure, and plans use it.${presses}${voids} One more at another pressure shows how it grows.`;
      default:
        return `Plans for this tire now go by these prints.${presses}${voids}`;
    }
  },
  counted: 'contact length',
  run: 'Print',
};

/** `600 kg on this wheel`, or that nobody knows. */
export const loadText = (loadKg: number | null, units: Parameters<typeof mass>[1]): string =>
  loadKg === null ? 'load on this wheel not known' : `${mass(loadKg, units)} on this wheel`;
