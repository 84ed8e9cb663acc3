import type { TapeResult, TapeVerdict } from '@dunlinmoss/core';
import type { Wheel } from '@dunlinmoss/contract';

export const WHEEL_WORDS: Record<Wheel, string> = {
  frontLeft: 'Front left',
  frontRight: 'Front right',
  rearLeft: 'Rear left',
  rearRight: 'Rear right',
};

/** The verdict in a few words, for lists. */
export const VERDICT_WORDS: Record<TapeVerdict, string> = {
  tooFewReadings: 'Too few readings',
  grewAsExpected: 'Grew as expected',
  hardlyGrew: 'Hardly grew',
  moreThanExpected: 'Grew more than expected',
};

/** What a verdict means, and what to do about it. */
export function verdictAdvice({ verdict, contact, rows }: TapeResult): string {
  switch (verdict) {
    case 'tooFewReadings':
      return rows.length < 2
        ? 'Measure the same wheel on the same spot once more, at a pressure well away from this one.'
        : 'These pressures are too close together to tell. Measure once more, well apart: road pressure and the pressure you mean to drive at.';
    case 'grewAsExpected':
      return contact
        ? 'The tire does what the model says. Plans for this tire now use your own contact constant.'
        : 'The growth fits, but the lengths do not: check that the tape lay along the print, not across the tire.';
    case 'hardlyGrew':
      return contact
        ? 'A stiff carcass or a light load: letting out more will bring little. Plans for this tire now use your own contact constant.'
        : 'A stiff carcass or a light load. Check that the air really came out, then measure once more.';
    case 'moreThanExpected':
      return 'Check the load on this wheel and the gauge before you trust this. Plans keep their own estimate until the readings agree.';
  }
}

/** The fitted constant with its spread. */
export function contactText({ contactConstant, standardError }: NonNullable<TapeResult['contact']>): string {
  return standardError === null
    ? `${contactConstant.toFixed(2)} of the chord; a third reading would show how sure that is`
    : `${contactConstant.toFixed(2)} ± ${Math.max(standardError, 0.005).toFixed(2)} of the chord`;
}
