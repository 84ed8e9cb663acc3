import { type Href } from 'expo-router';
import { useState } from 'react';

import { useRows } from '../../data/rows';
import { Action } from '../../components/Action';
import { ListFrame } from '../../components/ListFrame';
import { Page } from '../../components/Page';
import { Text } from '../../components/Text';
import { SearchField } from '../../components/SearchField';
import { Unfold } from '../../components/Unfold';
import { UnitsOpen } from '../../components/UnitsOpen';
import { useWide } from '../../theme/useWide';
import { useRouter } from '../../hooks/useRouter';
import { RigDetail } from './RigDetail';
import { RigList } from './RigList';

/** What else lies beside the rigs. */
const BESIDE: readonly { readonly label: string; readonly href: Href }[] = [
  { label: 'Gauges and air tools', href: '/rigs/tools' },
  { label: 'Read a sidewall', href: '/rigs/marking' },
  { label: 'All machines as a table', href: '/office' },
  { label: 'Wall sheet: all machines by ground', href: '/rigs/wall' },
  { label: 'Files: in and out', href: '/rigs/files' },
  { label: 'Archived rigs', href: '/rigs/archived' },
];

/** What stands on each wheel. */
export function RigsScreen() {
  const router = useRouter();
  const wide = useWide();
  const { rows } = useRows('rigs');
  const first = rows[0];
  return (
    <Page
      title="Rigs"
      action={<Action kind="main" label="Start another rig" onPress={() => router.navigate('/rigs/new')} />}
      result={
        wide &&
        first && (
          <>
            <Text as="heading" level={2}>
              {first.name}
            </Text>
            <RigDetail rig={first} />
          </>
        )
      }
    >
      <RigsPane chosen={wide ? first?.id : undefined} />
    </Page>
  );
}

/** The list with its search and what lies beside it: the left pane of a wide screen, the whole of a phone's. */
export function RigsPane({ chosen }: { readonly chosen: string | undefined }) {
  const router = useRouter();
  const [search, setSearch] = useState('');
  const sought = search.trim();
  const all = useRows('rigs');
  const found = {
    ...all,
    rows: all.rows.filter(({ name }) => name.toLowerCase().includes(sought.toLowerCase())),
  };
  return (
    <>
      <Unfold label="Gauges, sidewall reader, wall sheet, files, archived rigs">
        {BESIDE.map(({ label, href }) => (
          <Action key={label} label={label} onPress={() => router.navigate(href)} />
        ))}
      </Unfold>
      <UnitsOpen />
      <>
        {(all.rows.length > 8 || sought !== '') && (
          <SearchField label="Find a rig by name" value={search} onChange={setSearch} />
        )}
        <ListFrame
          list={found}
          empty={
            sought === ''
              ? 'No rig yet. A tire size and the pressure on the road are enough for a first number.'
              : `No rig with “${sought}” in its name.`
          }
          more="More rigs"
        >
          {(rows) => {
            const own = rows.filter(({ demo }) => !demo);
            const demo = rows.filter((rig) => rig.demo);
            return (
              <>
                {own.length > 0 && <RigList rigs={own} chosen={chosen} />}
                {demo.length > 0 && own.length > 0 && (
                  <Text as="heading" level={2}>
                    Demo machines
                  </Text>
                )}
                {demo.length > 0 && <RigList rigs={demo} chosen={chosen} />}
              </>
            );
          }}
        </ListFrame>
      </>
    </>
  );
}
