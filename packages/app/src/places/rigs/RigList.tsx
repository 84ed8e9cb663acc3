import type { RigRow } from '@dunlinmoss/contract';
import { Link } from 'expo-router';
import { StyleSheet, View } from 'react-native';

import { unitsStore } from '../../data/preferences';
import { Text } from '../../pieces/Text';
import { usePalette } from '../../theme/useLight';
import { mass, pressure } from '../../words/format';
import { AXLE_WORDS } from '../../words/outing';

interface RigListProps {
  readonly rigs: readonly RigRow[];
  readonly chosen?: string | undefined;
}

/** The rigs, each with what decides its pressures: tires, loads, placard. */
export function RigList({ rigs, chosen }: RigListProps) {
  const palette = usePalette();
  const units = unitsStore.use();
  return (
    <View role="list" style={styles.list}>
      {rigs.map((rig) => (
        <View key={rig.id} role="listitem">
          <Link href={{ pathname: '/rigs/[id]', params: { id: rig.id } }} style={styles.link}>
            <View
              style={[
                styles.rig,
                { borderColor: palette.line, backgroundColor: palette.card },
                rig.id === chosen && { borderLeftWidth: 6, borderColor: palette.moss },
              ]}
            >
              <Text as="strong">{rig.name}</Text>
              {rig.axles.map((axle) => (
                <Text key={axle.position} as="small" tone="muted">
                  {`${AXLE_WORDS[axle.position]}: ${axle.tireMarking}, ${mass(axle.leftLoadKg + axle.rightLoadKg, units)}${axle.loadsFrom === 'wheel' ? ' weighed' : ''}, placard ${pressure(axle.placardKpa, units)}`}
                </Text>
              ))}
              {rig.beadLocks && (
                <Text as="small" tone="muted">
                  Bead locks
                </Text>
              )}
            </View>
          </Link>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: 8 },
  link: { display: 'flex' },
  rig: { flex: 1, borderWidth: 1, borderRadius: 3, padding: 12, gap: 2, minHeight: 48 },
});
