import { familyOf, SQUARES_UP_KPA, type GroundPlan, type Kind, type Remark } from '@dunlinmoss/core';

import type { Units } from '../settings/preferences';
import { mass, percent, pressure, pressureNumber, speed } from './format';
import { groundName } from './grounds';
import { LIMIT_WORDS, NEED_WORDS } from './limits';
import { way } from './way';
import { SCHOOL_WORDS } from './schools';

/** Remarks that say that something is wrong; the rest explain. */
export const isAlarming = ({ code }: Remark): boolean =>
  code === 'bendUnlikely' || code === 'roadTooLow' || code === 'noAirNear';

const list = (names: readonly string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;

/** What belongs under the print: that a soft one squares up is drawn by our estimate. */
export function printNote({ family, axles }: Pick<GroundPlan, 'family' | 'axles'>, units: Units): string | null {
  const isSquared = axles.some(({ own, startKpa }) => own === null && startKpa < SQUARES_UP_KPA);
  return familyOf(family).kind === 'car' && isSquared
    ? `Below about ${pressure(SQUARES_UP_KPA, units)} a print squares up, longer and wider: drawn so by our estimate. Measure yours.`
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
    case 'practiceLower': {
      const range =
        Math.abs(remark.highKpa - remark.lowKpa) < 4
          ? pressure(remark.lowKpa, units)
          : `${pressureNumber(remark.lowKpa, units)}–${pressure(remark.highKpa, units)}`;
      return `People crawl over this at ${range} on such rigs: walking pace, ${speed(remark.speedKmh, units)}, short and straight. Faster, ${LIMIT_WORDS[remark.floor].voice}. The risk is theirs: a sidewall, a bead.`;
    }
    case 'softerOnCorrugations':
      return `Many run ${pressure(remark.lowKpa, units)} here${remark.speedKmh === null ? '' : `, up to ${speed(remark.speedKmh, units)}`}: it spares tires, vehicle and track. ${pressure(remark.highKpa, units)} is for the speed above.`;
    case 'noAirNear':
      return [
        `On pavement this goes ${speed(remark.homeKmh, units)} at most: about ${Math.round((60 * 20) / remark.homeKmh)} min for ${way(20_000, units)}. Stop and wait for air rather than drive on where a tire feels hot.`,
        ...(remark.raisedKpa === null
          ? []
          : [
              `For ${speed(remark.raisedForKmh, units)} there it would take ${pressure(remark.raisedKpa, units)}${remark.bogChance === null ? '' : `: stuck here ${percent(remark.bogChance)} of the time`}.`,
            ]),
      ].join(' ');
    case 'roadTooLow':
      return `You drive with ${pressure(remark.roadKpa, units)} on the road; this load asks for ${pressure(remark.neededKpa, units)} there.`;
    case 'ratingUnread':
      return `Taken from your road pressure, which counts for ${mass(remark.roadLoadKg, units)} on a wheel: your heaviest load, or the one you name. For the tire’s own figure it ${NEED_WORDS[remark.needs]}.`;
  }
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
