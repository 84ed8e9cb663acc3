import { contextsOf, planGround, type AxleContext, type GroundPlan, type WhatIf } from '@dunlinmoss/core';
import { axleOnGauge, planInput } from '@dunlinmoss/domain';
import { useMemo, useState } from 'react';

import { createStore } from '../../settings/store';
import { Action } from '../../components/Action';
import { Cautions } from '../../components/Cautions';
import { Choice } from '../../components/Choice';
import { NeedsRig } from '../../components/NeedsRig';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { useWide } from '../../theme/useWide';
import { AXLE_WORDS } from '../../words/axles';
import { COMPARED_WITH } from '../../words/families';
import { mass, pressure } from '../../words/format';
import { groundName } from '../../words/grounds';
import { noPlanText } from '../../words/limits';
import { waitingText } from '../../words/noPlan';
import { addressOf, usePlanQuery, type PlanQuery } from '../../hooks/usePlanQuery';
import { useRouter } from '../../hooks/useRouter';
import { tryingOf, type Shown } from './whatIfValues';
import { StaffPanel, Standing } from './WhatIfStaff';
import { Following } from './WhatIfFollowers';

/** What if it stood at another pressure: drag the staff, and everything follows. */
export function WhatIfScreen() {
  const { question, loading } = usePlanQuery();
  if (!question)
    return <NeedsRig title="What if" loading={loading} why="A pressure needs a rig: load, tires and placard." />;
  return <OfQuestion question={question} />;
}

function OfQuestion({ question }: { readonly question: PlanQuery }) {
  const router = useRouter();
  const { rig, family, tests, asked, units } = question;
  const back = (): void => router.navigate({ pathname: '/ground', params: addressOf(question) });
  const key = JSON.stringify([rig.id, rig.revision, tests.map(({ id, revision }) => [id, revision]), asked]);
  // The rig and the day do not change while the staff is dragged, whatever else arrives meanwhile.
  const { input, plan, contexts } = useMemo(() => {
    const given = planInput(rig, tests, asked);
    return given.ok
      ? { input: given, plan: planGround(given.value), contexts: contextsOf(given.value) }
      : { input: given, plan: undefined, contexts: [] };
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  if (!plan?.ok) {
    return (
      <Page title="What if">
        <Panel title="No pressure yet">
          <Text role="alert">
            {plan
              ? noPlanText(plan.problem, family.kind, units)
              : input.ok
                ? ''
                : waitingText(input.problem, rig.family, units)}
          </Text>
          <Action label="Back to the ground" onPress={back} />
        </Panel>
      </Page>
    );
  }
  if (input.ok && input.value.unweighed) {
    return (
      <Page title="What if">
        <Panel title="No load yet">
          <Text role="alert">
            What the tire does at a pressure depends on what stands on it. Enter the whole weight first.
          </Text>
          <Action
            kind="main"
            label="Enter what it weighs"
            onPress={() =>
              router.navigate({
                pathname: '/rigs/[id]/load/[case]',
                params: { id: rig.id, case: 'new', ground: asked.ground },
              })
            }
          />
          <Action label="Back to the ground" onPress={back} />
        </Panel>
      </Page>
    );
  }
  return <OfAxles key={key} question={question} plan={plan.value} contexts={contexts} onBack={back} />;
}

interface OfAxlesProps {
  readonly question: PlanQuery;
  readonly plan: GroundPlan;
  readonly contexts: readonly AxleContext[];
  readonly onBack: () => void;
}

/** Which axle is tried; each begins at the plan's own pressure. */
function OfAxles({ question, plan, contexts, onBack }: OfAxlesProps) {
  const { rig, units, asked } = question;
  const wide = useWide();
  const [at, setAt] = useState(0);
  const axle = plan.axles[at]!;
  const context = contexts[at]!;
  const marks = useMemo(() => axleOnGauge(axle, units), [axle, units]);
  const trying = useMemo(() => tryingOf(context, axle, marks.startKpa), [context, axle, marks]);
  const held = useMemo(() => createStore<WhatIf | null>(null), []);
  const shown: Shown = { context, axle, units, trying, held, roadName: COMPARED_WITH[question.family.kind] };
  const staff = <StaffPanel {...shown} marks={marks} beside={!wide} />;
  const back = <Action label="Back to the ground" onPress={onBack} />;
  const knowsSpeed = trying.live.get().what().speedKmh !== null;
  const ofPlan = `At the plan’s ${pressure(marks.startKpa, units)}${knowsSpeed ? '; lower, go by Fastest here.' : ':'}`;
  return (
    <Page
      title="What if"
      result={
        <>
          <Standing {...shown} />
          {!wide && staff}
          <Cautions plan={plan} severity="danger" about={ofPlan} />
          <Following {...shown} />
          {!wide && back}
        </>
      }
    >
      <Text tone="muted">{`${rig.name} · ${groundName(asked.ground)} · ${mass(axle.wheelLoadKg, units)} on the wheel`}</Text>
      {plan.axles.length > 1 && (
        <Choice
          label="Axle"
          value={String(at)}
          options={plan.axles.map(({ position }, index) => ({ code: String(index), name: AXLE_WORDS[position] }))}
          onChange={(index) => {
            setAt(Number(index));
            held.set(null);
          }}
        />
      )}
      {wide && staff}
      {wide && back}
    </Page>
  );
}
