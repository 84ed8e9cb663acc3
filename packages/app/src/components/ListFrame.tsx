import type { ReactNode } from 'react';

import type { RowList } from '../data/rows';
import { Action } from './Action';
import { Empty, Loading } from './States';

interface ListFrameProps<Row> {
  readonly list: RowList<Row>;
  /** What is said where there is none. */
  readonly empty: string;
  /** What asks for the next page. */
  readonly more: string;
  readonly children: (rows: readonly Row[]) => ReactNode;
}

/** A list on a screen: on its way, empty, or here with the way to more of it. */
export function ListFrame<Row>({
  list: { rows, loading, hasMore, more },
  empty,
  more: label,
  children,
}: ListFrameProps<Row>) {
  if (loading) return <Loading />;
  return (
    <>
      {rows.length === 0 ? <Empty text={empty} /> : children(rows)}
      {hasMore && <Action label={label} onPress={more} />}
    </>
  );
}
