import { StyleSheet, View } from 'react-native';
import { ProgressBar } from 'react-native-paper';

import { countText } from '../words/format';
import { Text } from './Text';

interface ProgressProps {
  readonly label: string;
  readonly done: number;
  /** 0 where nobody knows how much it will be. */
  readonly total: number;
}

/** How far some work is: Paper's bar, and its value for who does not see it. */
export function Progress({ label, done, total }: ProgressProps) {
  const count = countText(done);
  if (total === 0) return <Text role="status">{done === 0 ? label : `${label}: ${count}`}</Text>;
  return (
    <View
      role="progressbar"
      aria-label={label}
      aria-valuemin={0}
      aria-valuemax={total}
      aria-valuenow={done}
      style={styles.progress}
    >
      <Text>{`${label}: ${count} of ${countText(total)}`}</Text>
      <View aria-hidden>
        <ProgressBar progress={done / total} style={styles.bar} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  progress: { gap: 6 },
  bar: { height: 14, borderRadius: 2 },
});
