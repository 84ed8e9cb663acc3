import { downsampledLog, type DownsampledLog } from '@dunlinmoss/contract';
import { useEffect, useState } from 'react';
import useSWR from 'swr';

import { apiHere } from '../settings/who';
import { reachStore, request } from './client';
import { rowsHere } from './deviceRows';
import { photosOfTests } from './photos';
import { keepSeenLog, keepSeenPhoto, seenLog, seenPhoto, type SeenLog } from './seen';

/** Stretches that a picture of a phone's width can show. */
const STRETCHES = 320;
const pathOf = (rigId: string): string => `/rigs/${rigId}/log?stretches=${STRETCHES}`;

/** A rig's log, thinned: the server's, or as this device saw it last where that can't be reached. */
export function useLog(rigId: string): {
  /** Undefined while it is asked for; null where the server is away and this device has none. */
  readonly log: DownsampledLog | null | undefined;
  /** As it was at this ISO time, and not now; null for the server's own. */
  readonly asOf: string | null;
  readonly askAgain: () => void;
} {
  const { data, error, mutate } = useSWR<unknown>(pathOf(rigId));
  const parsed = downsampledLog.safeParse(data);
  const log = parsed.success ? parsed.data : undefined;
  const [here, setHere] = useState<SeenLog | null>();
  useEffect(() => {
    if (log) void keepSeenLog(rigId, { log, at: new Date().toISOString() });
    // What came is kept once; a look at it makes a new value each time.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [rigId, data]);
  const isAway = error !== undefined && !log;
  useEffect(() => {
    let isShown = true;
    if (isAway) void seenLog(rigId).then((seen) => isShown && setHere(seen ?? null));
    return () => {
      isShown = false;
    };
  }, [rigId, isAway]);
  const askAgain = (): void => void mutate();
  if (log) return { log, asOf: null, askAgain };
  if (!isAway || here === undefined) return { log: undefined, asOf: null, askAgain };
  return { log: here?.log ?? null, asOf: here?.at ?? null, askAgain };
}

/** So long after the first screen stands, ms: whatever is looked at first comes first. */
const BEHIND_MS = 15_000;
/** A log that was asked for within so long is good enough to have with one, ms. */
const FRESH_MS = 12 * 3_600_000;
/** How many of each are fetched in one go: the newest, for somebody who goes out today. */
const [MOST_LOGS, MOST_PHOTOS] = [40, 100];

/** Fetches what is not here of logs and photos, one after the other, while nobody waits for it. */
export async function fillSeen(nowMs = Date.now()): Promise<void> {
  for (const { id } of (await rowsHere('rigs')).slice(0, MOST_LOGS)) {
    const seen = await seenLog(id);
    if (seen && nowMs - Date.parse(seen.at) < FRESH_MS) continue;
    if (!reachStore.get()) return;
    const answer = await request('GET', pathOf(id)).catch(() => undefined);
    const parsed = downsampledLog.safeParse(answer);
    if (parsed.success) await keepSeenLog(id, { log: parsed.data, at: new Date(nowMs).toISOString() });
  }
  for (const id of (await photosOfTests()).slice(0, MOST_PHOTOS)) {
    if (await seenPhoto(id)) continue;
    if (!reachStore.get()) return;
    const answer = await fetch(`${apiHere()}/photos/${id}`).catch(() => undefined);
    if (answer?.ok) await keepSeenPhoto(id, await answer.blob());
  }
}

/** Has them fetched in a while. */
export const fillSeenLater = (): void => void setTimeout(() => void fillSeen(), BEHIND_MS);
