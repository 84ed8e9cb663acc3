import type { BoardEntry, InTire, Knowledge } from '@dunlinmoss/domain';
import { axlesNow } from '@dunlinmoss/domain';

import type { Units } from '../settings/preferences';
import { AXLE_WORDS } from './axles';
import { pressure, when } from './format';

/** How what is in a wheel is known. */
export const KNOWN_WORDS: Record<Knowledge, string> = {
  read: 'read',
  readWarm: 'read warm',
  set: 'set, not read since',
  letOut: 'let out, not read since',
  assumed: 'not read: road pressure assumed',
};

/** `read, 20 Nov, 07:40`; what to do where nothing is known. */
export function knownText(now: InTire | undefined, nowMs: number): string {
  if (!now) return 'not read';
  if (now.from === 'rig' && now.known === 'read') return 'as the rig has it, day not known';
  return now.at === null ? KNOWN_WORDS[now.known] : `${KNOWN_WORDS[now.known]}, ${when(now.at, nowMs)}`;
}

/** `front 15 psi, rear 18 psi · let out, nobody read it`: what is in a machine's tires, in one line. */
export function inTiresText(entry: Pick<BoardEntry, 'wheels'>, units: Units, stepKpa: number, nowMs: number): string {
  const axles = axlesNow(entry, stepKpa);
  const numbers = axles
    .map(({ position, lowestKpa, alike, known }) => {
      const name = AXLE_WORDS[position].toLowerCase();
      if (lowestKpa === null || known === undefined) return `${name} not known`;
      return `${name} ${alike ? '' : 'from '}${pressure(lowestKpa, units)}`;
    })
    .join(', ');
  const [first] = axles;
  const alike = axles.every(({ known }) => known === first!.known);
  if (alike && first!.known) {
    const oldest = axles.map(({ at }) => at).reduce((a, b) => (a === null || b === null ? null : a < b ? a : b));
    return `${numbers} · ${KNOWN_WORDS[first!.known]}${oldest === null ? '' : `, ${when(oldest, nowMs)}`}`;
  }
  const each = axles.map(({ position, known }) =>
    known === undefined
      ? `${AXLE_WORDS[position].toLowerCase()}: not read`
      : `${AXLE_WORDS[position].toLowerCase()}: ${KNOWN_WORDS[known]}`,
  );
  return `${numbers} · ${each.join(', ')}`;
}
