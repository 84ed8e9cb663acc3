import { contextsOf, groundOf, planGround, type AxleContext, type GroundPlan } from '@dunlinmoss/core';
import { axleOnGauge, leastFor, onGauge, ownStrength, planInput } from '@dunlinmoss/domain';
import { useDeferredValue, useState } from 'react';

import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { NeedsRig } from '../../components/NeedsRig';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Slider } from '../../components/Slider';
import { Text } from '../../components/Text';
import { AXLE_WORDS } from '../../words/axles';
import { dayCount } from '../../words/depth';
import { length, mass, pressure } from '../../words/format';
import { groundName } from '../../words/grounds';
import { addressOf, usePlanQuery, type PlanQuery } from '../../hooks/usePlanQuery';
import { useRouter } from '../../hooks/useRouter';
import { Answer, BulbPanel } from './DepthAnswer';
import { DepthFields } from './DepthFields';
import { AS_IT_STANDS, asTried, fieldStore, useConeStore, type Dragged, type Work } from './depthWork';

/** How deep a machine presses into a field, and what helps. */
export function DepthScreen() {
  const { question, loading } = usePlanQuery();
  const router = useRouter();
  if (!question)
    return <NeedsRig title="How deep it presses" loading={loading} why="It needs a machine and its load." />;
  const back = (): void => router.navigate({ pathname: '/ground', params: addressOf(question) });
  const input = planInput(question.rig, question.tests, question.asked);
  const plan = input.ok ? planGround(input.value) : undefined;
  // Sand and rock bear otherwise than soil does.
  const onField = groundOf(question.asked.ground).traits.some((trait) => trait === 'field');
  if (!onField || !input.ok || !plan?.ok) {
    return (
      <Page title="How deep it presses">
        <Panel>
          <Text>
            {onField
              ? 'It needs a load and a pressure for this ground first.'
              : 'It is for fields: choose one on Ground.'}
          </Text>
          <Action label="Back to the ground" onPress={back} />
        </Panel>
      </Page>
    );
  }
  return (
    <OfField
      key={question.rig.id}
      question={question}
      plan={plan.value}
      contexts={contextsOf(input.value)}
      onBack={back}
    />
  );
}

/** How far load and width are dragged from what they are, as a share. */
const DRAG = { load: [0.2, 1.3], width: [0.8, 1.6] } as const;
const MOST_DAYS = 14;

interface OfFieldProps {
  readonly question: PlanQuery;
  readonly plan: GroundPlan;
  readonly contexts: readonly AxleContext[];
  readonly onBack: () => void;
}

function OfField({ question, plan, contexts, onBack }: OfFieldProps) {
  const { rig, tests, asked, units } = question;
  const field = fieldStore.use();
  const takesCone = useConeStore.use();
  const heaviest = contexts.reduce(
    (best, { wheelLoadKg }, index) => (wheelLoadKg > contexts[best]!.wheelLoadKg ? index : best),
    0,
  );
  const [at, setAt] = useState(heaviest);
  const context = contexts[at]!;
  const { startKpa, roadKpa } = axleOnGauge(plan.axles[at]!, units);
  const [dragged, setDragged] = useState<Dragged>(AS_IT_STANDS);
  const cone = ownStrength(rig, tests, contexts, field);
  const work: Work = {
    question,
    plan,
    contexts,
    at,
    dragged,
    field,
    cone: takesCone ? cone : undefined,
    rootsToMm: cone?.rootsToMm ?? null,
  };
  const { pressureKpa, axle } = asTried(work);
  const least = leastFor(context)(axle.tire.loadKg);
  const highKpa = Math.max(roadKpa ?? 0, startKpa) * 1.2;
  // The sliders first: picture and words follow as they can.
  const settled = useDeferredValue(work);
  const isDragged = dragged.pressureKpa !== null || dragged.load !== 1 || dragged.width !== 1;

  return (
    <Page
      title="How deep it presses"
      result={
        <>
          <Panel title={`Below a ${AXLE_WORDS[context.axle.position].toLowerCase()} tire`}>
            <BulbPanel work={settled} />
            <Text as="small" tone="muted">
              Shaded where it may give way for good, hatched where that is likely.
            </Text>
            <Slider
              label="Pressure"
              shown={pressure(onGauge(pressureKpa, units), units)}
              value={pressureKpa}
              min={Math.min(40, startKpa)}
              max={highKpa}
              step={1}
              onChange={(kpa) => setDragged({ ...dragged, pressureKpa: kpa })}
            />
            {least !== null && pressureKpa < least - 1 && (
              <Text as="small" tone="rust" role="alert">
                {`Under this load the tire and its limits allow ${pressure(onGauge(least, units), units)} at the least.`}
              </Text>
            )}
            {least === null && (
              <Text as="small" tone="muted">
                What this tire carries at a lower pressure is not known, or this load is past it: the numbers of Ground
                hold.
              </Text>
            )}
            <Slider
              label="Load on the tire"
              shown={mass(axle.tire.loadKg, units)}
              value={dragged.load}
              min={DRAG.load[0]}
              max={DRAG.load[1]}
              step={0.02}
              onChange={(load) => setDragged({ ...dragged, load })}
            />
            <Slider
              label="Width"
              shown={length(1000 * axle.tire.widthM, units)}
              value={dragged.width}
              min={DRAG.width[0]}
              max={DRAG.width[1]}
              step={0.02}
              onChange={(width) => setDragged({ ...dragged, width })}
            />
            <Slider
              label="Since rain"
              shown={dayCount(field.daysSinceRain)}
              value={field.daysSinceRain}
              min={0}
              max={MOST_DAYS}
              step={1}
              onChange={(daysSinceRain) => fieldStore.set({ ...field, daysSinceRain })}
            />
            {isDragged && <Action label="As it stands" onPress={() => setDragged(AS_IT_STANDS)} />}
          </Panel>
          <Answer work={settled} />
          <Action label="Back to the ground" onPress={onBack} />
        </>
      }
    >
      <Text tone="muted">{`${rig.name} · ${groundName(asked.ground)}`}</Text>
      {plan.axles.length > 1 && (
        <Choice
          label="Axle"
          value={String(at)}
          options={plan.axles.map(({ position }, index) => ({ code: String(index), name: AXLE_WORDS[position] }))}
          onChange={(index) => {
            setAt(Number(index));
            setDragged(AS_IT_STANDS);
          }}
        />
      )}
      <DepthFields cone={cone} units={units} />
    </Page>
  );
}
