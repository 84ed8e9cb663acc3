import { StyleSheet, View } from 'react-native';
import { Dialog } from 'react-native-paper';

import { Action } from './Action';
import { Over } from './Over';
import { Text } from './Text';

interface KeysDialogProps {
  readonly keys: readonly (readonly [key: string, meaning: string])[];
  readonly onClose: () => void;
}

/** The keys of a wide screen, listed. */
export function KeysDialog({ keys, onClose }: KeysDialogProps) {
  return (
    <Over name="Keys" onClose={onClose}>
      <Dialog visible dismissable={false} style={styles.dialog}>
        <Dialog.Title>Keys</Dialog.Title>
        <Dialog.Content>
          {keys.map(([key, meaning]) => (
            <View key={key} style={styles.keyRow}>
              <Text as="figure" style={styles.key}>
                {key}
              </Text>
              <Text>{meaning}</Text>
            </View>
          ))}
          <Text as="small" tone="muted">
            They can be switched off: Rigs, Files, This device.
          </Text>
        </Dialog.Content>
        <Dialog.Actions>
          <Action label="Close" onPress={onClose} />
        </Dialog.Actions>
      </Dialog>
    </Over>
  );
}

const styles = StyleSheet.create({
  dialog: { maxWidth: 380, alignSelf: 'center', width: '90%' },
  keyRow: { flexDirection: 'row', gap: 12, alignItems: 'center' },
  key: { width: 28, textAlign: 'center' },
});
