import { canRehearse, groundOf, type GroundPlan, STUCK } from '@dunlinmoss/core';
import { axleOnGauge } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import { Action } from '../../components/Action';
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
import { useRouter } from '../../hooks/useRouter';
import { AxleNumbers, DecidedBy } from './AxleNumbers';
import { Figures } from './Figures';
import { FullAndEmpty } from './FullAndEmpty';
import { FloorPicker } from './FloorPicker';
import { GaugeNow } from './GaugeNow';
import { HowSure } from './HowSure';
import { Learned } from './Learned';
import { Limits } from './Limits';
import { ProvedBefore } from './ProvedBefore';
import { besidePlan, WayOfChoosing } from './WayOfChoosing';
import { StuckLadder } from './StuckLadder';
import { addressOf, type PlanQuery } from '../../hooks/usePlanQuery';

interface PlanResultProps {
  readonly plan: GroundPlan;
  readonly question: PlanQuery;
}

export function PlanResult({ plan, question }: PlanResultProps) {
  const { rig, family, units, asked } = question;
  const palette = usePalette();
  const wide = useWide();
  const onPlacard = plan.school === null;
  const note = printNote(plan, units);
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
      <AxleNumbers
        plan={plan}
        units={units}
        proved={asked.proved}
        beadHeld={new Set(rig.axles.filter(({ beadHold }) => beadHold !== 'none').map(({ position }) => position))}
      />
      <Cautions plan={plan} severity="danger" />
      <DecidedBy plan={plan} units={units} />
      <>
        {plan.school !== null && (
          <WayOfChoosing
            rig={rig}
            used={plan.school}
            positions={plan.axles.map(({ position }) => position)}
            beside={besidePlan(plan, units)}
          />
        )}
        {family.kind === 'farm' && <FullAndEmpty question={question} />}
        <ProvedBefore question={question} plan={plan} />
        <GaugeNow plan={plan} rigId={rig.id} units={units} />
        <View style={wide ? styles.pictures : styles.stack}>
          <Panel title="Pressures" style={wide && styles.picture}>
            {inPairs(plan.axles).map((pair) => (
              <Staff
                key={pair[0]!.position}
                axles={pair.map((axle) => ({ name: AXLE_WORDS[axle.position], ...axleOnGauge(axle, units) }))}
                roadName={COMPARED_WITH[family.kind]}
                units={units}
                palette={palette}
              />
            ))}
          </Panel>
          <Panel title="Footprint" style={wide && styles.picture}>
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
          </Panel>
        </View>
        <Learned question={question} plan={plan} />
        <GoOn question={question} />
        {!onPlacard && <FloorPicker rig={rig} units={units} />}
        <Limits plan={plan} units={units} />
        <HowSure question={question} plan={plan} />
        <Figures plan={plan} rig={rig} units={units} />
        <Cautions plan={plan} severity="care" />
        {plan.axles.map(({ position, working }) => (
          <Unfold key={position} label={`Working, ${AXLE_WORDS[position].toLowerCase()} axle`}>
            <Working steps={working} />
          </Unfold>
        ))}
      </>
    </>
  );
}

/** The screens that ask further with the same question. */
function GoOn({ question }: { readonly question: PlanQuery }) {
  const router = useRouter();
  const params = addressOf(question);
  const onField = groundOf(question.asked.ground).traits.some((trait) => trait === 'field');
  return (
    <Panel title="Ask further">
      <Action
        label="What if: drag the pressure"
        onPress={() => router.navigate({ pathname: '/ground/what-if', params })}
      />
      <Action label="What the next step buys" onPress={() => router.navigate({ pathname: '/ground/curve', params })} />
      {onField && (
        <Action
          label="How deep it presses, and what helps"
          onPress={() => router.navigate({ pathname: '/ground/depth', params })}
        />
      )}
      <Action
        label="Two setups side by side"
        onPress={() => router.navigate({ pathname: '/ground/compare/[id]', params: { ...params, id: 'new' } })}
      />
      <Action
        label="A day’s route: which pressures, where to stop"
        onPress={() => router.navigate({ pathname: '/ground/day', params })}
      />
      {canRehearse(question.family.kind) && (
        <Action
          label="Practice drives: get stuck here first"
          onPress={() => router.navigate({ pathname: '/ground/drives', params: { rig: question.rig.id } })}
        />
      )}
      <Action
        label="Pressure card: every ground on one page"
        onPress={() =>
          router.navigate({
            pathname: '/rigs/[id]/pressures',
            params: { id: question.rig.id, ...(params.case !== undefined && { case: params.case }) },
          })
        }
      />
    </Panel>
  );
}

const styles = StyleSheet.create({
  pictures: { flexDirection: 'row', gap: 14 },
  stack: { gap: 12 },
  picture: { flex: 1 },
});
