import { coldKpa, gaugeNowKpa } from './gaugeNow';

/**
 * How much warmer than the air a tire is taken to be just after the road, °C. Assumption: from 36 psi it reads about 4 psi
 * more, which is the most that an hour's driving should add (common practice, no source).
 */
export const JUST_DRIVEN_C = 25;

/** For so long after moving a tire reads high, minutes. Common practice, no source. */
export const WARM_FOR_MIN = 45;

/** What a tire that was just driven has cold, kPa, where nobody measured how warm it is: errs low. */
export const coldOfWarmKpa = (shownKpa: number, airTempC: number, altitudeM: number): number =>
  coldKpa(shownKpa, { coldTempC: airTempC, tireTempC: airTempC + JUST_DRIVEN_C, altitudeM });

/** What to do about a reading against what was set, without a thermometer. */
export type WarmAdvice =
  /** On its number, as cold as it was set. */
  | { readonly code: 'asSet' }
  /** Warmth explains it: leave it. */
  | { readonly code: 'warmLeaveIt' }
  /** More than an hour's warmth explains: let out so much, kPa. */
  | { readonly code: 'letOut'; readonly byKpa: number }
  /** Less than was set: it leaks, or it was let down since. */
  | { readonly code: 'lost'; readonly byKpa: number };

export interface WarmQuestion {
  /** Set cold, kPa. */
  readonly setKpa: number;
  /** On the gauge now, kPa. */
  readonly shownKpa: number;
  readonly justDriven: boolean;
  readonly airTempC: number;
  readonly altitudeM: number;
  /** One mark of the gauge, kPa. */
  readonly stepKpa: number;
}

/**
 * "It reads 19, I set 16": warm, leave it, unless it stands higher than an hour's warming explains. A tire that was not
 * driven is held against the number itself.
 *
 * @example set 16 psi, reads 19 just driven: warm, leave it; reads 24: let out 4 psi
 */
export function warmAdvice({ setKpa, shownKpa, justDriven, airTempC, altitudeM, stepKpa }: WarmQuestion): WarmAdvice {
  const warmest = justDriven
    ? gaugeNowKpa(setKpa, { coldTempC: airTempC, tireTempC: airTempC + JUST_DRIVEN_C, altitudeM })
    : setKpa;
  if (shownKpa > warmest + stepKpa) return { code: 'letOut', byKpa: shownKpa - warmest };
  if (shownKpa < setKpa - stepKpa) return { code: 'lost', byKpa: setKpa - shownKpa };
  return shownKpa > setKpa + stepKpa / 2 ? { code: 'warmLeaveIt' } : { code: 'asSet' };
}
