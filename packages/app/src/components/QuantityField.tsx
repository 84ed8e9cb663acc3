import type { Quantity, UnitOf } from '@dunlinmoss/core';
import type { Ref } from 'react';
import { StyleSheet } from 'react-native';
import { IconButton } from 'react-native-paper';

import { unitsStore } from '../settings/preferences';
import { NUMBER_INPUT } from '../theme/type';
import { usePalette } from '../theme/useLight';
import { unitLabel } from '../words/units';
import { Field } from './Field';
import { inputRefOf, type Focusable } from './focusable';
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
  const { inputRef, label, spokenLabel = label, quantity, value, onChange, stepsFrom, ...rest } = props;
  const unit = unitsStore.use()[quantity];
  const step = (direction: 1 | -1): void =>
    onChange(stepped(quantity, unit as UnitOf<typeof quantity>, value, direction, stepsFrom ?? 0));
  return (
    <Field
      {...rest}
      ref={inputRefOf(inputRef)}
      label={`${label}, ${unitLabel(unit)}`}
      spokenLabel={`${spokenLabel} in ${unitLabel(unit)}`}
      value={shownText(quantity, unit as UnitOf<typeof quantity>, value)}
      onChangeText={(text) => onChange({ text, unit })}
      inputMode="decimal"
      contentStyle={NUMBER_INPUT}
      before={stepsFrom !== undefined && <Step icon="minus" label={`${spokenLabel}, less`} onPress={() => step(-1)} />}
      after={stepsFrom !== undefined && <Step icon="plus" label={`${spokenLabel}, more`} onPress={() => step(1)} />}
    />
  );
}

interface StepProps {
  readonly icon: 'minus' | 'plus';
  readonly label: string;
  readonly onPress: () => void;
}

const Step = ({ icon, label, onPress }: StepProps) => (
  <IconButton
    mode="outlined"
    icon={icon}
    accessibilityLabel={label}
    onPress={onPress}
    size={22}
    iconColor={usePalette().moss}
    style={styles.step}
  />
);

const styles = StyleSheet.create({
  // Outlined inputs keep 6 px free above for their label: the steppers are level with the box.
  step: { width: 50, height: 50, margin: 0, marginTop: 6, borderRadius: 3 },
});
