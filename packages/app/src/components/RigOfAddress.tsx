import type { RigRow } from '@dunlinmoss/contract';
import { useLocalSearchParams } from 'expo-router';
import type { ReactNode } from 'react';

import { Page } from './Page';
import { RowFrame } from './RowFrame';

interface RigOfAddressProps {
  readonly title: string;
  readonly children: (rig: RigRow) => ReactNode;
}

/** The rig that the address names, once it is here; or that it is not. */
export function RigOfAddress({ title, children }: RigOfAddressProps) {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <RowFrame name="rigs" id={id} around={(body, rig) => (rig ? body : <Page title={title}>{body}</Page>)}>
      {(rig) => children(rig!)}
    </RowFrame>
  );
}
