import { familyOf, type FamilyCode } from '@dunlinmoss/core';
import { gaugeStepKpa } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import type { Units } from '../../settings/preferences';
import { usePalette } from '../../theme/useLight';
import { AXLE_WORDS } from '../../words/axles';
import { pressure, pressureNumber, speed } from '../../words/format';
import { groundName } from '../../words/grounds';
import type { FirstRow } from './quickRig';

interface FirstTableProps {
  readonly family: FamilyCode;
  readonly rows: readonly FirstRow[];
  readonly units: Units;
}

/** Pressures by ground before any scale, marked as what they are. */
export function FirstTable({ family, rows, units }: FirstTableProps) {
  const palette = usePalette();
  const bicycle = familyOf(family).kind === 'bicycle';
  const positions = rows[0]?.axles.map(({ position }) => position) ?? [];
  const off = Math.max(0, ...rows.map(({ mayBeOffKpa }) => mayBeOffKpa ?? 0));
  const fast = rows.some(({ fastestKmh }) => fastestKmh !== null);
  return (
    <Panel title={bicycle ? 'By rider and width' : 'Rule of thumb, until weighed'}>
      <View role="table" aria-label="Pressures by ground">
        <View role="row" style={[styles.row, { borderColor: palette.ink }]}>
          <Text role="columnheader" as="label" style={styles.name}>
            {`Cold, ${units.pressure}`}
          </Text>
          {positions.map((position) => (
            <Text key={position} role="columnheader" as="label" style={styles.value}>
              {AXLE_WORDS[position]}
            </Text>
          ))}
          {fast && (
            <Text role="columnheader" as="label" style={styles.speed}>
              At most
            </Text>
          )}
        </View>
        {rows.map(({ ground, axles, fastestKmh }) => (
          <View key={ground} role="row" style={[styles.row, { borderColor: palette.line }]}>
            <Text role="rowheader" style={styles.name}>
              {groundName(ground)}
            </Text>
            {axles.map(({ position, pressureKpa }) => (
              <Text key={position} role="cell" as="figure" style={styles.value}>
                {pressureNumber(pressureKpa, units)}
              </Text>
            ))}
            {fast && (
              <Text role="cell" as="small" tone="muted" style={styles.speed}>
                {fastestKmh === null ? '' : speed(fastestKmh, units)}
              </Text>
            )}
          </View>
        ))}
      </View>
      {off >= gaugeStepKpa(units) && (
        <Text as="small" tone="muted">
          {`Weighing it may move these by up to ${pressure(off, units)}.`}
        </Text>
      )}
      <Text as="small" tone="rust">
        {bicycle
          ? 'Never past the maximum on the sidewall or rim.'
          : 'Air back to road pressure before pavement. Sidewall, placard, local law and a qualified tire fitter overrule this.'}
      </Text>
    </Panel>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', borderBottomWidth: 1, minHeight: 36, gap: 6 },
  name: { flex: 2 },
  value: { flex: 1, textAlign: 'right' },
  speed: { flex: 1.3, textAlign: 'right' },
});
