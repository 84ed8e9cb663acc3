import type { AxlePlan, SchoolCode } from '@dunlinmoss/core';

import type { Units } from '../data/preferences';
import { number } from './format';

/** A school's name, who holds it, where it is right and where it breaks. */
export const SCHOOL_WORDS: Record<
  SchoolCode,
  { readonly name: string; readonly who: string; readonly right: string; readonly breaks: string }
> = {
  equalDeflection: {
    name: 'Equal deflection',
    who: 'Forest and military mobility practice.',
    right:
      'Right on any load and tire: each sidewall bends by the same share as that of the rig the table was found on.',
    breaks: 'Breaks on heavy plies under a light load: they hardly bend, whatever the pressure.',
  },
  fixedTable: {
    name: 'The fixed table',
    who: 'Most who drive on sand: one card for every wagon.',
    right: 'Right on a family wagon with family loads.',
    breaks: 'Breaks on a heavy wheel, which it takes too low, and on a light one, which it leaves too hard.',
  },
  shareOfRoad: {
    name: 'A share of road pressure',
    who: 'Those who halve it and step on.',
    right: 'Right where the placard already follows load and tire.',
    breaks: 'Breaks where the placard is for comfort or for towing: half of a wrong number is a wrong number.',
  },
  stepDown: {
    name: 'Start high, step down',
    who: 'Those who would rather let out twice than pump up once.',
    right: 'Right on ground nobody has driven yet: let out 2 psi, 0.15 bar, at a time until it goes.',
    breaks: 'Breaks where the first attempt digs you in.',
  },
};

/** Why equal deflection is the one to begin with. */
export const WHY_DEFAULT = 'Equal deflection is the one to begin with: it alone goes by your own load and tire.';

/** What a school asked for where a limit cut it off. */
export function cutText({ wantedKpa, heldBy }: AxlePlan['schools'][number], units: Units): string | undefined {
  if (heldBy === null) return undefined;
  const limit = heldBy === 'floor' ? 'the floor' : 'road pressure';
  const asked = wantedKpa > 0 ? number('pressure', units.pressure, wantedKpa) : 'no air';
  return `asks ${asked}, cut off at ${limit}`;
}
