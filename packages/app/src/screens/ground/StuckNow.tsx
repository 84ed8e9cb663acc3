import {
  bareAxle,
  familyOf,
  firstNumbers,
  KINDS,
  psi,
  readMarking,
  STUCK,
  type FamilyCode,
  type GroundCode,
  type Kind,
} from '@dunlinmoss/core';
import { onGauge } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { unitsStore } from '../../settings/preferences';
import { KIND_WORDS } from '../../words/families';
import { pressure, pressureRange } from '../../words/format';
import { BEFORE_LETTING_OUT } from '../../words/stuck';

/** Somebody is stuck and nothing is known of their rig: what to do, in order, and what the trade lets out then. */
export function StuckNow({ kind }: { readonly kind?: Kind }) {
  const units = unitsStore.use();
  const rows = STUCK_WITHOUT_RIG.filter((row) => kind === undefined || row.kind === kind);
  return (
    <Panel title="Stuck now?">
      {kind === undefined && <Text as="small">On four wheels. On two, get off and push first.</Text>}
      {BEFORE_LETTING_OUT[kind ?? 'car'].map((text, index) => (
        <Text key={text}>{`${index + 1}. ${text}`}</Text>
      ))}
      {rows.length > 0 && (
        <>
          <Text as="strong">If nothing helped: let out to about this, for one attempt, straight, at walking pace.</Text>
          {rows.map((row) => (
            <View key={row.kind} style={styles.row}>
              <Text style={styles.name}>{`${KIND_WORDS[row.kind]}, ${row.example}`}</Text>
              <Text as="figure">
                {pressureRange(onGauge(row.lowKpa, units, 'up'), onGauge(row.highKpa, units, 'up'), units)}
              </Text>
              <Text as="small">{`then ${pressure(row.backKpa, units)}`}</Text>
            </View>
          ))}
          <Text>
            The second number is where it goes straight back up to, before you go on. Another tire size has another
            number: add yours.
          </Text>
        </>
      )}
      <Text as="small" tone="rust">
        Recovery gear kills when it is used wrong. Never go under a vehicle on a jack. The sidewall, the placard and a
        qualified tire fitter overrule this.
      </Text>
    </Panel>
  );
}

interface StuckRow {
  readonly kind: Kind;
  /** The rig that the figures are of. */
  readonly example: string;
  readonly lowKpa: number;
  readonly highKpa: number;
  readonly backKpa: number;
}

interface CommonRig {
  readonly family: FamilyCode;
  readonly marking: string;
  readonly roadPsi: number | null;
  readonly maxPsi: number | null;
  readonly ground: GroundCode;
  readonly riderKg?: number;
}

/** A common rig of each kind: what it is let out to where it is stuck. */
const COMMON: Record<Kind, CommonRig> = {
  car: { family: 'fourWheel', marking: '265/65R17', roadPsi: 36, maxPsi: null, ground: 'softSand' },
  quad: { family: 'quad', marking: 'AT25x8-12', roadPsi: 7, maxPsi: 10, ground: 'softSand' },
  motorcycle: { family: 'trailSingle', marking: '4.60-18', roadPsi: 25, maxPsi: null, ground: 'softSand' },
  bicycle: { family: 'mountainBike', marking: '29x2.4', roadPsi: null, maxPsi: null, ground: 'softSand', riderKg: 80 },
  farm: { family: 'tractor', marking: '480/80R50', roadPsi: 23, maxPsi: null, ground: 'fieldWet' },
};

const STUCK_WITHOUT_RIG: readonly StuckRow[] = KINDS.flatMap((kind): StuckRow[] => {
  const common = COMMON[kind];
  const tire = readMarking(common.marking);
  if (!tire.ok) return [];
  const kpa = (inPsi: number | null): number | null => (inPsi === null ? null : psi(inPsi));
  const at = (ground: GroundCode) =>
    firstNumbers({
      family: common.family,
      ground,
      school: null,
      modifiers: [],
      speedKmh: null,
      roadSpeedKmh: null,
      riderKg: common.riderKg ?? null,
      ownFloorKpa: null,
      totalKg: null,
      laden: 'empty',
      like: null,
      axles: familyOf(common.family).axles.map(({ position, wheels }) => ({
        ...bareAxle({ position, wheels, tire: tire.value }),
        roadKpa: kpa(common.roadPsi),
        maxKpa: kpa(common.maxPsi),
      })),
    });
  const [stuck, back] = [at(STUCK), at(common.ground)];
  if (!stuck.ok || !back.ok) return [];
  const axles = stuck.value.axles;
  return [
    {
      kind,
      example: common.marking,
      lowKpa: Math.min(...axles.map(({ lowKpa }) => lowKpa)),
      highKpa: Math.max(...axles.map(({ startKpa }) => startKpa)),
      backKpa: Math.max(...back.value.axles.map(({ startKpa }) => startKpa)),
    },
  ];
});

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'baseline', gap: 8 },
  name: { flex: 1 },
});
