import type { AxlePlan, WhatIf } from '@dunlinmoss/core';
import { onGauge } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import { Panel } from '../../components/Panel';
import { Table } from '../../components/Table';
import { Text } from '../../components/Text';
import type { Units } from '../../settings/preferences';
import { usePalette } from '../../theme/useLight';
import { pressure } from '../../words/format';
import { isCeiling, LIMIT_WORDS } from '../../words/limits';
import { readingsIn, readText } from './whatIfValues';

interface ReadingsProps {
  readonly axle: AxlePlan;
  readonly now: WhatIf;
  readonly kept: WhatIf | null;
  readonly units: Units;
}

/** What the tire does at this pressure, beside the one that was kept, else beside the road. */
export function Readings({ axle, now, kept, units }: ReadingsProps) {
  const road: WhatIf | null = axle.atRoad && {
    pressureKpa: axle.atRoad.pressureKpa,
    patch: axle.atRoad,
    clearanceLostMm: 0,
    speedKmh: null,
    loadLeftKg: null,
    limits: [],
  };
  return (
    <Panel>
      <Table
        label="What the tire does"
        columns={[
          { head: ' ', share: 1 },
          { head: kept ? 'Beside' : 'Before', width: 84, tone: 'muted' },
          { head: 'Now', width: 84 },
        ]}
        rows={readingsIn(units).map((reading) => ({
          key: reading.name,
          cells: [reading.name, readText(reading, kept ?? road), readText(reading, now)],
        }))}
      />
    </Panel>
  );
}

/** How near each limit is: a bar that fills up as it comes near, and says so. */
export function LimitBars({ now, units }: { readonly now: WhatIf; readonly units: Units }) {
  return (
    <Panel title="How near each limit is">
      {now.limits
        .filter(({ limitKpa }) => limitKpa > 0)
        .map((limit) => (
          <LimitBar key={limit.code} limit={limit} units={units} />
        ))}
    </Panel>
  );
}

interface LimitBarProps {
  readonly limit: WhatIf['limits'][number];
  readonly units: Units;
}

function LimitBar({ limit: { code, limitKpa, insideKpa }, units }: LimitBarProps) {
  const palette = usePalette();
  const isPast = insideKpa < -1e-6;
  // Full where the limit is reached, empty where it is as far again.
  const near = Math.max(0, Math.min(1, 1 - insideKpa / limitKpa));
  return (
    <View style={styles.limit}>
      <View style={styles.limitLine}>
        <Text as="small" style={styles.name}>
          {`${LIMIT_WORDS[code].name}, ${pressure(onGauge(limitKpa, units, isCeiling(code) ? 'down' : 'up'), units)}`}
        </Text>
        <Text as="label" tone={isPast ? 'rust' : 'ink'}>
          {isPast ? `past by ${pressure(-insideKpa, units)}` : `${pressure(insideKpa, units)} left`}
        </Text>
      </View>
      <View style={[styles.bar, { borderColor: palette.line }]}>
        <View
          style={[styles.fill, { width: `${100 * near}%`, backgroundColor: isPast ? palette.rust : palette.moss }]}
        />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  table: { borderWidth: 1, borderRadius: 3, padding: 12 },
  row: { flexDirection: 'row', alignItems: 'center', borderBottomWidth: 1, paddingVertical: 4, gap: 8 },
  name: { flex: 1 },
  value: { width: 84, textAlign: 'right' },
  limit: { gap: 3 },
  limitLine: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  bar: { height: 10, borderWidth: 1, borderRadius: 2 },
  fill: { height: '100%' },
});
