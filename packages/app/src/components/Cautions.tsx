import { cautionSeverity, type GroundPlan } from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';

import { unitsStore } from '../settings/preferences';
import { usePalette } from '../theme/useLight';
import { cautionText } from '../words/cautions';
import { Text } from './Text';

interface CautionsProps {
  readonly plan: GroundPlan;
  /** Dangers stand by the numbers; the rest further down. Neither is ever folded away. */
  readonly severity: 'danger' | 'care';
  /** What they are said of, where something else is in view too. */
  readonly about?: string;
}

/** What can hurt, in words; rust, a rule and a sign besides. */
export function Cautions({ plan, severity, about }: CautionsProps) {
  const palette = usePalette();
  const units = unitsStore.use();
  const codes = plan.cautions.filter((code) => cautionSeverity(code) === severity);
  if (codes.length === 0) return null;
  const danger = severity === 'danger';
  const list = (
    <View role="list" aria-label={danger ? 'Dangers' : 'Cautions'} style={styles.list}>
      {codes.map((code) => (
        <View key={code} role="listitem" style={styles.line}>
          {danger ? <Icon source="triangle-alert" size={17} color={palette.rust} /> : <Text as="small">–</Text>}
          <Text as="small" style={styles.text}>
            {cautionText(code, plan, units)}
          </Text>
        </View>
      ))}
    </View>
  );
  return (
    <View
      style={[
        styles.box,
        danger
          ? { backgroundColor: palette.rustWash, borderLeftColor: palette.rust }
          : { backgroundColor: palette.card, borderLeftColor: palette.line },
      ]}
    >
      {about !== undefined && <Text as="strong">{about}</Text>}
      {list}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { borderLeftWidth: 5, paddingVertical: 8, paddingHorizontal: 10, gap: 5 },
  list: { gap: 5 },
  line: { flexDirection: 'row', gap: 8, alignItems: 'flex-start' },
  text: { flex: 1 },
});
