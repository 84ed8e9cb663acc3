import { StyleSheet, View } from 'react-native';

import { TriangleAlert } from '../theme/icons';
import { usePalette } from '../theme/useLight';
import { Text } from './Text';

interface FieldNoteProps {
  readonly problem?: string | undefined;
  readonly hint?: string | undefined;
  /** Asks about a value that is kept as it is. */
  readonly question?: string | undefined;
}

/** What stands under a field: what is wrong and expected, or else what is doubtful, or else a hint. */
export function FieldNote({ problem, hint, question }: FieldNoteProps) {
  const palette = usePalette();
  if (problem === undefined && question !== undefined) {
    return (
      <View role="status" style={[styles.question, { borderColor: palette.rust }]}>
        <Text as="small">{question}</Text>
      </View>
    );
  }
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
  question: { borderLeftWidth: 4, paddingLeft: 8 },
});
