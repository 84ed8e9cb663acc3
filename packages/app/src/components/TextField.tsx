import type { Ref } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';

import { FACES } from '../theme/type';
import { FieldNote } from './FieldNote';
import { inputRefOf, type Focusable } from './focusable';

interface TextFieldProps {
  readonly label: string;
  /** Of the input itself, to bring it into view. */
  readonly inputRef?: Ref<Focusable> | undefined;
  readonly spokenLabel?: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly onFocus?: () => void;
  readonly onBlur?: () => void;
  readonly problem?: string | undefined;
  readonly hint?: string | undefined;
  readonly placeholder?: string;
  readonly multiline?: boolean;
  readonly capitals?: boolean;
  /** What the browser's own keeper of pass-phrases fills in. */
  readonly fillsIn?: 'username' | 'current-password' | 'new-password';
}

/** A line of text with its note. */
export function TextField(props: TextFieldProps) {
  const {
    inputRef,
    label,
    spokenLabel = label,
    value,
    onChange,
    onFocus,
    onBlur,
    problem,
    hint,
    placeholder,
    multiline = false,
    capitals = false,
    fillsIn,
  } = props;
  return (
    <View style={styles.field}>
      <TextInput
        ref={inputRefOf(inputRef)}
        mode="outlined"
        label={label}
        accessibilityLabel={spokenLabel}
        value={value}
        onChangeText={onChange}
        onFocus={onFocus}
        onBlur={onBlur}
        error={problem !== undefined}
        placeholder={placeholder}
        multiline={multiline}
        secureTextEntry={fillsIn === 'current-password'}
        autoComplete={fillsIn}
        autoCapitalize={fillsIn ? 'none' : capitals ? 'characters' : 'sentences'}
        autoCorrect={!capitals && !fillsIn}
        contentStyle={multiline ? styles.tall : styles.content}
      />
      <FieldNote problem={problem} hint={hint} />
    </View>
  );
}

const styles = StyleSheet.create({
  field: { gap: 4 },
  content: { fontFamily: FACES.text },
  tall: { fontFamily: FACES.text, minHeight: 88, paddingTop: 12 },
});
