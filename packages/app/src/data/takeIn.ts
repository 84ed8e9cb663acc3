import { RESOURCE_NAMES, type Change, type ResourceName, type RowOf } from '@dunlinmoss/contract';

import { keepChanges, type Coming } from './deviceRows';
import { emptyLists, readLists, rowsChanged, syncChanged } from './lists';
import { onTabs, tellTabs } from './tabs';

const idsOf = (name: ResourceName, rows: readonly (readonly [ResourceName, string])[]): string[] =>
  rows.flatMap(([kind, id]) => (kind === name ? [id] : []));

/** Takes rows onto this device, and has the lists and the other tabs follow. */
export async function takeIn(
  changes: readonly Change[],
  { sync, anew = false }: Partial<Omit<Coming, 'changes'>> = {},
): Promise<void> {
  const news = await keepChanges({ changes, sync, anew });
  if (anew) await emptyLists();
  // While everything is coming for the first time the lists wait for the last of it.
  if (!sync || (sync.filled && !anew)) {
    const rows = news.map(({ kind, id }) => [kind, id] as const);
    for (const name of RESOURCE_NAMES) await rowsChanged(name, idsOf(name, rows));
  }
  if (anew) tellTabs({ allRows: true });
  else if (news.length > 0 || sync) tellTabs({ rows: news.map(({ kind, id }) => [kind, id]) });
}

/** Takes in a row that arrived at the server. */
export const arrived = (name: ResourceName, row: RowOf<ResourceName>): Promise<void> =>
  takeIn([{ kind: name, id: row.id, row } as Change]);

/** Takes out a row that is archived at the server, or gone. */
export const departed = (name: ResourceName, id: string): Promise<void> => takeIn([{ kind: name, id, row: null }]);

/** Has the lists follow whatever another tab wrote. Gives back the way to stop. */
export const followOtherTabs = (): (() => void) =>
  onTabs((message) => {
    if ('allRows' in message) void readLists();
    else if ('rows' in message) {
      for (const name of RESOURCE_NAMES) void rowsChanged(name, idsOf(name, message.rows));
    } else return;
    void syncChanged();
  });
