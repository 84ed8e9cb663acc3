import { bodyOf, type Outing, type OutingRow } from '@dunlinmoss/contract';
import { groundOr } from '@dunlinmoss/core';
import { openOuting } from '@dunlinmoss/domain';

import { newId } from './newId';

import { save } from './outbox';
import { useRows } from './rows';

/** The outing under way: the newest that is not closed. */
export function useOpenOuting(): { readonly outing: OutingRow | undefined; readonly loading: boolean } {
  const { rows, loading } = useRows('outings');
  return { outing: openOuting(rows), loading };
}

/** A blank outing that begins now. Made once by the form that fills it in, so that saving twice is one outing. */
export const newOuting = (): Outing => ({
  id: newId(),
  revision: 0,
  rigId: '',
  loadCaseId: null,
  groundCode: groundOr('car', undefined),
  modifiers: [],
  speedKmh: null,
  stuckRung: 0,
  title: '',
  startedAt: new Date().toISOString(),
  state: 'planned',
  pressures: [],
  decision: null,
});

export const saveOuting = (row: OutingRow, change: Partial<Outing>) =>
  save('outings', { ...bodyOf('outings', row), ...change });
