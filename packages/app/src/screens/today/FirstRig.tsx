import { Page } from '../../components/Page';
import { Empty } from '../../components/States';
import { useRouter } from '../../hooks/useRouter';

/** The first screen where there is no rig yet. */
export function FirstRig() {
  const router = useRouter();
  return (
    <Page title="Today">
      <Empty
        text="Start with your own rig: what it is, the tire size as you say it, and the pressure on the road. Twenty seconds to a first number."
        action={{ label: 'Start my own rig', onPress: () => router.navigate('/rigs/new') }}
      />
    </Page>
  );
}
