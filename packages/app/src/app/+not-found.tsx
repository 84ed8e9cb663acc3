import { useRouter } from 'expo-router';

import { Page } from '../components/Page';
import { Empty } from '../components/States';

export default function NotFound() {
  const router = useRouter();
  return (
    <Page title="Nothing here">
      <Empty text="This address leads nowhere." action={{ label: 'Go to Today', onPress: () => router.replace('/') }} />
    </Page>
  );
}
