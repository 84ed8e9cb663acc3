import type { RigRow } from '@dunlinmoss/contract';
import { planGround, type GroundPlan, STUCK } from '@dunlinmoss/core';
import { axleOnGauge, type NoPlan, planInput } from '@dunlinmoss/domain';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { Action } from '../../components/Action';
import { Cautions } from '../../components/Cautions';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Empty, Loading } from '../../components/States';
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
import { noPlanText } from '../../words/limits';
import { printNote } from '../../words/remarks';
import { waitingText } from '../../words/noPlan';
import { Asking, RigPicker } from './Asking';
import { AxleNumbers } from './AxleNumbers';
import { Figures } from './Figures';
import { FloorPicker } from './FloorPicker';
import { GaugeNow } from './GaugeNow';
import { HowSure } from './HowSure';
import { Learned } from './Learned';
import { Limits } from './Limits';
import { ProvedBefore } from './ProvedBefore';
import { Schools } from './Schools';
import { SetPressures } from './SetPressures';
import { StuckLadder } from './StuckLadder';
import { addressOf, usePlanQuery, type PlanQuery } from '../../hooks/usePlanQuery';

/** What pressure, for this ground, on this rig; how low at the most; why. */
export function GroundScreen() {
  const router = useRouter();
  const { question, rigs, loading } = usePlanQuery();
  if (loading) {
    return (
      <Page title="Ground">
        <Loading />
      </Page>
    );
  }
  if (!question) {
    return (
      <Page title="Ground">
        <Empty
          text="A pressure needs a rig: load, tires and placard."
          action={{ label: 'Describe a rig', onPress: () => router.navigate('/rigs/new') }}
        />
      </Page>
    );
  }
  return <RigOnGround key={`${question.rig.id} ${question.asked.ground}`} question={question} rigs={rigs} />;
}

interface RigOnGroundProps {
  readonly question: PlanQuery;
  readonly rigs: readonly RigRow[];
}

function RigOnGround({ question, rigs }: RigOnGroundProps) {
  const router = useRouter();
  const { rig, family, tests, asked, outing, units, change } = question;
  const [setting, setSetting] = useState(false);
  const input = planInput(rig, tests, asked);
  if (!input.ok) return <Waiting question={question} rigs={rigs} reason={input.problem} />;
  const plan = planGround(input.value);
  const stuck = asked.ground === STUCK;
  const canSet = plan.ok && plan.value.school !== null && !stuck;
  const toRig = (): void => router.navigate({ pathname: '/rigs/[id]', params: { id: rig.id } });

  return (
    <Page
      title="Ground"
      action={
        canSet && (
          <Action
            kind="main"
            label={family.kind === 'bicycle' ? 'It is set: keep the pressures' : 'Air is out: keep the pressures'}
            onPress={() => setSetting(true)}
          />
        )
      }
      result={
        plan.ok ? (
          <PlanResult plan={plan.value} question={question} />
        ) : (
          <Panel title="No safe pressure">
            <Text role="alert">{noPlanText(plan.problem, family.kind, units)}</Text>
            {plan.problem.code === 'floorAboveCeiling' &&
              (plan.problem.floor === 'own' || plan.problem.floor === 'bead') && (
                <FloorPicker rig={rig} units={units} />
              )}
            {plan.problem.code === 'tooFast' && asked.speedKmh !== null && (
              <Action label="Go by the guide of the ground" onPress={() => change({ speedKmh: null })} />
            )}
            <Action label={`Check ${rig.name}`} onPress={toRig} />
          </Panel>
        )
      }
    >
      <Asking question={question} rigs={rigs} />
      {setting && plan.ok && (
        <SetPressures
          plan={plan.value}
          rig={rig}
          asked={asked}
          units={units}
          outing={outing}
          onClose={() => setSetting(false)}
        />
      )}
    </Page>
  );
}

/** Nothing can be worked out yet: what is missing, and where to tell it. */
function Waiting({ question, rigs, reason }: RigOnGroundProps & { readonly reason: NoPlan }) {
  const router = useRouter();
  const { rig, units, change } = question;
  return (
    <Page
      title="Ground"
      result={
        <Panel title="No pressure yet">
          <Text role="alert">{waitingText(reason, rig.family, units)}</Text>
          <Action
            label={`Put it right on ${rig.name}`}
            onPress={() => router.navigate({ pathname: '/rigs/[id]', params: { id: rig.id } })}
          />
        </Panel>
      }
    >
      <RigPicker rig={rig} rigs={rigs} onRig={(id) => change({ rig: id })} />
    </Page>
  );
}

interface PlanResultProps {
  readonly plan: GroundPlan;
  readonly question: PlanQuery;
}

function PlanResult({ plan, question }: PlanResultProps) {
  const { rig, family, units, asked } = question;
  const palette = usePalette();
  const wide = useWide();
  const onPlacard = plan.school === null;
  const note = printNote(plan, units);
  if (asked.ground === STUCK) {
    return (
      <>
        <Cautions plan={plan} severity="danger" />
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
        beadHeld={new Set(rig.axles.filter(({ beadHold }) => beadHold !== 'none').map(({ position }) => position))}
      />
      <Cautions plan={plan} severity="danger" />
      <ProvedBefore question={question} plan={plan} />
      <GaugeNow plan={plan} units={units} />
      <View style={wide ? styles.pictures : styles.stack}>
        <Panel title="The staff" style={wide && styles.picture}>
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
        <Panel title="The print" style={wide && styles.picture}>
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
      {!onPlacard && <Schools plan={plan} rig={rig} units={units} />}
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
  );
}

/** The screens that ask further with the same question. */
function GoOn({ question }: { readonly question: PlanQuery }) {
  const router = useRouter();
  const params = addressOf(question);
  return (
    <Panel title="Ask further">
      <Action
        label="What if: drag the staff"
        onPress={() => router.navigate({ pathname: '/ground/what-if', params })}
      />
      <Action
        label="One pressure or two, for a day of several grounds"
        onPress={() => router.navigate({ pathname: '/ground/day', params })}
      />
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
