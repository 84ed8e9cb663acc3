import type { PageQuery, Repository } from './versioned';

/** Every row of a kind that a query asks for, page by page. */
export async function everyRow<Row, Query extends PageQuery>(
  repository: Pick<Repository<never, Row, Query>, 'list'>,
  ownerId: string,
  query: Omit<Query, keyof PageQuery>,
): Promise<Row[]> {
  const rows: Row[] = [];
  let after: string | undefined;
  do {
    const page = await repository.list(ownerId, { ...query, limit: 100, after, archived: false } as unknown as Query);
    rows.push(...page.items);
    after = page.next ?? undefined;
  } while (after !== undefined);
  return rows;
}
