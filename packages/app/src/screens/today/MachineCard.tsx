import { gaugeStepKpa, type BoardEntry } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';

import { useNow } from '../../data/clock';
import { Action } from '../../components/Action';
import { LastBy } from '../../components/LastBy';
import { Press } from '../../components/Press';
import { Text } from '../../components/Text';
import { usePalette } from '../../theme/useLight';
import { useWide } from '../../theme/useWide';
import { groundName } from '../../words/grounds';
import { inTiresText } from '../../words/wheelState';
import { useRouter } from '../../hooks/useRouter';
import { useNext } from './useNext';

/** Steps that can hurt when they are put off. */
const HURTS: ReadonlySet<BoardEntry['step']> = new Set(['goOn', 'backUp', 'standsLow']);

/** One machine of several: what is in its tires, on what ground, and its next step as a button. */
export function MachineCard({ entry }: { readonly entry: BoardEntry }) {
  const palette = usePalette();
  const wide = useWide();
  const router = useRouter();
  const { rig, outing, step } = entry;
  const { sentence, button, go, units } = useNext(entry);
  const nowMs = useNow(true, 60_000);
  const hurts = HURTS.has(step);
  return (
    <View
      role="listitem"
      aria-label={rig.name}
      style={[
        styles.card,
        wide && styles.ofMany,
        {
          borderColor: hurts ? palette.rust : palette.line,
          backgroundColor: hurts ? palette.rustWash : palette.card,
        },
      ]}
    >
      <Press
        aria-label={`${rig.name}: all of it`}
        onPress={() => router.setParams({ rig: rig.id })}
        style={styles.head}
      >
        <View style={styles.name}>
          {hurts && <Icon source="triangle-alert" size={18} color={palette.rust} />}
          <Text as="strong">{rig.name}</Text>
        </View>
        {outing && (
          <Text as="small" tone="muted">
            {[groundName(outing.groundCode), outing.title].filter((part) => part !== '').join(' · ')}
          </Text>
        )}
        <Text as="small">{`In the tires: ${inTiresText(entry, units, gaugeStepKpa(units), nowMs)}.`}</Text>
        <LastBy {...entry} />
      </Press>
      <Text>{sentence}</Text>
      <Action kind={step === 'setPressures' ? 'quiet' : 'main'} label={button} onPress={go} />
    </View>
  );
}

const styles = StyleSheet.create({
  card: { borderWidth: 1, borderRadius: 3, padding: 12, gap: 8 },
  ofMany: { flexGrow: 1, flexBasis: 300 },
  head: { gap: 2, minHeight: 48, alignItems: 'flex-start' },
  name: { flexDirection: 'row', gap: 6, alignItems: 'center' },
});
