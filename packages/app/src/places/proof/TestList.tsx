import type { ProofTestRow } from '@dunlinmoss/contract';
import { judgeTape } from '@dunlinmoss/core';
import { Link } from 'expo-router';
import { StyleSheet, View } from 'react-native';

import { tapeOf } from '../../data/calibration';
import { unitsStore } from '../../data/preferences';
import { Text } from '../../pieces/Text';
import { usePalette } from '../../theme/useLight';
import { dayAndTime, length, pressure } from '../../words/format';
import { VERDICT_WORDS, WHEEL_WORDS } from '../../words/tape';

interface TestListProps {
  readonly tests: readonly ProofTestRow[];
  /** Names by rig id, where the list goes over several rigs. */
  readonly rigNames?: ReadonlyMap<string, string>;
}

/** Tests with what they said, newest first; each leads to its readings. */
export function TestList({ tests, rigNames }: TestListProps) {
  const palette = usePalette();
  const units = unitsStore.use();
  return (
    <View role="list" style={styles.list}>
      {tests.map((test) => {
        const { verdict, rows } = judgeTape(tapeOf(test));
        const rig = rigNames?.get(test.rigId);
        return (
          <View key={test.id} role="listitem">
            <Link href={{ pathname: '/proof/tape/[id]', params: { id: test.id } }} style={styles.link}>
              <View style={[styles.test, { borderColor: palette.line, backgroundColor: palette.card }]}>
                <Text as="strong">{`Tape: ${VERDICT_WORDS[verdict].toLowerCase()}`}</Text>
                <Text as="small">
                  {rows
                    .map((row) => `${length(row.lengthMm, units)} at ${pressure(row.pressureKpa, units)}`)
                    .join(', ')}
                </Text>
                <Text as="small" tone="muted">
                  {[rig, WHEEL_WORDS[test.details.wheel].toLowerCase(), dayAndTime(test.performedAt)]
                    .filter((part) => part !== undefined)
                    .join(' · ')}
                </Text>
              </View>
            </Link>
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: 8 },
  link: { display: 'flex' },
  test: { flex: 1, borderWidth: 1, borderRadius: 3, padding: 12, gap: 2, minHeight: 48 },
});
