import type { AxlePosition } from '@dunlinmoss/core';
import type { ReactNode } from 'react';
import { StyleSheet, View, type StyleProp, type ViewStyle } from 'react-native';

import type { Units } from '../settings/preferences';
import { usePalette } from '../theme/useLight';
import { AXLE_WORDS } from '../words/axles';
import { pressureNumber } from '../words/format';
import { Text } from './Text';

interface AxleNumeralProps {
  readonly position: AxlePosition;
  readonly pressureKpa: number;
  readonly units: Units;
  /** What belongs under the number. */
  readonly below?: ReactNode;
  readonly style?: StyleProp<ViewStyle>;
}

/** The pressure of one axle, to be read at arm's length. */
export const AxleNumeral = ({ position, pressureKpa, units, below, style }: AxleNumeralProps) => (
  <View role="group" aria-label={`${AXLE_WORDS[position]} axle`} style={style}>
    <Text as="label" tone="muted">
      {`${AXLE_WORDS[position]}, cold`}
    </Text>
    <View style={styles.numeral}>
      <Text as="numeral">{pressureNumber(pressureKpa, units)}</Text>
      <Text as="strong">{units.pressure}</Text>
    </View>
    {below}
  </View>
);

interface NumeralsProps {
  readonly units: Units;
  readonly axles: readonly Omit<AxleNumeralProps, 'units' | 'style'>[];
}

/** A pressure for each axle, side by side. */
export function Numerals({ axles, units }: NumeralsProps) {
  const palette = usePalette();
  return (
    <View style={styles.axles}>
      {axles.map((axle, index) => (
        <AxleNumeral
          key={axle.position}
          {...axle}
          units={units}
          style={[
            styles.axle,
            (axles.length > 2 ? index % 2 === 1 : index > 0) && [styles.second, { borderColor: palette.line }],
            axles.length > 2 && styles.ofMany,
          ]}
        />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  axles: { flexDirection: 'row', flexWrap: 'wrap', rowGap: 12 },
  axle: { flex: 1, gap: 1 },
  second: { borderLeftWidth: 1, paddingLeft: 12, marginLeft: 8 },
  // Three or more stand two to a row.
  ofMany: { flexBasis: '44%' },
  numeral: { flexDirection: 'row', alignItems: 'baseline', gap: 5 },
});
