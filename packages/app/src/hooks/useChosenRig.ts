import type { RigRow } from '@dunlinmoss/contract';
import { useEffect } from 'react';

import { useRigOut } from '../data/outings';
import { useRow, useRows } from '../data/rows';
import { createStore } from '../settings/store';

/** The rig that every place speaks of, until another is chosen; null where none was yet. */
export const chosenRigStore = createStore<string | null>(null, 'rig');

/**
 * The rig that goes with the person: the one the address names, else the one chosen last, else the one that is out, else
 * the first. One that is gone is forgotten.
 */
export function useChosenRig(named: string | undefined): {
  readonly rig: RigRow | undefined;
  readonly loading: boolean;
} {
  const chosen = chosenRigStore.use();
  const out = useRigOut();
  const { rows: rigs, loading } = useRows('rigs');
  const wanted = useRow('rigs', named ?? chosen ?? out.rigId);
  // Opened by its address, it is chosen too.
  const here = wanted.row?.id;
  useEffect(() => {
    if (named !== undefined && here === named) chosenRigStore.set(named);
  }, [named, here]);
  return { rig: wanted.row ?? rigs[0], loading: loading || wanted.loading || (!named && !chosen && out.loading) };
}
