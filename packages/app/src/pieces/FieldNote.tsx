import { StyleSheet, View } from 'react-native';

import { TriangleAlert } from '../theme/icons';
import { usePalette } from '../theme/useLight';
import { Text } from './Text';

interface FieldNoteProps {
  readonly problem?: string | undefined;
  readonly hint?: string | undefined;
}

/** What stands under a field: what is wrong and expected, or else a hint. */
export function FieldNote({ problem, hint }: FieldNoteProps) {
  const palette = usePalette();
  if (problem === undefined && hint === undefined) return null;
  if (problem === undefined) {
    return (
      <Text as="small" tone="muted">
        {hint}
      </Text>
    );
  }
  return (
    <View role="alert" style={styles.problem}>
      <TriangleAlert size={18} color={palette.rust} />
      <Text as="small" tone="rust" style={styles.text}>
        {problem}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  problem: { flexDirection: 'row', gap: 6, alignItems: 'flex-start' },
  text: { flex: 1 },
});
