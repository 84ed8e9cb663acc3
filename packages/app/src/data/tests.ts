import type { ProofTestRow } from '@dunlinmoss/contract';

import { useRows } from './rows';

/** Every test of a rig, newest first: what its tires were found to be hangs on all of them. None for no rig. */
export const useTestsOf = (rigId: string | undefined): readonly ProofTestRow[] =>
  useRows('tests', rigId === undefined ? null : { rigId }).rows;
