import type { Ref } from 'react';
import { StyleSheet } from 'react-native';

import { FACES } from '../theme/type';
import { Field } from './Field';
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
    onChange,
    multiline = false,
    capitals = false,
    fillsIn,
    ...rest
  } = props;
  return (
    <Field
      {...rest}
      ref={inputRefOf(inputRef)}
      label={label}
      spokenLabel={spokenLabel}
      onChangeText={onChange}
      multiline={multiline}
      secureTextEntry={fillsIn === 'current-password'}
      autoComplete={fillsIn}
      autoCapitalize={fillsIn ? 'none' : capitals ? 'characters' : 'sentences'}
      autoCorrect={!capitals && !fillsIn}
      contentStyle={multiline ? styles.tall : styles.content}
    />
  );
}

const styles = StyleSheet.create({
  content: { fontFamily: FACES.text },
  tall: { fontFamily: FACES.text, minHeight: 88, paddingTop: 12 },
});
