import type { Problem } from '@dunlinmoss/contract';
import { useState } from 'react';

import { Away, Refused } from '../../data/client';

/** Something that is asked of the server on a tap: under way, refused with its problem, or not reached. */
export function useAsked() {
  const [state, setState] = useState<{
    readonly busy: boolean;
    readonly problem: Problem | null;
    readonly away: boolean;
  }>({
    busy: false,
    problem: null,
    away: false,
  });
  const run = async (work: () => Promise<unknown>): Promise<boolean> => {
    setState({ busy: true, problem: null, away: false });
    try {
      await work();
      setState({ busy: false, problem: null, away: false });
      return true;
    } catch (error) {
      setState({
        busy: false,
        problem: error instanceof Refused ? error.problem : null,
        away: error instanceof Away,
      });
      return false;
    }
  };
  return { ...state, run };
}
