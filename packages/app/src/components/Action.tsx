import type { IconName } from '@react-native-vector-icons/material-design-icons';
import { StyleSheet } from 'react-native';
import { Button } from 'react-native-paper';

import { usePalette } from '../theme/useLight';

interface ActionProps {
  readonly label: string;
  /** What the screen reader says where the label alone would be ambiguous; begins with it. */
  readonly spoken?: string;
  readonly onPress: () => void;
  /** `main` is the one next step of a screen; `quiet` is beside it; `hurt` can hurt. */
  readonly kind?: 'main' | 'quiet' | 'hurt';
  readonly icon?: IconName;
  readonly disabled?: boolean;
}

/** Paper's button, 48 px high, with a label that may take several lines: Paper's own would be cut. */
export function Action({ label, spoken, onPress, kind = 'quiet', icon, disabled = false }: ActionProps) {
  const palette = usePalette();
  const ink = kind === 'hurt' ? palette.rust : palette.moss;
  return (
    <Button
      mode={kind === 'main' ? 'contained' : 'outlined'}
      {...(kind !== 'main' && { textColor: ink, buttonColor: palette.card })}
      icon={icon}
      disabled={disabled}
      accessibilityLabel={spoken}
      onPress={onPress}
      style={kind !== 'main' && !disabled && { borderColor: ink }}
      contentStyle={styles.content}
      labelStyle={styles.label}
    >
      {label}
    </Button>
  );
}

const styles = StyleSheet.create({
  content: { minHeight: 48 },
  label: { whiteSpace: 'normal', marginVertical: 8, flexShrink: 1 } as object,
});
