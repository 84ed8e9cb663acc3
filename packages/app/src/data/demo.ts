import type { RigRow } from '@dunlinmoss/contract';

import { archiveRow, restoreRow } from './rows';

/** Archives the rigs that came with the application. False where the server was away before all were. */
export async function putDemoAway(rigs: readonly RigRow[]): Promise<boolean> {
  try {
    for (const rig of rigs) await archiveRow('rigs', rig);
    return true;
  } catch {
    return false;
  }
}

/** Brings them back. */
export async function bringDemoBack(rigs: readonly RigRow[]): Promise<boolean> {
  try {
    for (const { id } of rigs) await restoreRow('rigs', id);
    return true;
  } catch {
    return false;
  }
}
