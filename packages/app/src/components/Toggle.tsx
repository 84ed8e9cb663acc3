import { StyleSheet, View } from 'react-native';
import { Switch } from 'react-native-paper';

import { Press } from './Press';
import { Text } from './Text';

interface ToggleProps {
  readonly label: string;
  readonly note?: string;
  /** What the screen reader says where the label alone would be ambiguous. */
  readonly spokenLabel?: string;
  readonly value: boolean;
  readonly onChange: (value: boolean) => void;
}

/** Yes or no, with what it means. The whole row is the switch: Paper's own is 20 px high, and is the picture of it here. */
export function Toggle({ label, note, spokenLabel = label, value, onChange }: ToggleProps) {
  return (
    <Press role="switch" aria-checked={value} aria-label={spokenLabel} onPress={() => onChange(!value)}>
      <View style={styles.row}>
        <View style={styles.words}>
          <Text as="strong">{label}</Text>
          {note !== undefined && (
            <Text as="small" tone="muted">
              {note}
            </Text>
          )}
        </View>
        <div inert>
          <Switch value={value} style={styles.switch} />
        </div>
      </View>
    </Press>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 48 },
  words: { flex: 1 },
  switch: { margin: 8 },
});
