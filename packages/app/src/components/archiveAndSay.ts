import { mayAs, type ResourceName, type RowOf } from '@dunlinmoss/contract';

import { restoreRow, archiveRow } from '../data/rows';
import { roleHere, whoStore } from '../settings/who';
import { notify } from './Notice';

/** Archives a row, says so with the way back, and goes on. */
export async function archiveAndSay<Name extends ResourceName>(
  name: Name,
  row: RowOf<Name>,
  called: string,
  goOn: () => void,
): Promise<void> {
  if (!mayAs(roleHere(whoStore.get()), 'member'))
    return notify('A viewer of a crew changes nothing: it stays as it is.');
  await archiveRow(name, row);
  notify(`${called} is archived.`, () => void restoreRow(name, row));
  goOn();
}
