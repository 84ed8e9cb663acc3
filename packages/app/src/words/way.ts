import { fromCanonical } from '@dunlinmoss/core';

import type { Units } from '../settings/preferences';

export const wayUnit = ({ speed: unit }: Pick<Units, 'speed'>): 'km' | 'mi' => (unit === 'mph' ? 'mi' : 'km');

/** A length of way, m, as it stands on signs. */
export function way(m: number, { speed: unit }: Pick<Units, 'speed'>): string {
  const value = fromCanonical('speed', unit, m / 1000);
  return `${Number(value.toFixed(value < 10 ? 1 : 0))}\u00a0${wayUnit({ speed: unit })}`;
}
