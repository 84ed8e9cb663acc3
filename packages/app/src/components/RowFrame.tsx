import type { ResourceName, RowOf } from '@dunlinmoss/contract';
import { useRouter, type Href } from 'expo-router';
import type { ReactNode } from 'react';

import { useRow } from '../data/rows';
import { Empty, Loading } from './States';

/** What is said of a row that is not there, and where the others are. */
const MISSING: Record<ResourceName, { readonly one: string; readonly all: string; readonly href: Href }> = {
  rigs: { one: 'This rig', all: 'All rigs', href: '/rigs' },
  gauges: { one: 'This gauge', all: 'All gauges', href: '/rigs/tools' },
  tools: { one: 'This tool', all: 'All tools', href: '/rigs/tools' },
  outings: { one: 'This outing', all: 'The Book', href: '/book' },
  tests: { one: 'This test, or its rig,', all: 'All tests', href: '/proof' },
  airings: { one: 'This airing', all: 'Air', href: '/air' },
  readings: { one: 'This round', all: 'Air', href: '/air' },
  comparisons: { one: 'This comparison', all: 'The Book', href: '/book' },
  routes: { one: 'This route', all: 'Routes', href: '/ground/day' },
};

/** Says that a row is not there, with the way to the others. */
export function RowMissing({ name }: { readonly name: ResourceName }) {
  const router = useRouter();
  const { one, all, href } = MISSING[name];
  return (
    <Empty text={`${one} is not here, or was archived.`} action={{ label: all, onPress: () => router.replace(href) }} />
  );
}

interface RowFrameProps<Name extends ResourceName> {
  readonly name: Name;
  /** `new` begins another. */
  readonly id: string;
  /** Drawn around whatever there is to see: the row, that it is on its way, or that it is missing. */
  readonly around?: (body: ReactNode, row: RowOf<Name> | undefined) => ReactNode;
  /** Drawn anew for every revision, so that a form never holds an older one. */
  readonly children: (row: RowOf<Name> | undefined) => ReactNode;
}

/** One row on a screen: on its way, missing or here. */
export function RowFrame<Name extends ResourceName>({
  name,
  id,
  around = (body) => body,
  children,
}: RowFrameProps<Name>) {
  const { row, missing } = useRow(name, id === 'new' ? undefined : id);
  if (missing) return around(<RowMissing name={name} />, undefined);
  if (id !== 'new' && !row) return around(<Loading />, undefined);
  return around(children(row), row);
}
