import type { Ref } from 'react';
import type { Quantity, UnitOf } from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';
import { TextInput } from 'react-native-paper';

import { unitsStore } from '../settings/preferences';
import { Minus, Plus } from '../theme/icons';
import { FACES } from '../theme/type';
import { usePalette } from '../theme/useLight';
import { unitLabel } from '../words/units';
import { FieldNote } from './FieldNote';
import { inputRefOf, type Focusable } from './focusable';
import { Press } from './Press';
import { shownText, stepped, type QuantityText } from './quantityText';

interface QuantityFieldProps {
  readonly label: string;
  /** Of the input itself, to bring it into view. */
  readonly inputRef?: Ref<Focusable> | undefined;
  /** What the screen reader says where the label alone would be ambiguous. */
  readonly spokenLabel?: string;
  readonly quantity: Quantity;
  readonly value: QuantityText;
  readonly onChange: (value: QuantityText) => void;
  readonly onBlur?: () => void;
  readonly problem?: string | undefined;
  readonly hint?: string | undefined;
  readonly question?: string | undefined;
  /** With a start, two steppers stand beside the field; from empty they begin there. Canonical unit. */
  readonly stepsFrom?: number;
}

/** A number with its unit, in the person's own unit, typed or stepped. */
export function QuantityField(props: QuantityFieldProps) {
  const {
    inputRef,
    label,
    spokenLabel = label,
    quantity,
    value,
    onChange,
    onBlur,
    problem,
    hint,
    question,
    stepsFrom,
  } = props;
  const unit = unitsStore.use()[quantity];
  const step = (direction: 1 | -1): void =>
    onChange(stepped(quantity, unit as UnitOf<typeof quantity>, value, direction, stepsFrom ?? 0));
  return (
    <View style={styles.field}>
      <View style={styles.row}>
        {stepsFrom !== undefined && <StepButton label={`${spokenLabel}, less`} icon="less" onPress={() => step(-1)} />}
        <TextInput
          ref={inputRefOf(inputRef)}
          mode="outlined"
          label={`${label}, ${unitLabel(unit)}`}
          accessibilityLabel={`${spokenLabel} in ${unitLabel(unit)}`}
          value={shownText(quantity, unit as UnitOf<typeof quantity>, value)}
          onChangeText={(text) => onChange({ text, unit })}
          onBlur={onBlur}
          error={problem !== undefined}
          inputMode="decimal"
          style={styles.input}
          contentStyle={styles.content}
        />
        {stepsFrom !== undefined && <StepButton label={`${spokenLabel}, more`} icon="more" onPress={() => step(1)} />}
      </View>
      <FieldNote problem={problem} hint={hint} question={question} />
    </View>
  );
}

function StepButton({ label, icon, onPress }: { label: string; icon: 'less' | 'more'; onPress: () => void }) {
  const palette = usePalette();
  const Icon = icon === 'less' ? Minus : Plus;
  return (
    <Press aria-label={label} onPress={onPress} style={[styles.step, { borderColor: palette.moss }]}>
      <Icon size={22} color={palette.moss} />
    </Press>
  );
}

const styles = StyleSheet.create({
  field: { gap: 4 },
  row: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  input: { flex: 1, minWidth: 0 },
  content: { fontFamily: FACES.number, fontSize: 20, fontVariant: ['tabular-nums'] },
  // Outlined inputs keep 6 px free above for their label: the steppers stand level with the box.
  step: { borderWidth: 1.5, borderRadius: 3, alignItems: 'center', height: 50, width: 48, marginTop: 6 },
});
