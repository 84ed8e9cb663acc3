import { sidewallMostKpa } from '../axle/planAxle';
import type { AxleContext } from '../axle/axleContext';
import { widthOnRimMm } from '../contact/deflection';
import { alongLogRows } from '../numerics/alongLogRows';
import type { Rows } from '../numerics/alongRows';
import { assumption } from '../sources/source';
import { psi } from '../units/units';
import type { Limit } from './limit';

/**
 * What a bicycle tire of a width is pumped to at most before its sidewall is read: hoop tension grows with the width.
 * Assumption, near the maxima that such sidewalls usually carry. Measured width in mm, kPa.
 */
const MOST_BY_WIDTH: Rows = [
  [32, psi(87)],
  [38, psi(72)],
  [45, psi(60)],
  [54, psi(54)],
  [61, psi(46)],
  [66, psi(40)],
  [71, psi(34)],
  [100, psi(25)],
  [127, psi(20)],
];

/**
 * The ceiling of an unread bicycle sidewall by its width, kPa.
 *
 * @example unreadMostKpa(121.9) // a 4.8 in tire: 143 kPa, 20.8 psi
 */
export const unreadMostKpa = (widthMm: number): number => alongLogRows(MOST_BY_WIDTH, widthMm);

const value = ({ family, axle, build }: AxleContext): number | null =>
  family.kind === 'bicycle' && sidewallMostKpa(axle) === null ? unreadMostKpa(widthOnRimMm(build)) : null;

/** A bicycle tire whose sidewall nobody read is pumped no further than most of its width take. */
export const unreadSidewall = {
  code: 'unreadSidewall',
  source: assumption,
  pressureKpa: value,
  trace: ({ build }, pressureKpa) => [
    {
      code: 'unreadSidewall',
      inputs: { tireWidthMm: widthOnRimMm(build) },
      result: { name: 'highestKpa', value: pressureKpa },
      source: assumption,
    },
  ],
} as const satisfies Limit;
