import { useState, type ReactNode } from 'react';

import type { RowList } from '../data/rows';
import { Action } from './Action';
import { Empty, Loading } from './States';

/** So many are drawn before somebody asks for more. */
const AT_ONCE = 50;

interface ListFrameProps<Row> {
  readonly list: RowList<Row>;
  /** What is said where there is none. */
  readonly empty: string;
  /** What asks for more of them. */
  readonly more: string;
  readonly children: (rows: readonly Row[]) => ReactNode;
}

/** A list on a screen: on its way, empty, or here with the way to more of it. */
export function ListFrame<Row>({ list: { rows, loading }, empty, more: label, children }: ListFrameProps<Row>) {
  const [shown, setShown] = useState(AT_ONCE);
  if (loading) return <Loading />;
  return (
    <>
      {rows.length === 0 ? <Empty text={empty} /> : children(rows.slice(0, shown))}
      {rows.length > shown && <Action label={label} onPress={() => setShown(shown + AT_ONCE)} />}
    </>
  );
}
