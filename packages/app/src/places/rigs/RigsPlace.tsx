import { useRouter } from 'expo-router';

import { useRows } from '../../data/rows';
import { Action } from '../../pieces/Action';
import { Page } from '../../pieces/Page';
import { Empty, Loading } from '../../pieces/States';
import { Text } from '../../pieces/Text';
import { useWide } from '../../theme/useWide';
import { RigForm } from './RigForm';
import { RigList } from './RigList';

/** What stands on each wheel. */
export function RigsPlace() {
  const router = useRouter();
  const wide = useWide();
  const { rows, loading, hasMore, more } = useRows('rigs');
  const first = rows[0];
  return (
    <Page
      title="Rigs"
      action={<Action kind="main" label="Describe another rig" onPress={() => router.navigate('/rigs/new')} />}
      result={
        wide &&
        first && (
          <>
            <Text as="heading" level={2}>
              {first.name}
            </Text>
            <RigForm key={`${first.id} ${first.revision}`} row={first} />
          </>
        )
      }
    >
      {loading ? (
        <Loading />
      ) : rows.length === 0 ? (
        <Empty text="No rig yet. It takes the load, the tire size and the placard, two minutes beside the vehicle." />
      ) : (
        <RigList rigs={rows} chosen={wide ? first?.id : undefined} />
      )}
      {hasMore && <Action label="More rigs" onPress={more} />}
    </Page>
  );
}
