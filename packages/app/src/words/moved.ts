import type { AxlePosition } from '@dunlinmoss/core';

import type { Units } from '../settings/preferences';
import { AXLE_WORDS } from './axles';
import { pressure, pressureNumber } from './format';

interface Start {
  readonly position: AxlePosition;
  readonly startKpa: number;
}

/** What a refinement changed: `Front 17 psi, was 16. Rear as before.` */
export function movedText(
  before: readonly Start[] | undefined,
  after: readonly Start[] | undefined,
  units: Units,
): string {
  if (!after) return 'Kept. There is no safe pressure with it on this ground: see why.';
  const lines = after.map(({ position, startKpa }) => {
    const was = before?.find((each) => each.position === position);
    const now = `${AXLE_WORDS[position]} ${pressure(startKpa, units)}`;
    if (!was) return now;
    const [a, b] = [pressureNumber(was.startKpa, units), pressureNumber(startKpa, units)];
    return a === b ? `${now}, as before` : `${now}, was ${a}`;
  });
  return `Kept. ${lines.join('; ')}.`;
}
