import { StyleSheet, View } from 'react-native';

import { countText } from '../words/format';
import { usePalette } from '../theme/useLight';
import { Text } from './Text';

interface ProgressProps {
  readonly label: string;
  readonly done: number;
  /** 0 where nobody knows how much it will be. */
  readonly total: number;
}

/** How far some work is. */
export function Progress({ label, done, total }: ProgressProps) {
  const palette = usePalette();
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
      <View style={[styles.bar, { borderColor: palette.ink }]}>
        <View style={[styles.filled, { width: `${(100 * done) / total}%`, backgroundColor: palette.moss }]} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  progress: { gap: 6 },
  bar: { height: 14, borderWidth: 1.5, borderRadius: 2 },
  filled: { height: '100%' },
});
