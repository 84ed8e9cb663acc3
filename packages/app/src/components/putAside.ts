import type { ResourceName, RowOf } from '@dunlinmoss/contract';

import { Refused } from '../data/client';
import { bringBack, putAside, readAgain } from '../data/rows';
import { notify } from './Notice';

/** Puts a row aside, says so with the way back, and goes on; where nothing was put aside it says why. */
export async function putAsideAndSay<Name extends ResourceName>(
  name: Name,
  row: RowOf<Name>,
  called: string,
  goOn: () => void,
): Promise<void> {
  try {
    await putAside(name, row);
    notify(`${called} is put aside.`, () => void bringBack(name, row.id));
    goOn();
  } catch (error) {
    if (!(error instanceof Refused)) return notify("The store can't be reached: nothing was put aside.");
    // Changed somewhere else since it was read: it is read again, and the person looks once more.
    notify(`${error.problem.title}: look once more before you put it aside.`);
    readAgain();
  }
}
