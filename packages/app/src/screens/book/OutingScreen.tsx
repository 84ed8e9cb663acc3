import { useLocalSearchParams, useRouter } from 'expo-router';

import { useRow } from '../../data/rows';
import { Page } from '../../components/Page';
import { Empty, Loading } from '../../components/States';
import { useWide } from '../../theme/useWide';
import { day } from '../../words/format';
import { OutingList } from './BookScreen';
import { OutingDetail } from './OutingDetail';

/** One outing of the Book. */
export function OutingScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const router = useRouter();
  const wide = useWide();
  const { row, missing } = useRow('outings', id);
  const detail = missing ? (
    <Empty
      text="This outing is not here, or was archived."
      action={{ label: 'The Book', onPress: () => router.replace('/book') }}
    />
  ) : row ? (
    <OutingDetail key={row.id} outing={row} />
  ) : (
    <Loading />
  );
  if (!wide) return <Page title={row ? day(row.startedAt) : 'Outing'}>{detail}</Page>;
  return (
    <Page title="Book" result={detail}>
      <OutingList chosen={id} />
    </Page>
  );
}
