import type { Rig, RigAxle } from '@dunlinmoss/contract';
import type { SidewallText } from '@dunlinmoss/core';

import type { QuantityText } from '../../components/quantityText';

/** What was read on one tire, or measured on it, and says nothing of another. */
const LEFTOVER_FIELDS = ['lines', 'rows', 'minKpa', 'maxKpa', 'measuredWidthMm', 'treadWidthMm'] as const;

export type Leftovers = Pick<RigAxle, (typeof LEFTOVER_FIELDS)[number]>;

export const NOTHING_LEFT: Leftovers = {
  lines: [],
  rows: [],
  minKpa: null,
  maxKpa: null,
  measuredWidthMm: null,
  treadWidthMm: null,
};

export const leftoversOf = ({ lines, rows, minKpa, maxKpa, measuredWidthMm, treadWidthMm }: RigAxle): Leftovers => ({
  lines,
  rows,
  minKpa,
  maxKpa,
  measuredWidthMm,
  treadWidthMm,
});

export const isAnything = (left: Leftovers): boolean =>
  LEFTOVER_FIELDS.some((field) => {
    const value = left[field];
    return Array.isArray(value) ? value.length > 0 : value !== null;
  });

/** The rig with these on its axles, one for each of the places. */
export const withLeftovers = <Row extends Pick<Rig, 'axles'>>(
  row: Row,
  places: readonly number[],
  left: readonly Leftovers[],
): Row => ({
  ...row,
  axles: row.axles.map((axle, index) => {
    const own = left[places.indexOf(index)];
    return own ? { ...axle, ...own } : axle;
  }),
});

/** What was typed into fields of theirs goes as well. */
export const withoutTexts = (
  texts: Readonly<Record<string, QuantityText>>,
  places: readonly number[],
): Readonly<Record<string, QuantityText>> =>
  Object.fromEntries(
    Object.entries(texts).filter(
      ([key]) => !places.some((place) => LEFTOVER_FIELDS.some((field) => key.startsWith(`/axles/${place}/${field}`))),
    ),
  );

/** The rig with what a whole sidewall says on these axles: its size, its load lines and its maximum, where it has them. */
export function withSidewall<Row extends Pick<Rig, 'axles'>>(
  row: Row,
  places: readonly number[],
  { marking, lines, maxKpa }: SidewallText,
): Row {
  if (lines.length === 0 && maxKpa === null) return row;
  return {
    ...row,
    axles: row.axles.map((axle, index) =>
      places.includes(index)
        ? {
            ...axle,
            tireMarking: marking,
            ...(lines.length > 0 && { lines: [...lines] }),
            ...(maxKpa !== null && { maxKpa }),
          }
        : axle,
    ),
  };
}
