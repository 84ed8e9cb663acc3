import { factsOf, loadCaseOf, rigLoads, tireOf, type GaugeRow, type RigRow } from '@dunlinmoss/contract';
import { familyOf, findingSeverity, findingsOf, psi, sameSize, type RigLoads } from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';

import { useGauges } from '../../data/gauges';
import { unitsStore } from '../../settings/preferences';
import { CardList, LinkCard } from '../../components/LinkCard';
import { Text } from '../../components/Text';
import { usePalette } from '../../theme/useLight';
import { AXLE_WORDS } from '../../words/axles';
import { FAMILY_WORDS } from '../../words/families';
import { mass } from '../../words/format';
import { STANDING_SHORT } from '../../words/loads';

interface RigListProps {
  readonly rigs: readonly RigRow[];
  readonly chosen?: string | undefined;
}

/** The rigs, each with what decides its pressures: its load, its tires, and whether something is wrong. */
export function RigList({ rigs, chosen }: RigListProps) {
  const gauges = useGauges();
  return (
    <CardList>
      {rigs.map((rig) => (
        <RigLine key={rig.id} rig={rig} gauges={gauges} chosen={rig.id === chosen} />
      ))}
    </CardList>
  );
}

function RigLine({
  rig,
  gauges,
  chosen,
}: {
  readonly rig: RigRow;
  readonly gauges: readonly GaugeRow[];
  readonly chosen: boolean;
}) {
  const palette = usePalette();
  const units = unitsStore.use();
  const loadCase = loadCaseOf(rig);
  const loads = loadCase && rigLoads(rig, loadCase);
  const findings = findingsOf(factsOf(rig, loadCase, gauges, psi(1)));
  const dangers = findings.filter(({ code }) => findingSeverity(code) === 'danger').length;
  return (
    <LinkCard href={{ pathname: '/rigs/[id]', params: { id: rig.id } }} chosen={chosen}>
      <View style={styles.head}>
        <Text as="strong" style={styles.name}>
          {rig.name}
        </Text>
        {dangers > 0 && (
          <View style={styles.mark}>
            <Icon source="triangle-alert" size={16} color={palette.rust} />
            <Text as="label" tone="rust">
              {dangers === 1 ? 'A danger' : `${dangers} dangers`}
            </Text>
          </View>
        )}
      </View>
      <Text as="small" tone="muted">
        {`${FAMILY_WORDS[rig.family].name} · ${tiresText(rig)}`}
      </Text>
      <Text as="small">
        {loads?.ok ? `${loadCase!.name}: ${loadText(loads.value, (kg) => mass(kg, units))}` : 'No load yet'}
      </Text>
    </LinkCard>
  );
}

/** `front 1140 kg axle weighed, rear 1395 kg weighed`, one word where all are known alike. */
function loadText({ axles }: RigLoads, say: (kg: number) => string): string {
  const alike = new Set(axles.map(({ standing }) => standing)).size === 1;
  const parts = axles.map(
    ({ position, loadKg, standing }) =>
      `${AXLE_WORDS[position].toLowerCase()} ${say(loadKg)}${alike ? '' : ` (${STANDING_SHORT[standing]})`}`,
  );
  return `${parts.join(', ')}${alike ? ` (${STANDING_SHORT[axles[0]!.standing]})` : ''}`;
}

/** The tire sizes of a rig, each once. */
export function tiresText({ axles, family }: Pick<RigRow, 'axles' | 'family'>): string {
  const worn: string[] = [];
  axles.forEach(({ tireMarking }, index) => {
    const again = axles.slice(0, index).some((other) => sameSize(tireOf(other.tireMarking), tireOf(tireMarking)));
    if (!again) worn.push(tireMarking);
  });
  const locked = axles.some(({ beadHold }) => beadHold !== 'none');
  const hold = familyOf(family).kind === 'motorcycle' ? 'rim locks' : 'bead locks';
  return locked ? `${worn.join(', ')}, ${hold}` : worn.join(', ');
}

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'flex-start', gap: 8 },
  name: { flex: 1 },
  mark: { flexDirection: 'row', alignItems: 'center', gap: 4 },
});
