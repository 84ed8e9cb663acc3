import type { AxlePosition } from '@dunlinmoss/core';
import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';

import { AxleNumeral } from '../../components/Numerals';
import { Text } from '../../components/Text';
import { inPairs } from '../../pictures/inPairs';
import { Staff } from '../../pictures/Staff';
import type { Units } from '../../settings/preferences';
import { usePalette } from '../../theme/useLight';
import { useWide } from '../../theme/useWide';
import { AXLE_WORDS } from '../../words/axles';
import { pressure, pressureRange } from '../../words/format';

/** The numbers of an axle on the gauge, kPa. */
export interface NumberOfAxle {
  readonly position: AxlePosition;
  readonly startKpa: number;
  readonly lowKpa: number;
  readonly highKpa: number;
  readonly floorKpa: number;
  readonly roadKpa: number | null;
  /** The most it may have, where somebody might go past it. */
  readonly mostKpa: number | null;
  /** What else belongs under the number. */
  readonly note?: ReactNode;
}

interface NumberBoxProps {
  readonly axles: readonly NumberOfAxle[];
  /** The number is the road pressure itself: there is nothing to try. */
  readonly isRoad: boolean;
  readonly roadName: string;
  readonly units: Units;
  /** What stands under all of them. */
  readonly children?: ReactNode;
}

/** The answer of this screen: what to set on each axle, with the staff between them on a phone. */
export function NumberBox({ axles, isRoad, roadName, units, children }: NumberBoxProps) {
  const palette = usePalette();
  // On a wide screen the picture has a panel of its own.
  const wide = useWide();
  const numeral = (axle: NumberOfAxle | undefined) =>
    axle && (
      <AxleNumeral
        position={axle.position}
        pressureKpa={axle.startKpa}
        units={units}
        below={isRoad ? <Text as="small">the road pressure you gave</Text> : <Below axle={axle} units={units} />}
        style={styles.axle}
      />
    );
  return (
    <View style={[styles.box, { backgroundColor: palette.card, borderColor: palette.line }]}>
      {inPairs(axles).map((pair) => (
        <View key={pair[0]!.position} style={styles.pair}>
          {numeral(pair[0])}
          {!wide && (
            <View style={pair.length === 1 ? styles.staffOfOne : styles.staff}>
              <Staff
                bare
                axles={pair.map(({ position, ...levels }) => ({ name: AXLE_WORDS[position], ...levels }))}
                roadName={roadName}
                units={units}
                palette={palette}
              />
            </View>
          )}
          {numeral(pair[1])}
        </View>
      ))}
      {children}
    </View>
  );
}

function Below({ axle, units }: { readonly axle: NumberOfAxle; readonly units: Units }) {
  const { lowKpa, highKpa, floorKpa, mostKpa, note } = axle;
  return (
    <>
      {note}
      <Text as="small">{`try ${pressureRange(lowKpa, highKpa, units)}`}</Text>
      <Text as="small">{`not below ${pressure(floorKpa, units)}`}</Text>
      {mostKpa !== null && <Text as="small">{`at most ${pressure(mostKpa, units)}`}</Text>}
    </>
  );
}

const styles = StyleSheet.create({
  box: { borderWidth: 1, borderRadius: 3, padding: 12, gap: 6 },
  pair: { flexDirection: 'row', gap: 10 },
  axle: { flex: 1, minWidth: 0, gap: 1 },
  staff: { width: 88 },
  staffOfOne: { width: 76 },
});
