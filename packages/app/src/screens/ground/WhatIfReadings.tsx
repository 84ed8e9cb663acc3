import type { AxlePlan, WhatIf } from '@dunlinmoss/core';
import { onGauge } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import type { Units } from '../../settings/preferences';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { usePalette } from '../../theme/useLight';
import { pressure } from '../../words/format';
import { isCeiling, LIMIT_WORDS } from '../../words/limits';
import { type Reading, readingsIn } from './whatIfValues';

interface ReadingsProps {
  readonly axle: AxlePlan;
  readonly now: WhatIf;
  readonly held: WhatIf | null;
  readonly units: Units;
}

/** What the tire does at this setting, beside the one that is held, else beside the road. */
export function Readings({ axle, now, held, units }: ReadingsProps) {
  const palette = usePalette();
  const of = (what: WhatIf | null, read: Reading['read']): string => (what ? (read(what) ?? '–') : '–');
  const column = held ? 'Beside' : 'Before';
  const road: WhatIf | null = axle.atRoad && {
    pressureKpa: axle.atRoad.pressureKpa,
    patch: axle.atRoad,
    clearanceLostMm: 0,
    speedKmh: null,
    loadLeftKg: null,
    limits: [],
  };
  return (
    <View
      role="table"
      aria-label="What the tire does"
      style={[styles.table, { backgroundColor: palette.card, borderColor: palette.line }]}
    >
      <View role="row" style={[styles.row, { borderColor: palette.ink }]}>
        <Text role="columnheader" as="label" style={styles.name}>
          {' '}
        </Text>
        <Text role="columnheader" as="label" tone="muted" style={styles.value}>
          {column}
        </Text>
        <Text role="columnheader" as="label" style={styles.value}>
          Now
        </Text>
      </View>
      {readingsIn(units).map(({ name, read }) => (
        <View key={name} role="row" style={[styles.row, { borderColor: palette.line }]}>
          <Text role="rowheader" as="small" style={styles.name}>
            {name}
          </Text>
          <Text role="cell" as="figure" tone="muted" style={styles.value}>
            {of(held ?? road, read)}
          </Text>
          <Text role="cell" as="figure" style={styles.value}>
            {of(now, read)}
          </Text>
        </View>
      ))}
    </View>
  );
}

/** How near each limit is: a bar that fills up as it comes near, and says so. */
export function Closeness({ now, units }: { readonly now: WhatIf; readonly units: Units }) {
  const palette = usePalette();
  return (
    <Panel title="How near each limit is">
      {now.limits
        .filter(({ limitKpa }) => limitKpa > 0)
        .map(({ code, limitKpa, insideKpa }) => {
          const passed = insideKpa < -1e-6;
          // Full where the limit is reached, empty where it is as far again.
          const near = Math.max(0, Math.min(1, 1 - insideKpa / limitKpa));
          return (
            <View key={code} style={styles.limit}>
              <View style={styles.limitLine}>
                <Text as="small" style={styles.name}>
                  {`${LIMIT_WORDS[code].name}, ${pressure(onGauge(limitKpa, units, isCeiling(code) ? 'down' : 'up'), units)}`}
                </Text>
                <Text as="label" tone={passed ? 'rust' : 'ink'}>
                  {passed ? `past by ${pressure(-insideKpa, units)}` : `${pressure(insideKpa, units)} left`}
                </Text>
              </View>
              <View style={[styles.bar, { borderColor: palette.line }]}>
                <View
                  style={[
                    styles.fill,
                    { width: `${100 * near}%`, backgroundColor: passed ? palette.rust : palette.moss },
                  ]}
                />
              </View>
            </View>
          );
        })}
    </Panel>
  );
}

const styles = StyleSheet.create({
  table: { borderWidth: 1, borderRadius: 3, padding: 12 },
  row: { flexDirection: 'row', alignItems: 'baseline', borderBottomWidth: 1, paddingVertical: 4, gap: 8 },
  name: { flex: 1 },
  value: { width: 84, textAlign: 'right' },
  limit: { gap: 3 },
  limitLine: { flexDirection: 'row', alignItems: 'baseline', gap: 8 },
  bar: { height: 10, borderWidth: 1, borderRadius: 2 },
  fill: { height: '100%' },
});
