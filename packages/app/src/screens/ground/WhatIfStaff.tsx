import { whatIf } from '@dunlinmoss/core';
import { memo, useDeferredValue } from 'react';
import { StyleSheet, View } from 'react-native';

import { Action } from '../../components/Action';
import { FixedBox } from '../../components/FixedBox';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { AXLE_WORDS } from '../../words/axles';
import { pressureNumber } from '../../words/format';
import { LIMIT_WORDS } from '../../words/limits';
import { DragStaff } from './DragStaff';
import { type Shown, NUMERAL_HEIGHT, type Marks, type FollowersProps, readingsIn, FIGURE } from './whatIfValues';

/** The number, and whether it is inside every limit. */
export function Standing({ context, axle, units, tried }: Shown) {
  const triedKpa = tried.use();
  const past = whatIf(context, axle, triedKpa).limits.filter(({ insideKpa }) => insideKpa < -1e-6);
  return (
    <Verdict
      number={pressureNumber(triedKpa, units)}
      unit={`${units.pressure}, ${AXLE_WORDS[axle.position].toLowerCase()}, cold`}
      past={
        past.length === 0
          ? null
          : `Past ${past.map(({ code }) => LIMIT_WORDS[code].name).join(' and ')}: ${LIMIT_WORDS[past[0]!.code].voice}.`
      }
    />
  );
}

interface VerdictProps {
  readonly number: string;
  readonly unit: string;
  /** Which limits are passed; null inside all of them. */
  readonly past: string | null;
}

const Verdict = memo(function Verdict({ number, unit, past }: VerdictProps) {
  return (
    <Panel>
      <FixedBox height={NUMERAL_HEIGHT}>
        <View style={styles.numeral}>
          <Text as="numeral">{number}</Text>
          <Text as="strong">{unit}</Text>
        </View>
      </FixedBox>
      {past === null ? (
        <Text tone="moss">Inside every limit.</Text>
      ) : (
        <Text as="strong" tone="rust" role="alert">
          {past}
        </Text>
      )}
    </Panel>
  );
});

/** The staff under the finger; on a phone what it comes to stands right beside it. */
export function StaffPanel({ marks, beside, ...shown }: Shown & { readonly marks: Marks; readonly beside: boolean }) {
  const { axle, units, tried, held, roadName } = shown;
  return (
    <Panel title="Drag the pressure">
      <View style={beside && styles.beside}>
        <View style={beside && styles.staff}>
          <Dragged axle={axle} marks={marks} tried={tried} units={units} roadName={roadName} />
        </View>
        {beside && <Beside {...shown} />}
      </View>
      <View style={styles.buttons}>
        <Action label="Keep this beside it" onPress={() => held.set(tried.get())} />
        <Action label="Back to the plan" onPress={() => tried.set(marks.startKpa)} />
      </View>
    </Panel>
  );
}

/** The figures that matter most, one below the other, the held one behind. */
function Beside({ tried, held, ...shown }: Shown) {
  const triedKpa = useDeferredValue(tried.use());
  return <Figures triedKpa={triedKpa} heldKpa={held.use()} {...shown} />;
}

const Figures = memo(function Figures({ context, axle, units, triedKpa, heldKpa }: FollowersProps) {
  const now = whatIf(context, axle, triedKpa);
  const other = heldKpa === null ? null : whatIf(context, axle, heldKpa);
  return (
    <View style={styles.figures}>
      {readingsIn(units)
        .filter(({ name }) => BESIDE.has(name))
        .map(({ name, read }) => (
          <Figure key={name} name={name} text={`${read(now) ?? '–'}${other ? ` (${read(other) ?? '–'})` : ''}`} />
        ))}
    </View>
  );
});

const Figure = memo(function Figure({ name, text }: { readonly name: string; readonly text: string }) {
  return (
    <FixedBox width={FIGURE.width} height={FIGURE.height}>
      <View>
        <Text as="small" tone="muted">
          {name}
        </Text>
        <Text as="figure">{text}</Text>
      </View>
    </FixedBox>
  );
});

const BESIDE: ReadonlySet<string> = new Set([
  'Settles by',
  'Contact length',
  'On the ground',
  'Clearance lost',
  'Load left',
  'Fastest here',
]);

const Dragged = ({
  axle,
  marks,
  tried,
  units,
  roadName,
}: Pick<Shown, 'axle' | 'tried' | 'units' | 'roadName'> & { readonly marks: Marks }) => (
  <DragStaff
    axle={{ name: AXLE_WORDS[axle.position], ...marks, startKpa: tried.use() }}
    units={units}
    roadName={roadName}
    onChange={tried.set}
  />
);

const styles = StyleSheet.create({
  numeral: { flexDirection: 'row', alignItems: 'baseline', gap: 6 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  beside: { flexDirection: 'row', gap: 8, alignItems: 'center' },
  staff: { flex: 1, minWidth: 0 },
  figures: { width: FIGURE.width, gap: 4 },
});
