import type { Outing, OutingRow } from '@dunlinmoss/contract';

import type { GroundCode } from '@dunlinmoss/core';

import { newId } from './newId';
import { save } from './outbox';
import { useRows } from './rows';

/** The outing under way: the newest that is not closed. */
export function useOpenOuting(): { readonly outing: OutingRow | undefined; readonly loading: boolean } {
  const { rows, loading } = useRows('outings');
  return { outing: rows.find(({ state }) => state !== 'closed'), loading };
}

/** The part of an outing row that a person saves. */
export const outingBody = ({ createdAt: _, updatedAt: __, rigName: ___, ...outing }: OutingRow): Outing => outing;

export const newOuting = (rigId: string, groundCode: GroundCode, title: string): Outing => ({
  id: newId(),
  revision: 0,
  rigId,
  groundCode,
  title,
  startedAt: new Date().toISOString(),
  state: 'planned',
  pressures: [],
  decision: null,
});

export const saveOuting = (row: OutingRow, change: Partial<Outing>) =>
  save('outings', { ...outingBody(row), ...change });
