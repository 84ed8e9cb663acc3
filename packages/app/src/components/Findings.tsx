import { findingSeverity, type Family, type Finding } from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';

import { unitsStore } from '../settings/preferences';
import { usePalette } from '../theme/useLight';
import { findingWords } from '../words/findings';
import { Action } from './Action';
import { Text } from './Text';

interface FindingsProps {
  readonly findings: readonly Finding[];
  readonly kind: Family['kind'];
  /** Goes to where a finding is put right. */
  readonly onPutRight: (finding: Finding) => void;
}

/** What is wrong with a rig, dangers first, each with what to do. Never folded away. */
export function Findings({ findings, kind, onPutRight }: FindingsProps) {
  const palette = usePalette();
  const units = unitsStore.use();
  if (findings.length === 0) {
    return (
      <View style={[styles.fine, { borderColor: palette.line }]}>
        <Icon source="check" size={20} color={palette.moss} />
        <Text as="small" style={styles.text}>
          Nothing wrong in what is known. The sidewall, the placard, the law and a qualified fitter overrule this.
        </Text>
      </View>
    );
  }
  return (
    <View role="list" aria-label="What is wrong" style={styles.list}>
      {findings.map((finding, index) => {
        const danger = findingSeverity(finding.code) === 'danger';
        const { what, todo } = findingWords(finding, kind, units);
        return (
          <View
            key={`${finding.code} ${index}`}
            role="listitem"
            style={[
              styles.finding,
              {
                borderLeftColor: danger ? palette.rust : palette.muted,
                backgroundColor: danger ? palette.rustWash : palette.card,
              },
            ]}
          >
            <View style={styles.head}>
              {danger && <Icon source="triangle-alert" size={17} color={palette.rust} />}
              <Text as="label" tone={danger ? 'rust' : 'muted'}>
                {danger ? 'Danger' : 'Look at'}
              </Text>
            </View>
            <Text as="small">{what}</Text>
            <Text as="label">{todo}</Text>
            <Action label="Correct it" spoken={`Correct it: ${what}`} onPress={() => onPutRight(finding)} />
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  fine: { flexDirection: 'row', gap: 8, borderWidth: 1, borderRadius: 3, padding: 12, alignItems: 'center' },
  list: { gap: 8 },
  finding: { borderLeftWidth: 5, paddingVertical: 8, paddingHorizontal: 12, gap: 2 },
  head: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  text: { flex: 1 },
});
