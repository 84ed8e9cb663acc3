import type { Airing, AiringRow } from '@dunlinmoss/contract';

import { newId } from './newId';
import { useRows, type RowList } from './rows';

/** The airings of a rig, newest first. */
export const useAirings = (rigId: string | undefined): RowList<AiringRow> =>
  useRows('airings', rigId === undefined ? null : { rigId });

export const newAiring = (of: Omit<Airing, 'id' | 'revision' | 'startedAt' | 'endedAt' | 'runs'>): Airing => ({
  ...of,
  id: newId(),
  revision: 0,
  startedAt: new Date().toISOString(),
  endedAt: null,
  runs: [],
});
