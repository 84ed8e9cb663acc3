import type { WatchedWheel } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';

import { Text } from '../../components/Text';
import { usePalette } from '../../theme/useLight';
import { wheelName } from '../../words/air';
import { pressure, timeOfDay } from '../../words/format';
import { ADVICE_WORDS, URGENT, watchText } from '../../words/watch';
import type { AirJob } from '../../hooks/useAirJob';

export function WheelCard({
  each,
  job,
  now,
}: {
  readonly each: WatchedWheel;
  readonly job: AirJob;
  readonly now: number;
}) {
  const palette = usePalette();
  const { units } = job;
  const { wheel, readings, watched } = each;
  const last = readings.at(-1);
  const urgent = URGENT.has(watched.advice);
  return (
    <View
      role="group"
      aria-label={wheelName(wheel)}
      style={[
        styles.card,
        {
          backgroundColor: urgent ? palette.rustWash : palette.card,
          borderColor: urgent ? palette.rust : palette.line,
        },
      ]}
    >
      <View style={styles.head}>
        <Text as="strong" style={styles.name}>
          {wheelName(wheel)}
        </Text>
        <Text as="figure">{last ? pressure(last.pressureKpa, units) : '—'}</Text>
        {last?.tempC != null && <Text as="figure">{`${Math.round(last.tempC)}\u00a0°C`}</Text>}
      </View>
      <View style={styles.head}>
        {urgent && <Icon source="triangle-alert" size={18} color={palette.rust} />}
        <Text as="strong" tone={urgent ? 'rust' : 'moss'}>
          {ADVICE_WORDS[watched.advice]}
        </Text>
      </View>
      <Text as="small">{watchText(watched.reason, units, now)}</Text>
      {last && (
        <Text as="small" tone="muted">
          {`${timeOfDay(last.atH * 3_600_000)}${watched.coldKpa !== null && last.tempC !== null ? ` · cold ${pressure(watched.coldKpa, units)}` : ''}`}
        </Text>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  card: { borderWidth: 1, borderRadius: 3, padding: 12, gap: 3 },
  head: { flexDirection: 'row', alignItems: 'center', gap: 10 },
  name: { flex: 1 },
});
