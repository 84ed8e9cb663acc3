import type { ResourceName, RowOf } from '@dunlinmoss/contract';

import { Refused } from '../data/client';
import { restoreRow, archiveRow, readAgain } from '../data/rows';
import { notify } from './Notice';

/** Archives a row, says so with the way back, and goes on; where nothing was archived it says why. */
export async function archiveAndSay<Name extends ResourceName>(
  name: Name,
  row: RowOf<Name>,
  called: string,
  goOn: () => void,
): Promise<void> {
  try {
    await archiveRow(name, row);
    notify(`${called} is archived.`, () => void restoreRow(name, row.id));
    goOn();
  } catch (error) {
    if (!(error instanceof Refused)) return notify("The store can't be reached: nothing was archived.");
    // Changed somewhere else since it was read: it is read again, and the person looks once more.
    notify(`${error.problem.title}: look once more before you archive it.`);
    readAgain();
  }
}
