import type { RigRow } from '@dunlinmoss/contract';
import { useLocalSearchParams, useRouter } from 'expo-router';
import type { ReactNode } from 'react';

import { useRow } from '../data/rows';
import { Page } from './Page';
import { Empty, Loading } from './States';

interface RigOfAddressProps {
  readonly title: string;
  readonly children: (rig: RigRow) => ReactNode;
}

/** The rig that the address names, once it is here; or that it is not. */
export function RigOfAddress({ title, children }: RigOfAddressProps) {
  const router = useRouter();
  const { id } = useLocalSearchParams<{ id: string }>();
  const { row, missing } = useRow('rigs', id);
  if (row) return children(row);
  return (
    <Page title={title}>
      {missing ? (
        <Empty
          text="This rig is not here, or was archived."
          action={{ label: 'All rigs', onPress: () => router.replace('/rigs') }}
        />
      ) : (
        <Loading />
      )}
    </Page>
  );
}
