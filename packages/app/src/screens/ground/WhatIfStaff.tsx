import type { AxlePlan, WhatIf } from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';

import { Action } from '../../components/Action';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import type { Units } from '../../settings/preferences';
import { AXLE_WORDS } from '../../words/axles';
import { pressureNumber } from '../../words/format';
import { LIMIT_WORDS } from '../../words/limits';
import { DragStaff } from './DragStaff';
import { readingsIn, readText, type Marks, type Tried } from './whatIfValues';

interface VerdictProps {
  readonly axle: AxlePlan;
  readonly now: WhatIf;
  readonly units: Units;
}

/** The number, and whether it is inside every limit. */
export function Verdict({ axle, now: { pressureKpa, limits }, units }: VerdictProps) {
  const past = limits.filter(({ insideKpa }) => insideKpa < -1e-6);
  const [first, ...more] = past.map(({ code }) => LIMIT_WORDS[code]);
  return (
    <Panel>
      <View style={styles.numeral}>
        <Text as="numeral">{pressureNumber(pressureKpa, units)}</Text>
        <Text as="strong">{`${units.pressure}, ${AXLE_WORDS[axle.position].toLowerCase()}, cold`}</Text>
      </View>
      <View style={styles.verdict}>
        {first === undefined ? (
          <Text as="strong" tone="moss" role="status">
            Inside every limit.
          </Text>
        ) : (
          <Text as="strong" tone="rust" role="alert">
            {`Past ${first.name}${more.length === 0 ? '' : ` and ${more.length} more`}: ${first.voice}.`}
          </Text>
        )}
      </View>
    </Panel>
  );
}

interface StaffPanelProps {
  readonly tried: Tried;
  readonly marks: Marks;
  /** The staff has room for figures beside it. */
  readonly beside: boolean;
  readonly onTry: (pressureKpa: number) => void;
  readonly onKeep: () => void;
}

/** The staff to drag; on a phone the figures stand right beside it. */
export function StaffPanel({ tried, marks, beside, onTry, onKeep }: StaffPanelProps) {
  const { axle, units, now, roadName } = tried;
  return (
    <Panel title="Drag the pressure">
      <View style={beside && styles.beside}>
        <View style={beside && styles.staff}>
          <DragStaff
            axle={{ name: AXLE_WORDS[axle.position], ...marks }}
            pressureKpa={now.pressureKpa}
            onChange={onTry}
            units={units}
            roadName={roadName}
          />
        </View>
        {beside && <Figures {...tried} />}
      </View>
      <View style={styles.buttons}>
        <Action label="Keep this beside it" onPress={onKeep} />
        <Action label="Back to the plan" onPress={() => onTry(marks.startKpa)} />
      </View>
    </Panel>
  );
}

const BESIDE: ReadonlySet<string> = new Set([
  'Settles by',
  'Contact length',
  'On the ground',
  'Clearance lost',
  'Load left',
  'Fastest here',
]);

/** In brackets behind the same figure there is no room for the unit twice. */
const withoutUnit = (text: string): string => text.split('\u00a0')[0]!;

/** The figures that matter most, one below the other, the kept one behind. */
function Figures({ units, now, kept }: Tried) {
  return (
    <View style={styles.figures}>
      {readingsIn(units)
        .filter(({ name }) => BESIDE.has(name))
        .map((reading) => (
          <View key={reading.name}>
            <Text as="small" tone="muted">
              {reading.name}
            </Text>
            <Text as="figure">
              {`${readText(reading, now)}${kept ? ` (${withoutUnit(readText(reading, kept))})` : ''}`}
            </Text>
          </View>
        ))}
    </View>
  );
}

const styles = StyleSheet.create({
  numeral: { flexDirection: 'row', alignItems: 'baseline', gap: 6 },
  // Two lines: what is below stays where it is.
  verdict: { minHeight: 44 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  beside: { flexDirection: 'row', gap: 8, alignItems: 'center' },
  staff: { flex: 1, minWidth: 0 },
  figures: { width: 116, gap: 4 },
});
