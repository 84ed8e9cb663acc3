import { ActivityIndicator, StyleSheet, View } from 'react-native';

import { reachStore } from '../data/client';
import { usePalette } from '../theme/useLight';
import { Action } from './Action';
import { Panel } from './Panel';
import { Text } from './Text';

/** While something is fetched; and what to think when it does not come. */
export function Loading() {
  const palette = usePalette();
  const reached = reachStore.use();
  return (
    <View role="status" style={styles.loading}>
      <ActivityIndicator color={palette.moss} accessibilityLabel="Fetching" />
      <Text tone="muted">
        {reached ? 'Fetching …' : 'Waiting for the server. This goes on by itself when it is back.'}
      </Text>
    </View>
  );
}

interface EmptyProps {
  readonly text: string;
  readonly action?: { readonly label: string; readonly onPress: () => void };
}

/** Nothing here yet, and the way on. */
export function Empty({ text, action }: EmptyProps) {
  return (
    <Panel>
      <Text>{text}</Text>
      {action && <Action kind="main" label={action.label} onPress={action.onPress} />}
    </Panel>
  );
}

const styles = StyleSheet.create({
  loading: { flexDirection: 'row', gap: 12, alignItems: 'center', paddingVertical: 24 },
});
