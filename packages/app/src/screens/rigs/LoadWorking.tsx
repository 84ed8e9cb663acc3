import type { LoadCaseBody, Rig } from '@dunlinmoss/contract';
import { familyOf, type RigLoads } from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';

import { unitsStore } from '../../settings/preferences';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { usePalette } from '../../theme/useLight';
import { AXLE_WORDS } from '../../words/axles';
import { length, mass } from '../../words/format';

interface LoadWorkingProps {
  readonly rig: Pick<Rig, 'family' | 'axles'>;
  readonly loadCase: Pick<LoadCaseBody, 'method' | 'unladen'>;
  readonly loads: RigLoads;
}

/** How the loads come about, line by line: to be done again with pencil and paper. */
export function LoadWorking({ rig, loadCase, loads }: LoadWorkingProps) {
  const palette = usePalette();
  const units = unitsStore.use();
  const { kind } = familyOf(rig.family);
  const line = (name: string, note: string | undefined, loadsKg: readonly number[], strong = false) => (
    <View role="row" style={[styles.row, { borderColor: strong ? palette.ink : palette.line }]}>
      <View role="rowheader" style={styles.name}>
        <Text as={strong ? 'label' : 'small'}>{name}</Text>
        {note !== undefined && (
          <Text as="small" tone="muted">
            {note}
          </Text>
        )}
      </View>
      {loadsKg.map((kg, index) => (
        <Text key={rig.axles[index]!.position} role="cell" as="figure" style={styles.value}>
          {mass(kg, units)}
        </Text>
      ))}
    </View>
  );
  const carried = (position: string): number =>
    loads.shares.reduce((sum, { onAxles }) => sum + onAxles.find((each) => each.position === position)!.loadKg, 0);
  return (
    <Unfold label="Working: what each thing puts on each axle">
      <Text as="small">
        Lever law, exact: a thing puts on the rear its weight × its distance behind the front axle ÷ the wheelbase, and
        the rest on the front.
        {rig.axles.some(({ position }) => position === 'rear2')
          ? ' Axles behind the first share alike: our assumption.'
          : ''}
      </Text>
      <View role="table" aria-label="Loads by thing and axle">
        <View role="row" style={[styles.row, { borderColor: palette.ink }]}>
          <Text role="columnheader" as="label" style={styles.name}>
            Thing
          </Text>
          {rig.axles.map(({ position }) => (
            <Text key={position} role="columnheader" as="label" style={styles.value}>
              {AXLE_WORDS[position]}
            </Text>
          ))}
        </View>
        {line(
          kind === 'bicycle' ? 'Rider and bicycle' : 'Empty',
          loadCase.method === 'posture' ? 'common practice, no source' : undefined,
          loads.axles.map(({ position, loadKg }) => loadKg - carried(position)),
        )}
        {loads.shares.map(({ item, massKg, onAxles }, index) => (
          <View key={`${item.name} ${index}`}>
            {line(
              `${index + 1}. ${item.name || 'Thing'}`,
              `${mass(massKg, units)} at ${length(item.behindMm, units)}`,
              onAxles.map(({ loadKg }) => loadKg),
            )}
          </View>
        ))}
        {line(
          'Together',
          undefined,
          loads.axles.map(({ loadKg }) => loadKg),
          true,
        )}
      </View>
    </Unfold>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'baseline', borderBottomWidth: 1, paddingVertical: 4, gap: 6 },
  name: { flex: 1 },
  value: { width: 72, textAlign: 'right' },
});
