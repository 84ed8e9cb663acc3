import type { ReactNode } from 'react';
import { StyleSheet, type StyleProp, type ViewStyle } from 'react-native';
import { Surface } from 'react-native-paper';

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
    <Surface mode="flat" elevation={1} style={[styles.panel, { borderColor: palette.line }, style as object]}>
      {title !== undefined && (
        <Text as="heading" level={2} style={[styles.title, { borderColor: palette.line }]}>
          {title}
        </Text>
      )}
      {children}
    </Surface>
  );
}

const styles = StyleSheet.create({
  panel: { borderWidth: 1, borderRadius: 3, padding: 16, gap: 12 },
  title: { borderBottomWidth: 1, paddingBottom: 6 },
});
