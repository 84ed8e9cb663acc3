import type { ResourceName, RowOf } from '@dunlinmoss/contract';

import { bringBack, putAside } from '../data/rows';
import { notify } from './Notice';

/** Puts a row aside, says so with the way back, and goes on; while the store is away it says that instead. */
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
  } catch {
    notify("The store can't be reached: nothing was put aside.");
  }
}
