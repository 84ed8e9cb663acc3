import type { ListFilter } from './versioned';

/** What a list that can be asked for one rig, or for some outings, adds to its WHERE. */
export function ofRig({
  rigId,
  outingIds,
}: {
  readonly rigId?: string | undefined;
  readonly outingIds?: string[] | undefined;
}): ListFilter {
  const parts = [
    ...(rigId ? [{ sql: ' AND rig_id = ?', value: rigId }] : []),
    ...(outingIds ? [{ sql: ' AND outing_id IN (?)', value: outingIds }] : []),
  ];
  return {
    sql: parts.map(({ sql }) => sql).join(''),
    values: parts.map(({ value }): unknown => value),
    hasIndex: parts.length > 0,
  };
}
