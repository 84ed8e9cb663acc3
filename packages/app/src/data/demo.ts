import type { RigRow } from '@dunlinmoss/contract';

import { archiveRow, restoreRow } from './rows';

/** Archives the rigs that came with the application. */
export async function putDemoAway(rigs: readonly RigRow[]): Promise<void> {
  for (const rig of rigs) await archiveRow('rigs', rig);
}

/** Brings them back. */
export async function bringDemoBack(rigs: readonly RigRow[]): Promise<void> {
  for (const rig of rigs) await restoreRow('rigs', rig);
}
