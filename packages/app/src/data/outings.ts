import { bodyOf, type Outing, type OutingRow } from '@dunlinmoss/contract';
import { familyOf, groundOr } from '@dunlinmoss/core';
import { outingOf } from '@dunlinmoss/domain';

import { useNow } from './clock';
import { newId } from './newId';
import { save, type SaveResult } from './outbox';
import { useRows } from './rows';

/** A day to come comes by itself. */
const LOOK_MS = 60_000;

/** Every outing of a rig, newest first. */
export const useOutingsOf = (rigId: string | undefined) => useRows('outings', rigId === undefined ? null : { rigId });

/** The outing that a rig is on. */
export function useOutingOf(rigId: string | undefined): {
  readonly outing: OutingRow | undefined;
  readonly loading: boolean;
} {
  const { rows, loading } = useOutingsOf(rigId);
  const nowMs = useNow(true, LOOK_MS);
  return { outing: rigId === undefined ? undefined : outingOf(rows, rigId, nowMs), loading };
}

/** The rig that was let down last: whose question it likely is where nobody chose one. */
export function useRigOut(): { readonly rigId: string | undefined; readonly loading: boolean } {
  const { rows, loading } = useRows('outings');
  return { rigId: rows.find(({ state }) => state === 'lowered')?.rigId, loading };
}

/** A blank outing that begins now. Made once by the form that fills it in, so that saving twice is one outing. */
export const newOuting = (): Outing => ({
  id: newId(),
  revision: 0,
  rigId: '',
  loadCaseId: null,
  groundCode: groundOr(familyOf('fourWheel'), undefined),
  modifiers: [],
  speedKmh: null,
  tankLevel: null,
  stuckRung: 0,
  title: '',
  startedAt: new Date().toISOString(),
  state: 'planned',
  pressures: [],
  pressuresAt: null,
  decision: null,
});

/** Saves an outing with something of it changed. Pressures that are set are set now, unless the change says when. */
export function saveOuting(row: OutingRow, change: Partial<Outing>): Promise<SaveResult<'outings'>> {
  const begun = bodyOf('outings', row);
  return save(
    'outings',
    { ...begun, ...(change.pressures && { pressuresAt: new Date().toISOString() }), ...change },
    begun,
  );
}
