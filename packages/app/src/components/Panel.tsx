import type { ReactNode } from 'react';
import { StyleSheet, View, type StyleProp, type ViewStyle } from 'react-native';

import { usePalette } from '../theme/useLight';
import { Text } from './Text';

interface PanelProps {
  readonly title?: string;
  readonly children: ReactNode;
  readonly style?: StyleProp<ViewStyle>;
}

/** A sheet of the field book: a ruled heading and what belongs under it. */
export function Panel({ title, children, style }: PanelProps) {
  const palette = usePalette();
  return (
    <View style={[styles.panel, { backgroundColor: palette.card, borderColor: palette.line }, style]}>
      {title !== undefined && (
        <Text as="heading" level={2} style={[styles.title, { borderColor: palette.line }]}>
          {title}
        </Text>
      )}
      {children}
    </View>
  );
}

const styles = StyleSheet.create({
  panel: { borderWidth: 1, borderRadius: 3, padding: 16, gap: 12 },
  title: { borderBottomWidth: 1, paddingBottom: 6 },
});
