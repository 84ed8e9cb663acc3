import { useRouter } from 'expo-router';
import type { ReactNode } from 'react';

import { Page } from './Page';
import { Empty, Loading } from './States';

interface NeedsRigProps {
  readonly title: string;
  readonly loading: boolean;
  /** What the rig is needed for. */
  readonly why: string;
  /** What is of use without one. */
  readonly children?: ReactNode;
}

/** Stands instead of a screen while its rig is on its way, or where there is none yet. */
export function NeedsRig({ title, loading, why, children }: NeedsRigProps) {
  const router = useRouter();
  return (
    <Page title={title}>
      {loading ? (
        <Loading />
      ) : (
        <>
          <Empty text={why} action={{ label: 'Describe a rig', onPress: () => router.navigate('/rigs/new') }} />
          {children}
        </>
      )}
    </Page>
  );
}
