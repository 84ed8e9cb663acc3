import type { LucideIcon } from 'lucide-react';
import { StyleSheet, View } from 'react-native';

import { usePalette } from '../theme/useLight';
import { Press } from './Press';
import { Text } from './Text';

interface ActionProps {
  readonly label: string;
  /** What the screen reader says where the label alone would be ambiguous; begins with it. */
  readonly spoken?: string;
  readonly onPress: () => void;
  /** `main` is the one next step of a screen; `quiet` is beside it; `hurt` can hurt. */
  readonly kind?: 'main' | 'quiet' | 'hurt';
  readonly icon?: LucideIcon;
  readonly disabled?: boolean;
}

/** A button with a word on it. */
export function Action({ label, spoken, onPress, kind = 'quiet', icon: Icon, disabled = false }: ActionProps) {
  const palette = usePalette();
  const ink = kind === 'main' ? palette.onMoss : kind === 'hurt' ? palette.rust : palette.moss;
  return (
    <Press
      aria-label={spoken}
      onPress={onPress}
      disabled={disabled}
      style={[
        styles.action,
        kind === 'main'
          ? { backgroundColor: palette.moss, borderColor: palette.moss }
          : { backgroundColor: palette.card, borderColor: ink },
      ]}
    >
      <View style={styles.row}>
        {Icon && <Icon size={20} color={ink} />}
        <Text as="strong" tone={kind === 'main' ? 'onMoss' : kind === 'hurt' ? 'rust' : 'moss'} style={styles.label}>
          {label}
        </Text>
      </View>
    </Press>
  );
}

const styles = StyleSheet.create({
  action: { borderWidth: 1.5, borderRadius: 3, paddingHorizontal: 16, paddingVertical: 10 },
  row: { flexDirection: 'row', alignItems: 'center', justifyContent: 'center', gap: 8 },
  label: { textAlign: 'center', flexShrink: 1 },
});
