import type { ProofTestRow } from '@dunlinmoss/contract';

import { useAllRows } from './rows';

/** Every test of a rig, newest first: what its tires were found to be hangs on all of them. None for no rig. */
export const useTestsOf = (rigId: string | undefined): readonly ProofTestRow[] =>
  useAllRows('tests', rigId === undefined ? null : { rigId, limit: '100' }, (body) => body.rigId === rigId).rows;
