import { StyleSheet, View } from 'react-native';

import { Action } from './Action';
import { Dialog } from './Dialog';
import { Text } from './Text';

interface KeysDialogProps {
  readonly keys: readonly (readonly [key: string, meaning: string])[];
  readonly onClose: () => void;
}

/** The keys of a wide screen, listed. */
export const KeysDialog = ({ keys, onClose }: KeysDialogProps) => (
  <Dialog title="Keys" onClose={onClose} actions={<Action label="Close" onPress={onClose} />}>
    {keys.map(([key, meaning]) => (
      <View key={key} style={styles.row}>
        <Text as="figure" style={styles.key}>
          {key}
        </Text>
        <Text>{meaning}</Text>
      </View>
    ))}
    <Text as="small" tone="muted">
      They can be switched off: Rigs, Files, This device.
    </Text>
  </Dialog>
);

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: 12, alignItems: 'center' },
  key: { width: 28, textAlign: 'center' },
});
