import { familyOf, SQUARES_UP_KPA, type GroundPlan, type Kind, type Remark } from '@dunlinmoss/core';

import type { Units } from '../settings/preferences';
import { percent, pressure } from './format';
import { groundName } from './grounds';
import { NEED_WORDS } from './limits';
import { SCHOOL_WORDS } from './schools';

/** Remarks that say that something is wrong; the rest explain. */
export const isAlarming = ({ code }: Remark): boolean => code === 'bendUnlikely' || code === 'roadTooLow';

const list = (names: readonly string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;

/** What belongs under the print: a soft one that nobody has measured is drawn too small. */
export function printNote({ family, axles }: Pick<GroundPlan, 'family' | 'axles'>, units: Units): string | null {
  const tooSmall = axles.some(({ own, startKpa }) => own === null && startKpa < SQUARES_UP_KPA);
  return familyOf(family).kind === 'car' && tooSmall
    ? `Below about ${pressure(SQUARES_UP_KPA, units)} a real print squares up: longer and wider than drawn here.`
    : null;
}

/** What belongs beside a number. */
export function remarkText(remark: Remark, kind: Kind, units: Units): string {
  switch (remark.code) {
    case 'groundsOnFloor': {
      const grounds = list(remark.grounds.map((ground) => groundName(ground).toLowerCase()));
      return kind === 'quad'
        ? `${capital(grounds)} end on this floor: the tire floats already.`
        : `${capital(grounds)} end on this floor; bead locks or a lower floor of your own open more.`;
    }
    case 'schoolsApart':
      return `People differ here: ${pressure(remark.softestKpa, units)} (${SCHOOL_WORDS[remark.softest].name.toLowerCase()}) to ${pressure(remark.firmestKpa, units)} (${SCHOOL_WORDS[remark.firmest].name.toLowerCase()}). Try it on site.`;
    case 'bendUnlikely':
      return `Something is wrong: the tire would bend by ${percent(remark.deflectionShare)} of its height at its rating, and no such tire bends by more than ${percent(remark.mostShare)}. Check the load, the size and the pressure.`;
    case 'gainsLess':
      return `Stiff sidewalls: the footprint grows ${percent(remark.lessShare)} less than on a standard one.`;
    case 'roadTooLow':
      return `You drive with ${pressure(remark.roadKpa, units)} on the road; this load asks for ${pressure(remark.neededKpa, units)} there.`;
    case 'ratingUnread':
      return `Taken from your road pressure. For the tire’s own figure it ${NEED_WORDS[remark.needs]}.`;
  }
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
