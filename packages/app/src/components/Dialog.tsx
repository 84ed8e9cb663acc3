import type { ReactNode } from 'react';
import { Modal, ScrollView, StyleSheet, View } from 'react-native';
import { Surface } from 'react-native-paper';

import { usePalette } from '../theme/useLight';
import { Text } from './Text';

interface DialogProps {
  readonly title: string;
  readonly onClose: () => void;
  /** The buttons, one below the other. */
  readonly actions: ReactNode;
  readonly children: ReactNode;
}

/**
 * A dialog: React Native's modal, which keeps the keyboard in it and closes on Escape, round Paper's surface; Paper's own
 * dialog does neither on the web. A tap beside it does not close it: a glove hits that unawares.
 */
export function Dialog({ title, onClose, actions, children }: DialogProps) {
  const palette = usePalette();
  return (
    <Modal transparent visible aria-label={title} onRequestClose={onClose}>
      <View style={styles.backdrop}>
        <Surface elevation={1} style={[styles.dialog, { borderColor: palette.line }]}>
          <Text as="title" level={2} style={styles.padded}>
            {title}
          </Text>
          <ScrollView style={styles.scroll} contentContainerStyle={styles.content}>
            {children}
          </ScrollView>
          <View style={[styles.padded, styles.actions]}>{actions}</View>
        </Surface>
      </View>
    </Modal>
  );
}

const styles = StyleSheet.create({
  backdrop: { flex: 1, backgroundColor: 'rgba(22, 18, 16, 0.6)', justifyContent: 'center', alignItems: 'center' },
  dialog: { width: '92%', maxWidth: 440, maxHeight: '94%', borderWidth: 1, borderRadius: 6 },
  padded: { padding: 20 },
  scroll: { flexGrow: 0, flexShrink: 1 },
  content: { gap: 12, paddingHorizontal: 20, paddingVertical: 2 },
  actions: { gap: 10 },
});
