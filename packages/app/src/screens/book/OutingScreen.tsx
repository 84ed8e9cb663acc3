import { useLocalSearchParams } from 'expo-router';

import { ListAndDetail } from '../../components/ListAndDetail';
import { RowFrame } from '../../components/RowFrame';
import { day } from '../../words/format';
import { OutingList } from './BookScreen';
import { OutingDetail } from './OutingDetail';

/** One outing of the Book. */
export function OutingScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <RowFrame
      name="outings"
      id={id}
      around={(body, row) => (
        <ListAndDetail listTitle="Book" list={<OutingList chosen={id} />} title={row ? day(row.startedAt) : 'Outing'}>
          {body}
        </ListAndDetail>
      )}
    >
      {(row) => <OutingDetail key={id} outing={row!} />}
    </RowFrame>
  );
}
