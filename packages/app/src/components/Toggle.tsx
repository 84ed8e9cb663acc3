import { StyleSheet, View } from 'react-native';
import { Switch } from 'react-native-paper';

import { Text } from './Text';

interface ToggleProps {
  readonly label: string;
  readonly note?: string;
  /** What the screen reader says where the label alone would be ambiguous. */
  readonly spokenLabel?: string;
  readonly value: boolean;
  readonly onChange: (value: boolean) => void;
}

/** Yes or no, with what it means. */
export function Toggle({ label, note, spokenLabel = label, value, onChange }: ToggleProps) {
  return (
    <View style={styles.toggle}>
      <View style={styles.words}>
        <Text as="strong">{label}</Text>
        {note !== undefined && (
          <Text as="small" tone="muted">
            {note}
          </Text>
        )}
      </View>
      <Switch value={value} onValueChange={onChange} aria-label={spokenLabel} style={styles.switch} />
    </View>
  );
}

const styles = StyleSheet.create({
  toggle: { flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 48 },
  words: { flex: 1 },
  switch: { margin: 8 },
});
