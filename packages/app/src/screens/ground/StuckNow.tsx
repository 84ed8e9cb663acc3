import {
  firstNumbers,
  groundOr,
  KINDS,
  STUCK,
  familyOf,
  psi,
  readMarking,
  type FamilyCode,
  type Kind,
} from '@dunlinmoss/core';
import { onGauge } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { unitsStore } from '../../settings/preferences';
import { KIND_WORDS } from '../../words/families';
import { pressureNumber, pressureRange } from '../../words/format';
import { BEFORE_LETTING_OUT } from '../../words/stuck';

/** Somebody is stuck of whom nothing is known: what to do, in order, and what the trade lets out then. */
export function StuckNow({ kind }: { readonly kind?: Kind }) {
  const units = unitsStore.use();
  const rows = STUCK_WITHOUT_RIG.filter((row) => kind === undefined || row.kind === kind);
  return (
    <Panel title="Stuck now?">
      {BEFORE_LETTING_OUT.map((text, index) => (
        <Text key={text}>{`${index + 1}. ${text}`}</Text>
      ))}
      {rows.length > 0 && (
        <>
          <Text as="strong">If nothing helped: let out to this, for one attempt, straight, at walking pace.</Text>
          {rows.map((row) => (
            <View key={row.kind} style={styles.row}>
              <Text style={styles.name}>{KIND_WORDS[row.kind]}</Text>
              <Text as="figure">
                {pressureRange(onGauge(row.lowKpa, units, 'up'), onGauge(row.highKpa, units, 'up'), units)}
              </Text>
            </View>
          ))}
          <Text>
            {`Then straight back up to what the ground asks for: ${rows.map((row) => pressureNumber(row.backKpa, units)).join(', ')}\u00a0${units.pressure} on soft ground, before you drive on.`}
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
  readonly lowKpa: number;
  readonly highKpa: number;
  readonly backKpa: number;
}

/** A common rig of each kind that meets being stuck: what it is told then is the trade's figure for any of them. */
const COMMON: Partial<
  Record<
    Kind,
    { readonly family: FamilyCode; readonly marking: string; readonly roadPsi: number; readonly maxPsi: number | null }
  >
> = {
  car: { family: 'fourWheel', marking: '265/65R17', roadPsi: 36, maxPsi: null },
  quad: { family: 'quad', marking: 'AT25x8-12', roadPsi: 7, maxPsi: 10 },
  motorcycle: { family: 'trailSingle', marking: '4.60-18', roadPsi: 25, maxPsi: null },
};

const STUCK_WITHOUT_RIG: readonly StuckRow[] = KINDS.flatMap((kind): StuckRow[] => {
  const common = COMMON[kind];
  const tire = common && readMarking(common.marking);
  if (!common || !tire?.ok) return [];
  const family = familyOf(common.family);
  const at = (ground: typeof STUCK) =>
    firstNumbers({
      family: common.family,
      ground,
      school: null,
      modifiers: [],
      speedKmh: null,
      roadSpeedKmh: null,
      riderKg: null,
      ownFloorKpa: null,
      totalKg: null,
      laden: 'empty',
      like: null,
      axles: family.axles.map(({ position, wheels }) => ({
        position,
        wheels,
        tire: tire.value,
        loadRange: 'standard',
        roadKpa: psi(common.roadPsi),
        beadHold: 'none',
        tube: false,
        insert: false,
        casing: null,
        rimInnerMm: null,
        widthMm: null,
        minKpa: null,
        maxKpa: common.maxPsi === null ? null : psi(common.maxPsi),
        curve: null,
      })),
    });
  const [stuck, back] = [at(STUCK), at(groundOr(family, 'softSand'))];
  if (!stuck.ok || !back.ok) return [];
  const axles = stuck.value.axles;
  return [
    {
      kind,
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
