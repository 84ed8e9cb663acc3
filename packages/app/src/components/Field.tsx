import { useId, type ComponentProps, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';

import { FieldNote } from './FieldNote';

type InputProps = ComponentProps<typeof TextInput>;

interface FieldProps extends Omit<InputProps, 'error' | 'mode' | 'accessibilityLabel'> {
  readonly label: string;
  /** What the screen reader says. */
  readonly spokenLabel: string;
  readonly problem?: string | undefined;
  readonly hint?: string | undefined;
  /** Asks about a value that is kept as it is. */
  readonly question?: string | undefined;
  /** On both sides of the input. */
  readonly before?: ReactNode;
  readonly after?: ReactNode;
}

/** Paper's text input with its note. On the web Paper's has no name of its own, and does not say that it is wrong, or why. */
export function Field({ spokenLabel, problem, hint, question, before, after, style, ...input }: FieldProps) {
  const noteId = useId();
  const hasNote = problem !== undefined || hint !== undefined || question !== undefined;
  return (
    <View style={styles.field}>
      <View style={styles.row}>
        {before}
        <TextInput
          {...input}
          mode="outlined"
          aria-label={spokenLabel}
          // React Native's types lack these; the web has them.
          {...{ 'aria-invalid': problem !== undefined, ...(hasNote && { 'aria-describedby': noteId }) }}
          error={problem !== undefined}
          style={[styles.input, style]}
        />
        {after}
      </View>
      <FieldNote id={noteId} problem={problem} hint={hint} question={question} />
    </View>
  );
}

const styles = StyleSheet.create({
  field: { gap: 4 },
  row: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  input: { flex: 1, minWidth: 0 },
});
