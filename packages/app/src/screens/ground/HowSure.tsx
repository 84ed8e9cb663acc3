import { rigLoads } from '@dunlinmoss/contract';
import {
  familyOf,
  MODEL_SPREADS,
  type GroundPlan,
  type Margin,
  type MarginInput,
  type Standing,
} from '@dunlinmoss/core';
import { DRAWS, gaugeErrorKpa, LOAD_SHARE, marginInputs, planInput, TEMP_C } from '@dunlinmoss/domain';
import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';

import { useGauges } from '../../data/gauges';
import type { Units } from '../../settings/preferences';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { Progress } from '../../components/Progress';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { AXLE_WORDS } from '../../words/axles';
import { countText, ofHundred, percent, pressureFine, pressureRange } from '../../words/format';
import { STANDING_SHORT } from '../../words/loads';
import { startMargin, type MarginJob } from '../../workers/marginWork';
import type { PlanQuery } from '../../hooks/usePlanQuery';

interface HowSureProps {
  readonly question: PlanQuery;
  readonly plan: GroundPlan;
}

/** How sure the numbers are, with what is known of load, gauge, warmth and width: drawn only when somebody asks. */
export const HowSure = (props: HowSureProps) => (
  <Unfold label="How sure is that?">
    <Asked {...props} />
  </Unfold>
);

const UNKNOWN = 'unknown';

function Asked({ question, plan }: HowSureProps) {
  const { rig, tests, asked, loadCase, units } = question;
  const gauges = useGauges();
  const [gaugeId, setGaugeId] = useState(UNKNOWN);
  const gaugeKpa = gaugeErrorKpa(
    gauges.find(({ id }) => id === gaugeId),
    plan,
    units,
  );
  const input = planInput(rig, tests, asked);
  const loads = loadCase && rigLoads(rig, loadCase);
  if (!input.ok || !loads?.ok) return null;
  const standings = loads.value.axles.map(({ standing }) => standing);
  const plusMinus = (kpa: number): string => `± ${pressureFine(kpa, units)}`;
  return (
    <>
      {gauges.length > 0 && (
        <Choice
          label="Read with"
          layout="list"
          value={gaugeId}
          options={[
            {
              code: UNKNOWN,
              name: 'A gauge nobody graded',
              note: `taken as ${plusMinus(gaugeErrorKpa(undefined, plan, units))}`,
            },
            ...gauges.map((gauge) => ({
              code: gauge.id,
              name: gauge.name,
              note: `${plusMinus(gaugeErrorKpa(gauge, plan, units))} here`,
            })),
          ]}
          onChange={setGaugeId}
        />
      )}
      <Draws
        // Another question is drawn anew.
        key={JSON.stringify([rig.id, rig.revision, asked, gaugeKpa, units])}
        inputs={marginInputs({ input: input.value, plan, standings, gaugeKpa, units })}
        plan={plan}
        units={units}
      />
      <Text as="small" tone="muted">
        {`Taken as: load ${loadText(standings)}; gauge ${plusMinus(gaugeKpa)}; warmth ± ${TEMP_C} °C; width ${
          rig.axles.some(({ measuredWidthMm }) => measuredWidthMm !== null)
            ? 'as measured ± 0.5 %'
            : 'of the marking ± 2 %'
        }; ${MODEL_TEXT[familyOf(rig.family).kind === 'bicycle' ? 'drop' : 'stiffness']}. Our assumptions. ${countText(DRAWS)} draws an axle.`}
      </Text>
    </>
  );
}

/** How far the model of a tire may be off: that of a bicycle's by its drop, that of any other by its stiffness. */
const MODEL_TEXT = {
  stiffness: `carcass ± ${percent(MODEL_SPREADS.carcass)} unless your tests say, stiffness formula ± ${percent(MODEL_SPREADS.formula)} (fitted at 22 to 44 psi, 150 to 300 kPa; below that its constant is half the answer)`,
  drop: `drop ± ${percent(MODEL_SPREADS.drop)} unless your tests say`,
} as const;

/** `weighed ± 2 %`, once where all axles are known alike. */
const loadText = (standings: readonly Standing[]): string =>
  [...new Set(standings.map((standing) => `${STANDING_SHORT[standing]} ± ${percent(LOAD_SHARE[standing])}`))].join(
    ', ',
  );

interface DrawsProps {
  readonly inputs: readonly MarginInput[];
  readonly plan: GroundPlan;
  readonly units: Units;
}

type DrawState =
  | { readonly at: 'drawing'; readonly share: number }
  | { readonly at: 'stopped' }
  | { readonly at: 'done'; readonly margins: readonly Margin[] };

/** The draws themselves, in a worker, begun as soon as they are shown and stopped when they no longer are. */
function Draws({ inputs, plan, units }: DrawsProps) {
  const [state, setState] = useState<DrawState>({ at: 'drawing', share: 0 });
  const job = useRef<MarginJob>(null);
  useEffect(() => {
    // Progress comes on another way than the answer, and may come after it.
    const started = startMargin(inputs, (share) =>
      setState((old) => (old.at === 'drawing' ? { at: 'drawing', share } : old)),
    );
    job.current = started;
    started.result.then(
      (margins) => setState({ at: 'done', margins }),
      () => setState({ at: 'stopped' }),
    );
    return started.cancel;
    // Begun once: what is drawn is in the key of this part of the screen.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);

  switch (state.at) {
    case 'drawing':
      return (
        <>
          <Progress label="Drawing" done={Math.round(state.share * DRAWS)} total={DRAWS} />
          <Action
            label="Stop drawing"
            onPress={() => {
              job.current?.cancel();
              setState({ at: 'stopped' });
            }}
          />
        </>
      );
    case 'stopped':
      return <Text role="alert">Not drawn. The numbers above stand as they are.</Text>;
    case 'done':
      return plan.axles.map(({ position }, index) => (
        <View key={position} role="group" aria-label={`How sure, ${AXLE_WORDS[position].toLowerCase()}`}>
          <Text as="strong">{AXLE_WORDS[position]}</Text>
          <Text>{marginText(state.margins[index]!, units)}</Text>
        </View>
      ));
  }
}

/** `Likely 15–18 psi in the tire. Its true load and tire would ask for 14–17 psi. The floor is not crossed in 98 of 100.` */
function marginText({ inTire, wanted, belowFloor, aboveCeiling }: Margin, units: Units): string {
  return [
    `Likely ${pressureRange(inTire.lowKpa, inTire.highKpa, units)} in the tire.`,
    ...(wanted ? [`Its true load and tire would ask for ${pressureRange(wanted.lowKpa, wanted.highKpa, units)}.`] : []),
    `The floor is not crossed in ${ofHundred(belowFloor)}${aboveCeiling > 0 ? `, the ceiling in ${ofHundred(aboveCeiling)}` : ''}.`,
  ].join(' ');
}
