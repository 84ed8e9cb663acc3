import { bodyOf, type Outing, type OutingRow } from '@dunlinmoss/contract';
import { groundOr } from '@dunlinmoss/core';
import { mergeChange, outingOf } from '@dunlinmoss/domain';

import { reachStore } from './client';
import { useNow } from './clock';
import { newId } from './newId';
import { outboxStore, save, type SaveResult } from './outbox';
import { useAllRows, useRows } from './rows';

/** A day to come comes by itself. */
const LOOK_MS = 60_000;

/** Every outing of a rig, newest first. */
export const useOutingsOf = (rigId: string | undefined) =>
  useAllRows('outings', rigId === undefined ? null : { rigId, limit: '100' }, (body) => body.rigId === rigId);

/** The outing that a rig is on. */
export function useOutingOf(rigId: string | undefined): {
  readonly outing: OutingRow | undefined;
  readonly loading: boolean;
} {
  const { rows, loading } = useOutingsOf(rigId);
  const nowMs = useNow(true, LOOK_MS);
  const reached = reachStore.use();
  return { outing: rigId === undefined ? undefined : outingOf(rows, rigId, nowMs), loading: loading && reached };
}

/** The rig that was let down last: whose question it likely is where nobody chose one. */
export function useRigOut(): { readonly rigId: string | undefined; readonly loading: boolean } {
  const { rows, loading } = useRows('outings');
  // Without a signal it is asked with what is here.
  const reached = reachStore.use();
  return { rigId: rows.find(({ state }) => state === 'lowered')?.rigId, loading: loading && reached };
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
  pressuresAt: null,
  decision: null,
});

/**
 * Saves an outing with something of it changed. Pressures that are set are set now, unless the change says when. Where
 * another phone saved it in between, what it changed stays, and two that end one outing end it once.
 */
export async function saveOuting(row: OutingRow, change: Partial<Outing>): Promise<SaveResult<'outings'>> {
  const base = bodyOf('outings', row);
  const whole = { ...(change.pressures && { pressuresAt: new Date().toISOString() }), ...change };
  let body: Outing = { ...base, ...whole };
  for (let round = 0; ; round += 1) {
    const saved = await save('outings', body);
    const present = outboxStore.get()[`outings/${row.id}`]?.present as OutingRow | null | undefined;
    if (saved.kind !== 'stale' || !present || round === ROUNDS) return saved;
    const merged = mergeChange(base, whole, bodyOf('outings', present));
    if (!merged) return saved;
    body = { ...merged, revision: present.revision };
  }
}

const ROUNDS = 4;
