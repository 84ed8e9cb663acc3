import {
  contextsOf,
  planGround,
  whatIf,
  type AxleContext,
  type AxlePlan,
  type GroundPlan,
  type WhatIf,
} from '@dunlinmoss/core';
import { axleOnGauge, planInput } from '@dunlinmoss/domain';
import { useDeferredValue, useMemo, useState, type ReactNode } from 'react';

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
import { WhatIfResult } from './WhatIfResult';
import { StaffPanel, Verdict } from './WhatIfStaff';

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
export function OfAxles({ question, plan, contexts, onBack }: OfAxlesProps) {
  const [at, setAt] = useState(0);
  return (
    <OfAxle
      key={at}
      question={question}
      plan={plan}
      axle={plan.axles[at]!}
      context={contexts[at]!}
      onBack={onBack}
      choice={
        plan.axles.length > 1 && (
          <Choice
            label="Axle"
            value={String(at)}
            options={plan.axles.map(({ position }, index) => ({ code: String(index), name: AXLE_WORDS[position] }))}
            onChange={(index) => setAt(Number(index))}
          />
        )
      }
    />
  );
}

interface OfAxleProps extends Omit<OfAxlesProps, 'contexts'> {
  readonly axle: AxlePlan;
  readonly context: AxleContext;
  /** Of another axle. */
  readonly choice: ReactNode;
}

function OfAxle({ question, plan, axle, context, choice, onBack }: OfAxleProps) {
  const { rig, units, asked } = question;
  const wide = useWide();
  const marks = useMemo(() => axleOnGauge(axle, units), [axle, units]);
  const [triedKpa, setTriedKpa] = useState(marks.startKpa);
  const [kept, setKept] = useState<WhatIf | null>(null);
  const now = useMemo(() => whatIf(context, axle, triedKpa), [context, axle, triedKpa]);
  // The staff follows the finger first; what takes longer to draw follows as it can.
  const shown = useDeferredValue(now);
  const roadName = COMPARED_WITH[question.family.kind];
  const tried = { context, axle, units, now, kept, roadName };
  const staff = (
    <StaffPanel tried={tried} marks={marks} beside={!wide} onTry={setTriedKpa} onKeep={() => setKept(now)} />
  );
  const back = <Action label="Back to the ground" onPress={onBack} />;
  const ofPlan = `At the plan’s ${pressure(marks.startKpa, units)}${now.speedKmh === null ? ':' : '; lower, go by Fastest here.'}`;
  return (
    <Page
      title="What if"
      result={
        <>
          <Verdict axle={axle} now={now} units={units} />
          {!wide && staff}
          <Cautions plan={plan} severity="danger" about={ofPlan} />
          <WhatIfResult {...tried} now={shown} />
          {!wide && back}
        </>
      }
    >
      <Text tone="muted">{`${rig.name} · ${groundName(asked.ground)} · ${mass(axle.wheelLoadKg, units)} on the wheel`}</Text>
      {choice}
      {wide && staff}
      {wide && back}
    </Page>
  );
}
