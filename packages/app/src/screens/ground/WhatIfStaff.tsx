import type { WhatIf } from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';

import { Action } from '../../components/Action';
import { FixedBox } from '../../components/FixedBox';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { Moves } from '../../pictures/Moves';
import { useRested } from '../../settings/live';
import type { Palette } from '../../theme/palette';
import { usePalette } from '../../theme/useLight';
import { AXLE_WORDS } from '../../words/axles';
import { pressureNumber } from '../../words/format';
import { LIMIT_WORDS } from '../../words/limits';
import { DragStaff } from './DragStaff';
import {
  FIGURE,
  NUMERAL_HEIGHT,
  VERDICT_HEIGHT,
  readingsIn,
  readText,
  type Marks,
  type Reading,
  type Shown,
} from './whatIfValues';

/** The number, and whether it is inside every limit. */
function verdictOf({ pressureKpa, limits }: WhatIf, units: Shown['units'], palette: Palette) {
  const past = limits.filter(({ insideKpa }) => insideKpa < -1e-6);
  const [first, ...more] = past.map(({ code }) => LIMIT_WORDS[code]);
  const isPast = first !== undefined;
  return {
    number: { words: pressureNumber(pressureKpa, units) },
    verdict: {
      role: isPast ? 'alert' : 'status',
      style: { color: isPast ? palette.rust : palette.moss },
      words: isPast
        ? `Past ${first.name}${more.length === 0 ? '' : ` and ${more.length} more`}: ${first.voice}.`
        : 'Inside every limit.',
    },
  };
}

export function Standing({ axle, units, trying }: Shown) {
  const palette = usePalette();
  const now = useRested(trying.live).what();
  const { number, verdict } = verdictOf(now, units, palette);
  return (
    <Moves inTurn by={trying.live} at={({ what }) => verdictOf(what(), units, palette)}>
      <Panel>
        <FixedBox height={NUMERAL_HEIGHT}>
          <View style={styles.numeral}>
            <Text as="numeral">
              <span data-part="number">{number.words}</span>
            </Text>
            <Text as="strong">{`${units.pressure}, ${AXLE_WORDS[axle.position].toLowerCase()}, cold`}</Text>
          </View>
        </FixedBox>
        <FixedBox height={VERDICT_HEIGHT}>
          <View>
            <Text as="strong">
              <span data-part="verdict" role={verdict.role} style={verdict.style}>
                {verdict.words}
              </span>
            </Text>
          </View>
        </FixedBox>
      </Panel>
    </Moves>
  );
}

/** The staff under the finger; on a phone what it comes to stands right beside it. */
export function StaffPanel({ marks, beside, ...shown }: Shown & { readonly marks: Marks; readonly beside: boolean }) {
  const { axle, units, trying, held, roadName } = shown;
  return (
    <Panel title="Drag the pressure">
      <View style={beside && styles.beside}>
        <View style={beside && styles.staff}>
          <DragStaff
            axle={{ name: AXLE_WORDS[axle.position], ...marks }}
            trying={trying}
            units={units}
            roadName={roadName}
          />
        </View>
        {beside && <Figures {...shown} />}
      </View>
      <View style={styles.buttons}>
        <Action label="Keep this beside it" onPress={() => held.set(trying.live.get().what())} />
        <Action label="Back to the plan" onPress={() => trying.settle(marks.startKpa)} />
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

/** In brackets behind the same figure there is no room for it twice. */
const withoutUnit = (text: string): string => text.split('\u00a0')[0]!;

/** The figures that matter most, one below the other, the held one behind. */
function Figures({ units, trying, held: heldStore }: Shown) {
  const now = useRested(trying.live).what();
  const held = heldStore.use();
  const shown = readingsIn(units).filter(({ name }) => BESIDE.has(name));
  const textOf = (reading: Reading, what: WhatIf): string =>
    `${readText(reading, what)}${held ? ` (${withoutUnit(readText(reading, held))})` : ''}`;
  return (
    <Moves
      inTurn
      by={trying.live}
      at={({ what }) => Object.fromEntries(shown.map((reading) => [reading.name, { words: textOf(reading, what()) }]))}
    >
      <View style={styles.figures}>
        {shown.map((reading) => (
          <FixedBox key={reading.name} width={FIGURE.width} height={FIGURE.height}>
            <View>
              <Text as="small" tone="muted">
                {reading.name}
              </Text>
              <Text as="figure">
                <span data-part={reading.name}>{textOf(reading, now)}</span>
              </Text>
            </View>
          </FixedBox>
        ))}
      </View>
    </Moves>
  );
}

const styles = StyleSheet.create({
  numeral: { flexDirection: 'row', alignItems: 'baseline', gap: 6 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  beside: { flexDirection: 'row', gap: 8, alignItems: 'center' },
  staff: { flex: 1, minWidth: 0 },
  figures: { width: FIGURE.width, gap: 4 },
});
