import type { RigRow } from '@dunlinmoss/contract';
import { planGround, STUCK } from '@dunlinmoss/core';
import { axleOnGauge, firstNumbersOf, planInput, shownPlan, type NoPlan } from '@dunlinmoss/domain';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';

import { Action } from '../../components/Action';
import { NeedsRig } from '../../components/NeedsRig';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { StuckButton } from '../../components/StuckButton';
import { Text } from '../../components/Text';
import { noPlanText, setPressureText } from '../../words/limits';
import { waitingText } from '../../words/noPlan';
import { useRouter } from '../../hooks/useRouter';
import { Asking } from './Asking';
import { DoubtfulRoad } from './DoubtfulRoad';
import { FirstPlan } from './FirstPlan';
import { FloorPicker } from './FloorPicker';
import { LetOutOr } from './LetOutOr';
import { SetPressures } from './SetPressures';
import { wayToMissing } from '../../hooks/wayTo';
import { usePlanQuery, type PlanQuery } from '../../hooks/usePlanQuery';
import { PlanResult } from './PlanResult';
import { StuckNow } from './StuckNow';

/** What pressure, for this ground, on this rig; how low at the most; why. */
export function GroundScreen() {
  const { question, rigs, loading } = usePlanQuery();
  const { ground } = useLocalSearchParams<{ ground?: string }>();
  const router = useRouter();
  if (!question && !loading && ground === STUCK) {
    return (
      <Page title="Stuck">
        <StuckNow />
        <Action label="Add my own rig" onPress={() => router.navigate('/rigs/new')} />
      </Page>
    );
  }
  if (!question) {
    return (
      <NeedsRig
        title="Ground"
        loading={loading}
        why="A pressure needs a rig: its tire size and road pressure are enough."
      >
        <StuckNow />
      </NeedsRig>
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
  // Nobody knows their loads by heart: a rule of thumb that needs none, marked as one.
  const first = input.value.unweighed && plan.ok && !stuck ? firstNumbersOf(rig, tests, asked) : undefined;
  if (first?.ok) return <FirstPlan question={question} rigs={rigs} numbers={first.value} />;
  const canSet = plan.ok && plan.value.school !== null && !stuck;
  const way = plan.ok ? null : wayToMissing({ ...rig, loadCaseId: question.loadCase?.id ?? null }, plan.problem);

  return (
    <Page
      title="Ground"
      aside={asked.ground !== STUCK && <StuckButton rigId={rig.id} />}
      action={canSet && <LetOutOr question={question} onSet={() => setSetting(true)} />}
      result={
        plan.ok ? (
          <PlanResult plan={shownPlan(input.value, plan.value, units)} question={question} />
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
            {way && <Action label={`Correct it on ${rig.name}`} onPress={() => router.navigate(way)} />}
            {stuck && <StuckNow kind={family.kind} />}
          </Panel>
        )
      }
    >
      <Asking question={question} rigs={rigs} />
      {setting && plan.ok && (
        <SetPressures
          rig={rig}
          ground={plan.value.ground}
          planned={plan.value.axles.map((axle) => ({
            position: axle.position,
            pressureKpa: axleOnGauge(axle, units).startKpa,
          }))}
          against={(axle, kpa) => setPressureText(plan.value.axles[axle]!, kpa, units)}
          units={units}
          outing={outing}
          change={{
            modifiers: [...asked.modifiers],
            speedKmh: asked.speedKmh,
            ...(asked.loadCaseId && { loadCaseId: asked.loadCaseId }),
          }}
          backLabel="Back to the plan"
          onClose={() => setSetting(false)}
          onKept={() => router.navigate('/')}
        />
      )}
    </Page>
  );
}

/** Nothing can be worked out yet: what is missing, and where to put it in. Rig and ground can still be changed. */
function Waiting({ question, rigs, reason }: RigOnGroundProps & { readonly reason: NoPlan }) {
  const router = useRouter();
  const { rig, units, asked } = question;
  return (
    <Page
      title="Ground"
      aside={asked.ground !== STUCK && <StuckButton rigId={rig.id} />}
      result={
        <>
          <Panel title="No pressure yet">
            {reason.code === 'doubtfulRoad' ? (
              <DoubtfulRoad rig={rig} />
            ) : (
              <>
                <Text role="alert">{waitingText(reason, rig.family, units)}</Text>
                <Action
                  label={`Correct it on ${rig.name}`}
                  onPress={() =>
                    router.navigate(
                      wayToMissing({ ...rig, loadCaseId: question.loadCase?.id ?? null }, reason) ?? {
                        pathname: '/rigs/[id]',
                        params: { id: rig.id },
                      },
                    )
                  }
                />
              </>
            )}
          </Panel>
          {asked.ground === STUCK && <StuckNow kind={question.family.kind} />}
        </>
      }
    >
      <Asking question={question} rigs={rigs} />
    </Page>
  );
}
