import { boardOf, type Board } from '@dunlinmoss/domain';
import { useMemo } from 'react';

import { useNow } from '../data/clock';
import { useRows } from '../data/rows';

/** A day to come comes by itself. */
const LOOK_MS = 60_000;

/** Every machine that matters now, from all that is kept: a wheel that was let down long ago is still low. */
export function useBoard(): { readonly board: Board; readonly loading: boolean } {
  const rigs = useRows('rigs');
  const outings = useRows('outings');
  const airings = useRows('airings');
  const rounds = useRows('readings');
  const tests = useRows('tests');
  const nowMs = useNow(true, LOOK_MS);
  const lists = [rigs, outings, airings, rounds, tests];
  // Over thousands of machines it is worth keeping while nothing of it changes.
  const board = useMemo(
    () =>
      boardOf({
        rigs: rigs.rows,
        outings: outings.rows,
        airings: airings.rows,
        rounds: rounds.rows,
        tests: tests.rows,
        nowMs,
      }),
    [rigs.rows, outings.rows, airings.rows, rounds.rows, tests.rows, nowMs],
  );
  return {
    // Half of what is kept would leave a machine out, or call it low that was read.
    loading: lists.some(({ loading }) => loading),
    board,
  };
}
