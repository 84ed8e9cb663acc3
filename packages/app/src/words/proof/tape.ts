import { percent } from '../format';
import type { RoutineWords } from './routineWords';

export const tapeWords: RoutineWords = {
  name: 'Tape',
  tells: 'How long one wheel stands on the ground, at two or more pressures.',
  need: 'A tape, and two straight poles or a piece of chalk.',
  where: 'Level ground, the wheel straight, one spot for all readings.',
  steps: [
    'Read the pressure of the wheel.',
    'Poles: stand one against the tread in front and one behind, and measure between them. Marks: on firm ground mark where the tread leaves the ground, front and rear.',
    'Let air out to the next pressure on the same spot and measure again.',
  ],
  read: 'Two pressures show whether it grows as predicted; three show how sure that is.',
  fields: {
    method: 'Measured between',
    surface: 'Ground there',
    pressureKpa: 'Gauge',
    lengthMm: 'Contact length',
  },
  options: {
    method: { poles: 'Poles', marks: 'Marks' },
    surface: { firm: 'Firm', soft: 'Soft' },
  },
  run: 'Reading',
  verdicts: {
    loadMissing: 'Load not known',
    tooFewReadings: 'Too few readings',
    grewAsExpected: 'Grew as expected',
    hardlyGrew: 'Hardly grew',
    moreThanExpected: 'Grew more than expected',
  },
  advice: ({ verdict, levels, figures: { contactConstant, ratio } }) => {
    const own = contactConstant !== undefined;
    switch (verdict) {
      case 'loadMissing':
        return 'The lengths are kept. What they say of the tire needs the load on this wheel: weigh it.';
      case 'tooFewReadings':
        return levels.length < 2
          ? 'Measure the same wheel on the same spot once more, at a pressure well away from this one.'
          : 'These pressures are too close together. Measure again, well apart: road pressure and the pressure you mean to drive at.';
      case 'grewAsExpected':
        return own
          ? 'The tire does what the model says. Plans for this tire now use your own contact constant.'
          : 'The growth fits, but the lengths do not: check that the tape lay along the footprint, not across the tire.';
      case 'hardlyGrew':
        return `A stiff carcass or a light load: it grew ${percent(ratio!)} of what was predicted. ${
          own
            ? 'Letting out more will bring little. Plans for this tire now use your own contact constant.'
            : 'Check that the air really came out, then measure once more.'
        }`;
      default:
        return 'Check the load on this wheel and the gauge before you trust this. Plans keep their own estimate until the readings agree.';
    }
  },
};

/** The fitted constant with its spread; undefined where the readings fix none. */
export function contactText({ contactConstant, standardError }: Readonly<Record<string, number>>): string | undefined {
  if (contactConstant === undefined) return undefined;
  return standardError === undefined
    ? `${contactConstant.toFixed(2)} of the chord; a third reading would show how sure that is`
    : `${contactConstant.toFixed(2)} ± ${Math.max(standardError, 0.005).toFixed(2)} of the chord`;
}
