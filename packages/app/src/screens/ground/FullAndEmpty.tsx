import { tankTable } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import type { PlanQuery } from '../../hooks/usePlanQuery';
import { usePalette } from '../../theme/useLight';
import { AXLE_WORDS } from '../../words/axles';
import { pressureNumber } from '../../words/format';
import { groundName } from '../../words/grounds';

const STATE_WORDS = { full: 'full', half: 'half', empty: 'empty' } as const;

/** A machine whose load comes and goes: on the road and here, full, half and empty, all at once. */
export function FullAndEmpty({ question }: { readonly question: PlanQuery }) {
  const palette = usePalette();
  const { rig, tests, asked, units } = question;
  const rows = tankTable(rig, tests, asked, units);
  if (rows.length === 0) return null;
  return (
    <Panel title="Full and empty">
      <View role="table" aria-label="Pressures by load">
        <View role="row" style={[styles.row, { borderColor: palette.ink }]}>
          <Text role="columnheader" as="label" style={styles.name}>{`Cold, ${units.pressure}`}</Text>
          {rows[0]!.axles.map(({ position }) => (
            <Text key={position} role="columnheader" as="label" style={styles.value}>
              {AXLE_WORDS[position]}
            </Text>
          ))}
        </View>
        {rows.map(({ ground, state, axles }) => (
          <View key={`${ground} ${state}`} role="row" style={[styles.row, { borderColor: palette.line }]}>
            <Text role="rowheader" style={styles.name}>{`${groundName(ground)}, ${STATE_WORDS[state]}`}</Text>
            {axles.map(({ position, startKpa }) => (
              <Text key={position} role="cell" as="figure" style={styles.value}>
                {pressureNumber(startKpa, units)}
              </Text>
            ))}
          </View>
        ))}
      </View>
    </Panel>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', borderBottomWidth: 1, minHeight: 36, gap: 6 },
  name: { flex: 2 },
  value: { flex: 1, textAlign: 'right' },
});
