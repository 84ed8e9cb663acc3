import { nextLookMs, type Mishap, type Season, type StandingAxle, type WorkedOn } from '@dunlinmoss/domain';
import type { RigRow, Sheet, SheetPart } from '@dunlinmoss/contract';
import { compareTexts } from '@dunlinmoss/core';

import { unitsFor, type Units } from '../settings/preferences';
import { hoursText, wheelName } from './air';
import { AXLE_WORDS } from './axles';
import { day, pressure, pressureNumber } from './format';
import { groundName } from './grounds';

/** The newest pressures that were kept, axle by axle: `16 / 18 psi`. Empty where none was. */
export const keptText = ({ axles }: WorkedOn, units: Units): string =>
  axles.length === 0
    ? ''
    : `${axles.map(({ newestKpa }) => pressureNumber(newestKpa, units)).join(' / ')}\u00a0${units.pressure}`;

/** From the lowest to the highest that was kept: `front 14 to 18 psi`; empty where it was always the same. */
const rangeText = ({ axles }: WorkedOn, units: Units): string =>
  axles
    .filter(({ lowestKpa, highestKpa }) => pressureNumber(lowestKpa, units) !== pressureNumber(highestKpa, units))
    .map(
      ({ position, lowestKpa, highestKpa }) =>
        `${AXLE_WORDS[position].toLowerCase()} ${pressureNumber(lowestKpa, units)} to ${pressure(highestKpa, units)}`,
    )
    .join(', ');

function mishapText({ kind, outing, wheel, rig }: Mishap, units: Units): string {
  if (kind === 'turnedBack') {
    const set = outing!.pressures.map(({ pressureKpa }) => pressureNumber(pressureKpa, units)).join(' / ');
    const at = set === '' ? '' : ` at ${set}\u00a0${units.pressure}`;
    const note = outing!.decision!.note;
    return `Turned back on ${groundName(outing!.groundCode).toLowerCase()}${at}${note === '' ? '' : `: ${note}`}`;
  }
  const road = rig.axles.find(({ position }) => position === wheel!.position)?.roadKpa;
  const meant = road ? `, road ${pressure(road, units)}` : '';
  return `${wheelName(wheel!)} read low, ${pressure(wheel!.coldKpa, units)}${meant}, though nobody had let it out`;
}

/** A machine that stands, and how its air keeps. */
export interface ToLookAt {
  readonly rig: RigRow;
  readonly standing: readonly StandingAxle[];
}

/** A season on a page: what worked, how long tires were soft, what went wrong, which machines are to be looked at. */
export function seasonSheet(
  { worked, soft, mishaps }: Season,
  standing: readonly ToLookAt[],
  { from, now, units }: { readonly from: string | null; readonly now: string; readonly units: Units },
): Sheet {
  const of = (rig: RigRow): Units => unitsFor(units, rig.family);
  const checks = standing
    .flatMap(({ rig, standing: axles }) => {
      const nextMs = nextLookMs(axles);
      const isDated = axles.every((axle) => axle.isDated);
      return nextMs === null ? [] : [{ rig, isDated, at: new Date(nextMs).toISOString() }];
    })
    .sort((a, b) => compareTexts(a.at, b.at));
  const part = (title: string, head: readonly string[], rows: string[][], empty: string): SheetPart =>
    rows.length > 0 ? { title, head, rows } : { title, lines: [[empty, '']] };
  return {
    title: 'A season',
    about: from === null ? `All that was kept until ${day(now)}` : `${day(from)} to ${day(now)}`,
    parts: [
      part(
        'Pressures that worked',
        ['Machine', 'Ground', 'Kept last', 'After'],
        worked.map((each) => [
          each.rig.name,
          groundName(each.groundCode),
          [keptText(each, of(each.rig)) || 'none yet', rangeText(each, of(each.rig))].filter(Boolean).join('; '),
          `${each.kept} of ${each.outings} ${each.outings === 1 ? 'outing' : 'outings'}`,
        ]),
        'No outing in this time.',
      ),
      part(
        'Time on soft tires',
        ['Machine', 'Soft for', 'Now'],
        soft.map(({ rig, ms, lasts }) => [
          rig.name,
          hoursText(ms / 3_600_000),
          lasts ? 'still, until it is read at road pressure' : 'at road pressure',
        ]),
        'None was written down.',
      ),
      part(
        'What went wrong',
        ['Day', 'Machine', 'What'],
        mishaps.map((each) => [day(each.at), each.rig.name, mishapText(each, of(each.rig))]),
        'Nothing that was written down.',
      ),
      part(
        'To look at again, standing',
        ['Machine', 'By'],
        checks.map(({ rig, isDated, at }) => [
          rig.name,
          !isDated ? 'now: nobody wrote down when it was read' : at <= now ? `${day(at)}: due` : day(at),
        ]),
        'Nothing is known of any machine’s air.',
      ),
    ],
    foot: 'By what was written down: what nobody wrote is not in it. Time on soft tires runs until a reading at road pressure.',
  };
}

/** All tables of a sheet, one below the other, as lines of a file. */
export const sheetCells = ({ parts }: Sheet): string[][] =>
  parts.flatMap((part) =>
    'head' in part
      ? [...(part.title === undefined ? [] : [[part.title]]), [...part.head], ...part.rows.map((row) => [...row]), []]
      : [],
  );
