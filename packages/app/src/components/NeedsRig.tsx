import { useRouter } from 'expo-router';

import { Page } from './Page';
import { Empty, Loading } from './States';

interface NeedsRigProps {
  readonly title: string;
  readonly loading: boolean;
  /** What the rig is needed for. */
  readonly why: string;
}

/** Stands instead of a screen while its rig is on its way, or where there is none yet. */
export function NeedsRig({ title, loading, why }: NeedsRigProps) {
  const router = useRouter();
  return (
    <Page title={title}>
      {loading ? (
        <Loading />
      ) : (
        <Empty text={why} action={{ label: 'Describe a rig', onPress: () => router.navigate('/rigs/new') }} />
      )}
    </Page>
  );
}
