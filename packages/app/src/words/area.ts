import type { Units } from '../settings/preferences';

const MM2_PER = { mm: 100, in: 645.16 } as const;

/** An area as people measure prints: square centimeters, or square inches where lengths are in inches. */
export const area = (mm2: number, { length }: Pick<Units, 'length'>): string =>
  `${(mm2 / MM2_PER[length]).toFixed(length === 'in' ? 1 : 0)}\u00a0${length === 'in' ? 'in²' : 'cm²'}`;
