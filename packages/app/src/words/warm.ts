import type { WarmAdvice } from '@dunlinmoss/core';

import type { Units } from '../settings/preferences';
import { pressure } from './format';

/** What to do about a reading against what was set: one line. */
export function warmText(advice: WarmAdvice, setKpa: number, justDriven: boolean, units: Units): string {
  const set = pressure(setKpa, units);
  switch (advice.code) {
    case 'asSet':
      return `As set, ${set}. Leave it.`;
    case 'warmLeaveIt':
      return justDriven
        ? `Warm from driving: still the ${set} that was set. Leave it.`
        : `A little more than the ${set} that was set. Leave it.`;
    case 'letOut':
      return justDriven
        ? `More than driving warms it from ${set}: let out ${pressure(advice.byKpa, units)}.`
        : `More than the ${set} that was set: let out ${pressure(advice.byKpa, units)}.`;
    case 'lost':
      return `${pressure(advice.byKpa, units)} less than the ${set} that was set: it leaks, or it was let down since.`;
  }
}
