import { FAMILIES, FAMILY_CODES, type Family, type FamilyCode } from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';

import { Press } from '../../components/Press';
import { Text } from '../../components/Text';
import { usePalette } from '../../theme/useLight';
import { FAMILY_WORDS, KIND_WORDS } from '../../words/families';

export const isFamily = (text: string | undefined): text is FamilyCode => FAMILY_CODES.some((code) => code === text);

const KINDS = [...new Set(FAMILIES.map(({ kind }) => kind))] as readonly Family['kind'][];

/** Which family a new rig is of: only what that family needs is asked then. */
export function FamilyPicker({ onPick }: { readonly onPick: (code: FamilyCode) => void }) {
  const palette = usePalette();
  return (
    <View style={styles.kinds}>
      <Text tone="muted">What is it? You are asked only what such a rig needs.</Text>
      {KINDS.map((kind) => (
        <View key={kind} style={styles.kind}>
          <Text as="label" tone="muted">
            {KIND_WORDS[kind]}
          </Text>
          <View style={styles.families}>
            {FAMILIES.filter((family) => family.kind === kind).map(({ code }) => (
              <Press
                key={code}
                onPress={() => onPick(code)}
                style={[styles.family, { borderColor: palette.edge, backgroundColor: palette.card }]}
              >
                <Text as="strong">{FAMILY_WORDS[code].name}</Text>
                <Text as="small" tone="muted">
                  {FAMILY_WORDS[code].sign}
                </Text>
              </Press>
            ))}
          </View>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  kinds: { gap: 14 },
  kind: { gap: 6 },
  families: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  // Names stand on one line, however long the words below them are.
  family: {
    borderWidth: 1,
    borderRadius: 3,
    paddingHorizontal: 12,
    paddingVertical: 8,
    flexGrow: 1,
    flexBasis: 160,
    justifyContent: 'flex-start',
  },
});
