import { StyleSheet, View } from 'react-native';
import { HelperText, Icon } from 'react-native-paper';

import { FONTS } from '../theme/type';
import { usePalette } from '../theme/useLight';
import { Text } from './Text';

interface FieldNoteProps {
  /** By which the input says that this is about it. */
  readonly id?: string;
  readonly problem?: string | undefined;
  readonly hint?: string | undefined;
  /** Asks about a value that is kept as it is. */
  readonly question?: string | undefined;
}

/** The note under a field: what is wrong and expected, or else what is doubtful, or else a hint. */
export function FieldNote({ id, problem, hint, question }: FieldNoteProps) {
  const palette = usePalette();
  if (problem !== undefined) {
    return (
      <View role="alert" id={id} style={styles.problem}>
        <Icon source="triangle-alert" size={18} color={palette.rust} />
        <HelperText type="error" padding="none" style={styles.text}>
          {problem}
        </HelperText>
      </View>
    );
  }
  if (question !== undefined) {
    return (
      <View role="status" id={id} style={[styles.question, { borderColor: palette.rust }]}>
        <Text as="small">{question}</Text>
      </View>
    );
  }
  if (hint === undefined) return null;
  return (
    <HelperText type="info" padding="none" nativeID={id} style={styles.hint}>
      {hint}
    </HelperText>
  );
}

const styles = StyleSheet.create({
  problem: { flexDirection: 'row', gap: 6, alignItems: 'flex-start' },
  // Paper's own is smaller than our least size.
  text: { flex: 1, paddingVertical: 0, fontSize: FONTS.bodySmall.fontSize },
  hint: { paddingVertical: 0, fontSize: FONTS.bodySmall.fontSize },
  question: { borderLeftWidth: 4, paddingLeft: 8 },
});
