import type { OutingRow } from '@dunlinmoss/contract';
import type { GroundCode } from '@dunlinmoss/core';

/** What is looked for in the Book; null where it doesn't matter. */
export interface BookQuery {
  readonly rigId: string | null;
  /** Who saved it last. */
  readonly personId: string | null;
  readonly groundCode: GroundCode | null;
  /** From this moment on, epoch ms. */
  readonly fromMs: number | null;
  /** Words of its name or of what was noted: a field, a beach. */
  readonly text: string;
}

export const ANY_OUTING: BookQuery = { rigId: null, personId: null, groundCode: null, fromMs: null, text: '' };

export const isAnyOuting = (query: BookQuery): boolean =>
  Object.entries(ANY_OUTING).every(([field, any]) => query[field as keyof BookQuery] === any);

/** Outings that are what is looked for, in the order they came. Every word has to be found, whatever its capitals. */
export function findOutings(
  outings: readonly OutingRow[],
  { rigId, personId, groundCode, fromMs, text }: BookQuery,
): OutingRow[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  return outings.filter((outing) => {
    const said = `${outing.title} ${outing.decision?.note ?? ''} ${outing.rigName}`.toLowerCase();
    return (
      (rigId === null || outing.rigId === rigId) &&
      (personId === null || outing.savedBy === personId) &&
      (groundCode === null || outing.groundCode === groundCode) &&
      (fromMs === null || Date.parse(outing.startedAt) >= fromMs) &&
      words.every((word) => said.includes(word))
    );
  });
}
