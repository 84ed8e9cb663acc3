import type { Ref } from 'react';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';

import { FACES } from '../theme/type';
import { FieldNote } from './FieldNote';
import { inputRefOf, type Focusable } from './focusable';

interface NumberFieldProps {
  readonly label: string;
  /** Of the input itself, to bring it into view. */
  readonly inputRef?: Ref<Focusable> | undefined;
  /** The unit that is always meant: km/h, %, l. */
  readonly unit: string;
  readonly spokenLabel?: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly onBlur?: () => void;
  readonly problem?: string | undefined;
  readonly hint?: string | undefined;
}

/** A number of a unit that nobody chooses. */
export function NumberField(props: NumberFieldProps) {
  const { inputRef, label, unit, spokenLabel = label, value, onChange, onBlur, problem, hint } = props;
  return (
    <View style={styles.field}>
      <TextInput
        ref={inputRefOf(inputRef)}
        mode="outlined"
        label={unit === '' ? label : `${label}, ${unit}`}
        accessibilityLabel={unit === '' ? spokenLabel : `${spokenLabel} in ${unit}`}
        value={value}
        onChangeText={onChange}
        onBlur={onBlur}
        error={problem !== undefined}
        inputMode="decimal"
        contentStyle={styles.content}
      />
      <FieldNote problem={problem} hint={hint} />
    </View>
  );
}

const styles = StyleSheet.create({
  field: { gap: 4 },
  content: { fontFamily: FACES.number, fontSize: 20, fontVariant: ['tabular-nums'] },
});
