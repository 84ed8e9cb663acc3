import { contextsOf, planGround, type AxleContext, type GroundPlan } from '@dunlinmoss/core';
import {
  axleOnGauge,
  gaugeStepKpa,
  measuredPoints,
  ownTireOf,
  planInput,
  printChange,
  printCurve,
  type PrintMeasure,
} from '@dunlinmoss/domain';
import { useState } from 'react';

import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { NeedsRig } from '../../components/NeedsRig';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { QuantityField } from '../../components/QuantityField';
import { canonicalOf, EMPTY_QUANTITY } from '../../components/quantityText';
import { Text } from '../../components/Text';
import { PrintCurve } from '../../pictures/PrintCurve';
import { usePalette } from '../../theme/useLight';
import { AXLE_WORDS } from '../../words/axles';
import { COMPARED_WITH } from '../../words/families';
import { mass, percent, pressure } from '../../words/format';
import { groundName } from '../../words/grounds';
import { remarkText } from '../../words/remarks';
import { addressOf, usePlanQuery, type PlanQuery } from '../../hooks/usePlanQuery';
import { useRouter } from '../../hooks/useRouter';

/** What each step of pressure buys in footprint on this wheel. */
export function CurveScreen() {
  const { question, loading } = usePlanQuery();
  const router = useRouter();
  if (!question) return <NeedsRig title="What the next step buys" loading={loading} why="A footprint needs a rig." />;
  const back = (): void => router.navigate({ pathname: '/ground', params: addressOf(question) });
  const input = planInput(question.rig, question.tests, question.asked);
  const plan = input.ok ? planGround(input.value) : undefined;
  if (!input.ok || !plan?.ok || input.value.unweighed) {
    return (
      <Page title="What the next step buys">
        <Panel>
          <Text>A footprint over pressure needs a load and a pressure for this ground first.</Text>
          <Action label="Back to the ground" onPress={back} />
        </Panel>
      </Page>
    );
  }
  return <OfAxles question={question} plan={plan.value} contexts={contextsOf(input.value)} onBack={back} />;
}

const MEASURES: readonly {
  readonly code: PrintMeasure;
  readonly name: string;
  readonly quantity: 'area' | 'length' | 'pressure';
}[] = [
  { code: 'grossAreaMm2', name: 'Area', quantity: 'area' },
  { code: 'lengthMm', name: 'Length', quantity: 'length' },
  { code: 'widthMm', name: 'Width', quantity: 'length' },
  { code: 'groundPressureKpa', name: 'On the ground', quantity: 'pressure' },
];

interface OfAxlesProps {
  readonly question: PlanQuery;
  readonly plan: GroundPlan;
  readonly contexts: readonly AxleContext[];
  readonly onBack: () => void;
}

function OfAxles({ question, plan, contexts, onBack }: OfAxlesProps) {
  const palette = usePalette();
  const { rig, tests, asked, units, family } = question;
  const [at, setAt] = useState(0);
  const [code, setMeasure] = useState<PrintMeasure>('grossAreaMm2');
  const [against, setAgainst] = useState(EMPTY_QUANTITY);
  const { quantity } = MEASURES.find((each) => each.code === code)!;
  const axle = plan.axles[at]!;
  const context = contexts[at]!;
  const { startKpa, floorKpa, roadKpa } = axleOnGauge(axle, units);
  const stepKpa = 2 * gaugeStepKpa(units);
  const firm = Math.max(roadKpa ?? 0, startKpa * 1.3);
  const soft = Math.max(gaugeStepKpa(units), Math.min(floorKpa, startKpa) - 2 * stepKpa);
  const own = ownTireOf(rig.axles[at]!, tests, rig.family);
  const measured = measuredPoints(own?.observations ?? [], code, context.wheelLoadKg);
  const marks = [
    ...(floorKpa > soft ? [{ name: 'floor', pressureKpa: floorKpa }] : []),
    { name: 'here', pressureKpa: startKpa, isHere: true },
    ...(roadKpa !== null && roadKpa > startKpa + gaugeStepKpa(units)
      ? [{ name: COMPARED_WITH[family.kind], pressureKpa: roadKpa }]
      : []),
  ];
  const stiff = axle.remarks.find((remark) => remark.code === 'gainsLess');
  const chosenKpa = against.text.trim() === '' ? undefined : canonicalOf('pressure', against);
  return (
    <Page
      title="What the next step buys"
      result={
        <>
          <Panel title={`${MEASURES.find((each) => each.code === code)!.name} over pressure`}>
            <Text as="strong">{nextText(context, code, startKpa, stepKpa, units)}</Text>
            <PrintCurve
              curve={printCurve(context, soft, firm).map((patch) => ({
                pressureKpa: patch.pressureKpa,
                value: patch[code],
              }))}
              quantity={quantity}
              marks={marks}
              measured={measured}
              units={units}
              palette={palette}
            />
            {measured.length > 0 && (
              <Text as="small" tone="muted">
                Rings: your own prints and tapes at about this load.
              </Text>
            )}
          </Panel>
          <Panel title="In per cent">
            {(
              [
                ...(roadKpa === null ? [] : [[COMPARED_WITH[family.kind], roadKpa] as const]),
                ...(chosenKpa === undefined || chosenKpa > 2000 ? [] : [['as you asked', chosenKpa] as const]),
              ] as const
            ).map(([name, kpa]) => (
              <Text
                key={name}
              >{`${pressure(startKpa, units)} against ${pressure(kpa, units)} (${name}): ${changesText(context, kpa, startKpa)}.`}</Text>
            ))}
            <QuantityField
              label="Against another pressure"
              quantity="pressure"
              value={against}
              onChange={setAgainst}
              problem={
                against.text.trim() !== '' && chosenKpa === undefined ? 'Expected a number, like 20.' : undefined
              }
            />
            {stiff && <Text tone="rust">{remarkText(stiff, family.kind, units)}</Text>}
          </Panel>
          <Action label="Back to the ground" onPress={onBack} />
        </>
      }
    >
      <Text tone="muted">{`${rig.name} · ${groundName(asked.ground)} · ${mass(context.wheelLoadKg, units)} on the wheel`}</Text>
      {plan.axles.length > 1 && (
        <Choice
          label="Axle"
          value={String(at)}
          options={plan.axles.map(({ position }, index) => ({ code: String(index), name: AXLE_WORDS[position] }))}
          onChange={(index) => setAt(Number(index))}
        />
      )}
      <Choice label="Of the footprint" value={code} options={MEASURES} onChange={setMeasure} />
    </Page>
  );
}

const signed = (share: number): string => `${share < 0 ? '−' : '+'}${percent(Math.abs(share))}`;

/** `The next 2 psi buy 6 %: from 16 to 14 psi.` */
function nextText(
  context: AxleContext,
  measure: PrintMeasure,
  fromKpa: number,
  stepKpa: number,
  units: PlanQuery['units'],
): string {
  const change = fromKpa > stepKpa ? printChange(context, measure, fromKpa, fromKpa - stepKpa) : null;
  if (change === null) return 'There is no further step down from here.';
  const step = `${pressure(stepKpa, units)}, to ${pressure(fromKpa - stepKpa, units)}`;
  return measure === 'groundPressureKpa'
    ? `The next ${step}: ${signed(change)} on the ground.`
    : `The next ${step}, buy ${signed(change)}.`;
}

/** Area, length and what stands on the ground at one pressure against another. */
const changesText = (context: AxleContext, fromKpa: number, toKpa: number): string =>
  (
    [
      ['area', 'grossAreaMm2'],
      ['length', 'lengthMm'],
      ['on the ground', 'groundPressureKpa'],
    ] as const
  )
    .flatMap(([name, measure]) => {
      const change = printChange(context, measure, fromKpa, toKpa);
      return change === null ? [] : [`${name} ${signed(change)}`];
    })
    .join(', ') || 'a wheel that lies flat is not compared';
