import type { AxlePlan, WhatIf } from '@dunlinmoss/core';
import { onGauge } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import { FixedBox } from '../../components/FixedBox';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import type { Moving } from '../../pictures/moving';
import type { Units } from '../../settings/preferences';
import type { Palette } from '../../theme/palette';
import { usePalette } from '../../theme/useLight';
import { pressure } from '../../words/format';
import { isCeiling, LIMIT_WORDS } from '../../words/limits';
import { readingsIn, readText } from './whatIfValues';

interface ReadingsProps {
  readonly axle: AxlePlan;
  readonly now: WhatIf;
  readonly held: WhatIf | null;
  readonly units: Units;
}

/** The figures by their names. */
export const readingsMoving = (now: WhatIf, units: Units): Moving =>
  Object.fromEntries(readingsIn(units).map((reading) => [reading.name, { words: readText(reading, now) }]));

/** What the tire does at this setting, beside the one that is held, else beside the road. */
export function Readings({ axle, now, held, units }: ReadingsProps) {
  const palette = usePalette();
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
      {readingsIn(units).map((reading) => (
        <View key={reading.name} role="row" style={[styles.row, { borderColor: palette.line }]}>
          <Text role="rowheader" as="small" style={styles.name}>
            {reading.name}
          </Text>
          <Text role="cell" as="figure" tone="muted" style={styles.value}>
            {readText(reading, held ?? road)}
          </Text>
          <FixedBox width={VALUE.width} height={VALUE.height}>
            <View>
              <Text role="cell" as="figure" style={styles.value}>
                <span data-part={reading.name}>{readText(reading, now)}</span>
              </Text>
            </View>
          </FixedBox>
        </View>
      ))}
    </View>
  );
}

/** How near each limit is, and in which colour. */
function nearOf({ limits }: WhatIf, units: Units, palette: Palette) {
  return limits
    .filter(({ limitKpa }) => limitKpa > 0)
    .map(({ code, limitKpa, insideKpa }) => {
      const passed = insideKpa < -1e-6;
      // Full where the limit is reached, empty where it is as far again.
      const near = Math.max(0, Math.min(1, 1 - insideKpa / limitKpa));
      return {
        code,
        limitKpa,
        left: {
          words: passed ? `past by ${pressure(-insideKpa, units)}` : `${pressure(insideKpa, units)} left`,
          style: { color: passed ? palette.rust : palette.ink },
        },
        bar: {
          style: { transform: `scaleX(${near.toFixed(4)})`, backgroundColor: passed ? palette.rust : palette.moss },
        },
      };
    });
}

/** The words and bars of the limits by their codes. */
export const nearMoving = (now: WhatIf, units: Units, palette: Palette): Moving =>
  Object.fromEntries(
    nearOf(now, units, palette).flatMap(({ code, left, bar }) => [
      [`${code}Left`, left],
      [`${code}Bar`, bar],
    ]),
  );

/** How near each limit is: a bar that fills up as it comes near, and says so. */
export function Closeness({ now, units }: { readonly now: WhatIf; readonly units: Units }) {
  const palette = usePalette();
  return (
    <Panel title="How near each limit is">
      {nearOf(now, units, palette).map(({ code, limitKpa, left, bar }) => (
        <View key={code} style={styles.limit}>
          <View style={styles.limitLine}>
            <Text as="small" style={styles.name}>
              {`${LIMIT_WORDS[code].name}, ${pressure(onGauge(limitKpa, units, isCeiling(code) ? 'down' : 'up'), units)}`}
            </Text>
            <FixedBox width={LEFT.width} height={LEFT.height}>
              <View>
                <Text as="label" style={styles.left}>
                  <span data-part={`${code}Left`} style={left.style}>
                    {left.words}
                  </span>
                </Text>
              </View>
            </FixedBox>
          </View>
          <View style={[styles.bar, { borderColor: palette.line }]}>
            <div data-part={`${code}Bar`} style={{ height: '100%', transformOrigin: 'left', ...bar.style }} />
          </View>
        </View>
      ))}
    </Panel>
  );
}

const VALUE = { width: 84, height: 24 };
const LEFT = { width: 120, height: 18 };

const styles = StyleSheet.create({
  table: { borderWidth: 1, borderRadius: 3, padding: 12 },
  row: { flexDirection: 'row', alignItems: 'center', borderBottomWidth: 1, paddingVertical: 4, gap: 8 },
  name: { flex: 1 },
  value: { width: VALUE.width, textAlign: 'right' },
  left: { textAlign: 'right' },
  limit: { gap: 3 },
  limitLine: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  bar: { height: 10, borderWidth: 1, borderRadius: 2 },
});
