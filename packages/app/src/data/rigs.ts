import { bodyOf, type Rig, type RigRow } from '@dunlinmoss/contract';

import { newId } from './newId';

/** A rig like another, to be changed: its own id and load cases, a name that tells them apart. */
export function copyOf(row: RigRow): Rig {
  const ids = new Map(row.loadCases.map(({ id }) => [id, newId()]));
  return {
    ...bodyOf('rigs', row),
    id: newId(),
    revision: 0,
    demo: false,
    softOnPurposeAt: null,
    keeperId: null,
    name: `${row.name.slice(0, 53)}, copy`,
    loadCaseId: row.loadCaseId === null ? null : ids.get(row.loadCaseId)!,
    roadLoadCaseId: ids.get(row.roadLoadCaseId ?? '') ?? null,
    loadCases: row.loadCases.map((loadCase) => ({ ...loadCase, id: ids.get(loadCase.id)! })),
  };
}
