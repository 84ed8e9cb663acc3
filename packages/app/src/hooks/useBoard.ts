import { boardOf, openOutings, type Board } from '@dunlinmoss/domain';

import { reachStore } from '../data/client';
import { useNow } from '../data/clock';
import { useAllRows, useRows } from '../data/rows';

const ALL = { limit: '100' };
const every = (): boolean => true;
/** A day to come comes by itself. */
const LOOK_MS = 60_000;
/** As many ids as one question takes. */
const MOST_IDS = 50;

/** Every machine that matters now, from all that is kept: a wheel that was let down long ago is still low. */
export function useBoard(): { readonly board: Board; readonly loading: boolean } {
  const rigs = useAllRows('rigs', ALL, every);
  const outings = useAllRows('outings', ALL, every);
  const airings = useAllRows('airings', ALL, every);
  const rounds = useAllRows('readings', ALL, every);
  const ids = openOutings(outings.rows)
    .slice(0, MOST_IDS)
    .map(({ id }) => id);
  const tests = useRows(
    'tests',
    ids.length > 0 ? { limit: '100', outingIds: ids.join(',') } : null,
    ({ outingId }) => outingId !== null && ids.includes(outingId),
  );
  const nowMs = useNow(true, LOOK_MS);
  const reached = reachStore.use();
  const lists = [rigs, outings, airings, rounds];
  return {
    // Half of what is kept would leave a machine out, or call it low that was read; without a signal it is all there is.
    loading: reached && lists.some(({ loading, hasMore }) => loading || hasMore),
    board: boardOf({
      rigs: rigs.rows,
      outings: outings.rows,
      airings: airings.rows,
      rounds: rounds.rows,
      tests: tests.rows,
      nowMs,
    }),
  };
}
