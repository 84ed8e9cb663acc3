import { STUCK, type GroundPlan } from '@dunlinmoss/core';
import { axleOnGauge } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import { Cautions } from '../../components/Cautions';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { Working } from '../../components/Working';
import { inPairs } from '../../pictures/inPairs';
import { Print } from '../../pictures/Print';
import { Staff } from '../../pictures/Staff';
import { usePalette } from '../../theme/useLight';
import { useWide } from '../../theme/useWide';
import { AXLE_WORDS } from '../../words/axles';
import { COMPARED_WITH } from '../../words/families';
import { printNote } from '../../words/remarks';
import type { PlanQuery } from '../../hooks/usePlanQuery';
import { AxleNumbers, numbersOf, Reasons } from './AxleNumbers';
import { Figures } from './Figures';
import { FloorPicker } from './FloorPicker';
import { FullAndEmpty } from './FullAndEmpty';
import { GaugeNow } from './GaugeNow';
import { HowSure } from './HowSure';
import { Learned } from './Learned';
import { Limits } from './Limits';
import { ProvedBefore } from './ProvedBefore';
import { StuckLadder } from './StuckLadder';
import { Try } from './Try';
import { besidePlan, WayOfChoosing } from './WayOfChoosing';

interface PlanResultProps {
  readonly plan: GroundPlan;
  readonly question: PlanQuery;
}

/**
 * The answer in three layers: the number with what can hurt; why; what else can be tried. What can hurt is never folded
 * away.
 */
export function PlanResult({ plan, question }: PlanResultProps) {
  const { family, units, asked } = question;
  const wide = useWide();
  if (asked.ground === STUCK) {
    return (
      <>
        <StuckLadder question={question} plan={plan} />
        <Cautions plan={plan} severity="care" />
      </>
    );
  }
  return (
    <>
      <AxleNumbers plan={plan} units={units} proved={asked.proved} />
      <Cautions plan={plan} severity="danger" />
      {wide && (
        <View style={styles.pictures}>
          <Panel title="Pressures" style={styles.picture}>
            <Staffs plan={plan} question={question} />
          </Panel>
          <Panel title="Footprint" style={styles.picture}>
            <Prints plan={plan} question={question} />
          </Panel>
        </View>
      )}
      <Why plan={plan} question={question} />
      <Try question={question} />
      {family.kind === 'farm' && <FullAndEmpty question={question} />}
      <Cautions plan={plan} severity="care" />
    </>
  );
}

/** Who says what, how low, how sure, and the working: each thing in one place. */
function Why({ plan, question }: PlanResultProps) {
  const { rig, units } = question;
  const wide = useWide();
  const held = new Set(rig.axles.filter(({ beadHold }) => beadHold !== 'none').map(({ position }) => position));
  return (
    <Unfold label="Why this number" startsOpen={wide}>
      <Reasons plan={plan} units={units} beadHeld={held} />
      {plan.school !== null && (
        <WayOfChoosing
          rig={rig}
          used={plan.school}
          positions={plan.axles.map(({ position }) => position)}
          beside={besidePlan(plan, units)}
        />
      )}
      <ProvedBefore question={question} plan={plan} />
      <Learned question={question} plan={plan} />
      <GaugeNow plan={plan} rigId={rig.id} units={units} />
      {plan.school !== null && <FloorPicker rig={rig} units={units} />}
      <Limits plan={plan} units={units} />
      <HowSure question={question} plan={plan} />
      {!wide && (
        <Panel title="Footprint">
          <Prints plan={plan} question={question} />
        </Panel>
      )}
      <Figures plan={plan} rig={rig} units={units} />
      {plan.axles.map(({ position, working }) => (
        <Unfold key={position} label={`Working, ${AXLE_WORDS[position].toLowerCase()} axle`}>
          <Working steps={working} />
        </Unfold>
      ))}
    </Unfold>
  );
}

function Staffs({ plan, question: { family, units } }: PlanResultProps) {
  const palette = usePalette();
  return inPairs(numbersOf(plan, units)).map((pair) => (
    <Staff
      key={pair[0]!.position}
      axles={pair.map(({ position, ...levels }) => ({ name: AXLE_WORDS[position], ...levels }))}
      roadName={COMPARED_WITH[family.kind]}
      units={units}
      palette={palette}
    />
  ));
}

function Prints({ plan, question: { family, units } }: PlanResultProps) {
  const palette = usePalette();
  const note = printNote(plan, units);
  return (
    <>
      {inPairs(plan.axles).map((pair) => (
        <Print
          key={pair[0]!.position}
          axles={pair.map((axle) => ({
            name: AXLE_WORDS[axle.position],
            road: axle.atRoad,
            start: { ...axle.atStart, pressureKpa: axleOnGauge(axle, units).startKpa },
          }))}
          beside={COMPARED_WITH[family.kind]}
          units={units}
          palette={palette}
        />
      ))}
      {note !== null && (
        <Text as="small" tone="muted">
          {note}
        </Text>
      )}
    </>
  );
}

const styles = StyleSheet.create({
  pictures: { flexDirection: 'row', gap: 14 },
  picture: { flex: 1 },
});
