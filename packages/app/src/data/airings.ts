import type { Airing, AiringRow } from '@dunlinmoss/contract';
import { mergeAirings } from '@dunlinmoss/domain';

import { newId } from './newId';
import { outboxStore, save, type SaveResult } from './outbox';
import { useAllRows, type RowList } from './rows';

/** The airings of a rig, newest first. */
export const useAirings = (rigId: string | undefined): RowList<AiringRow> =>
  useAllRows('airings', rigId === undefined ? null : { rigId, limit: '100' }, (body) => body.rigId === rigId);

export const newAiring = (of: Omit<Airing, 'id' | 'revision' | 'startedAt' | 'endedAt' | 'runs'>): Airing => ({
  ...of,
  id: newId(),
  revision: 0,
  startedAt: new Date().toISOString(),
  endedAt: null,
  runs: [],
});

const ROUNDS = 4;

/** Saves an airing; where another phone saved in between, both are put together and saved again. */
export async function saveAiring(airing: Airing): Promise<SaveResult<'airings'> & { readonly merged?: boolean }> {
  let body = airing;
  for (let round = 0; ; round += 1) {
    const saved = await save('airings', body);
    const entry = outboxStore.get()[`airings/${airing.id}`];
    const present = entry?.present as AiringRow | null | undefined;
    if (saved.kind !== 'stale' || !present || round === ROUNDS) return round > 0 ? { ...saved, merged: true } : saved;
    // What was tapped since stands on top of this: it is the one to put together with the other phone's.
    body = mergeAirings(entry!.body as Airing, present);
  }
}
