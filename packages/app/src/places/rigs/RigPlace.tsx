import { useLocalSearchParams, useRouter } from 'expo-router';

import { useRow, useRows } from '../../data/rows';
import { Action } from '../../pieces/Action';
import { Page } from '../../pieces/Page';
import { Empty, Loading } from '../../pieces/States';
import { Text } from '../../pieces/Text';
import { useWide } from '../../theme/useWide';
import { RigForm } from './RigForm';
import { RigList } from './RigList';

/** One rig: a new one at `/rigs/new`. */
export function RigPlace() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const isNew = id === 'new';
  const router = useRouter();
  const wide = useWide();
  const { row, missing } = useRow('rigs', isNew ? undefined : id);
  const { rows } = useRows('rigs');
  const title = isNew ? 'New rig' : (row?.name ?? 'Rig');

  const body = missing ? (
    <Empty
      text="This rig is not here, or was put aside."
      action={{ label: 'All rigs', onPress: () => router.replace('/rigs') }}
    />
  ) : !isNew && !row ? (
    <Loading />
  ) : (
    <RigForm key={`${id} ${row?.revision ?? 0}`} row={row} />
  );
  if (!wide) return <Page title={title}>{body}</Page>;
  return (
    <Page
      title="Rigs"
      action={
        !isNew && <Action kind="main" label="Describe another rig" onPress={() => router.navigate('/rigs/new')} />
      }
      result={
        <>
          <Text as="heading" level={2}>
            {title}
          </Text>
          {body}
        </>
      }
    >
      <RigList rigs={rows} chosen={id} />
    </Page>
  );
}
