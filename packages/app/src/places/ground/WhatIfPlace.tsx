import {
  contextsOf,
  planGround,
  standingDiameterMm,
  whatIf,
  type AxleContext,
  type AxlePlan,
  type GroundPlan,
  type WhatIf,
} from '@dunlinmoss/core';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { planInput } from '../../data/planInput';
import type { Units } from '../../data/preferences';
import { Action } from '../../pieces/Action';
import { Cautions } from '../../pieces/Cautions';
import { Choice } from '../../pieces/Choice';
import { Page } from '../../pieces/Page';
import { Panel } from '../../pieces/Panel';
import { Empty, Loading } from '../../pieces/States';
import { Text } from '../../pieces/Text';
import { Cut } from '../../pictures/Cut';
import { Familiar } from '../../pictures/Familiar';
import { Print } from '../../pictures/Print';
import { usePalette } from '../../theme/useLight';
import { useWide } from '../../theme/useWide';
import { AXLE_WORDS } from '../../words/axles';
import { COMPARED_WITH } from '../../words/families';
import { axleOnGauge, length, mass, onGauge, percent, pressure, pressureNumber, speed } from '../../words/format';
import { groundName } from '../../words/grounds';
import { LIMIT_WORDS, noPlanText } from '../../words/limits';
import { waitingText } from '../../words/noPlan';
import { DragStaff } from './DragStaff';
import { addressOf, useQuestion, type Question } from './useQuestion';

/** What if it stood at another pressure: drag the staff, and everything follows. */
export function WhatIfPlace() {
  const router = useRouter();
  const { question, loading } = useQuestion();
  if (!question) {
    return (
      <Page title="What if">
        {loading ? (
          <Loading />
        ) : (
          <Empty
            text="A pressure needs a rig: load, tires and placard."
            action={{ label: 'Describe a rig', onPress: () => router.navigate('/rigs/new') }}
          />
        )}
      </Page>
    );
  }
  return <OfQuestion question={question} />;
}

function OfQuestion({ question }: { readonly question: Question }) {
  const router = useRouter();
  const { rig, family, tests, asked, units } = question;
  const back = (): void => router.navigate({ pathname: '/ground', params: addressOf(question) });
  const input = planInput(rig, tests, asked);
  const plan = input.ok ? planGround(input.value) : undefined;
  const key = JSON.stringify([rig.id, rig.revision, asked]);
  // The rig and the day do not change while the staff is dragged.
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const contexts = useMemo(() => (input.ok ? contextsOf(input.value) : []), [key]);
  if (!plan?.ok) {
    return (
      <Page title="What if">
        <Panel title="No pressure yet">
          <Text role="alert">
            {plan
              ? noPlanText(plan.problem, family.kind, units)
              : waitingText(input.ok ? { code: 'noLoadCase' } : input.problem, rig.family, units)}
          </Text>
          <Action label="Back to the ground" onPress={back} />
        </Panel>
      </Page>
    );
  }
  return <Dragging key={key} question={question} plan={plan.value} contexts={contexts} onBack={back} />;
}

interface DraggingProps {
  readonly question: Question;
  readonly plan: GroundPlan;
  readonly contexts: readonly AxleContext[];
  readonly onBack: () => void;
}

function Dragging({ question, plan, contexts, onBack }: DraggingProps) {
  const { rig, units, asked } = question;
  const palette = usePalette();
  const wide = useWide();
  const [at, setAt] = useState(0);
  const axle = plan.axles[at]!;
  const context = contexts[at]!;
  const marks = axleOnGauge(axle, units);
  const [triedKpa, setTriedKpa] = useState(marks.startKpa);
  const [heldKpa, setHeldKpa] = useState<number | null>(null);
  const now = whatIf(context, axle, triedKpa);
  const held = heldKpa === null ? null : whatIf(context, axle, heldKpa);
  const turnTo = (index: number): void => {
    setAt(index);
    setTriedKpa(axleOnGauge(plan.axles[index]!, units).startKpa);
    setHeldKpa(null);
  };
  const past = now.limits.filter(({ insideKpa }) => insideKpa < -1e-6);

  const staff = (
    <Panel title="Drag the staff">
      <DragStaff
        axle={{ name: AXLE_WORDS[axle.position], ...marks, startKpa: triedKpa }}
        units={units}
        roadName={COMPARED_WITH[question.family.kind]}
        onChange={setTriedKpa}
      />
      <View style={styles.buttons}>
        <Action
          label={heldKpa === null ? 'Hold this beside' : 'Hold this instead'}
          onPress={() => setHeldKpa(triedKpa)}
        />
        <Action label="Back to the plan" onPress={() => setTriedKpa(marks.startKpa)} />
      </View>
    </Panel>
  );
  const pictures = (
    <View style={wide ? styles.side : styles.stack}>
      <Panel title="The cut" style={wide && styles.half}>
        {now.patch ? (
          <Cut wheel={wheelOf(context, now)!} held={held && wheelOf(context, held)} units={units} palette={palette} />
        ) : (
          <Text>Squeezed flat: no tire left to stand on.</Text>
        )}
      </Panel>
      <Panel title="The print" style={wide && styles.half}>
        {now.patch && (
          <Print
            axles={[
              {
                name: AXLE_WORDS[axle.position],
                start: { ...now.patch, pressureKpa: onGauge(triedKpa, units) },
                road: held ? held.patch : axle.atRoad,
              },
            ]}
            beside={held ? 'held' : COMPARED_WITH[question.family.kind]}
            units={units}
            palette={palette}
          />
        )}
      </Panel>
    </View>
  );
  return (
    <Page
      title="What if"
      result={
        <>
          <Panel>
            <View style={styles.numeral}>
              <Text as="numeral">{pressureNumber(triedKpa, units)}</Text>
              <Text as="strong">{`${units.pressure}, ${AXLE_WORDS[axle.position].toLowerCase()}, cold`}</Text>
            </View>
            {past.length > 0 ? (
              <Text as="strong" tone="rust" role="alert">
                {`Past ${past.map(({ code }) => LIMIT_WORDS[code].name).join(' and ')}: ${LIMIT_WORDS[past[0]!.code].voice}.`}
              </Text>
            ) : (
              <Text tone="moss">Inside every limit.</Text>
            )}
          </Panel>
          {!wide && staff}
          <Cautions plan={plan} severity="danger" />
          <Readings axle={axle} now={now} held={held} units={units} />
          {now.patch && (
            <Panel title="On the ground, beside others">
              <Familiar
                groundKpa={now.patch.groundPressureKpa}
                heldKpa={held?.patch?.groundPressureKpa ?? null}
                units={units}
                palette={palette}
              />
            </Panel>
          )}
          <Closeness now={now} units={units} />
          {pictures}
          {!wide && <Action label="Back to the ground" onPress={onBack} />}
        </>
      }
    >
      <Text tone="muted">{`${rig.name} · ${groundName(asked.ground)} · ${mass(axle.wheelLoadKg, units)} on the wheel`}</Text>
      {plan.axles.length > 1 && (
        <Choice
          label="Axle"
          value={String(at)}
          options={plan.axles.map(({ position }, index) => ({ code: String(index), name: AXLE_WORDS[position] }))}
          onChange={(index) => turnTo(Number(index))}
        />
      )}
      {wide && staff}
      {wide && <Action label="Back to the ground" onPress={onBack} />}
    </Page>
  );
}

const wheelOf = ({ build }: AxleContext, { patch }: WhatIf) =>
  patch && {
    outerDiameterMm: standingDiameterMm(build),
    rimDiameterMm: build.tire.rimDiameterMm,
    deflectionMm: patch.deflectionMm,
  };

interface ReadingsProps {
  readonly axle: AxlePlan;
  readonly now: WhatIf;
  readonly held: WhatIf | null;
  readonly units: Units;
}

/** What the tire does at this setting, beside the one that is held, else beside the road. */
function Readings({ axle, now, held, units }: ReadingsProps) {
  const palette = usePalette();
  const of = (what: WhatIf | null, read: (what: WhatIf) => string | null): string => (what ? (read(what) ?? '–') : '–');
  const patch = (read: (patch: NonNullable<WhatIf['patch']>) => string) => (what: WhatIf) =>
    what.patch && read(what.patch);
  const rows: readonly (readonly [string, (what: WhatIf) => string | null])[] = [
    ['Pressure, cold', ({ pressureKpa }) => pressure(pressureKpa, units)],
    ['Settles by', patch(({ deflectionMm }) => length(deflectionMm, units))],
    ['Share of its height', patch(({ deflectionShare }) => percent(deflectionShare))],
    ['Contact length', patch(({ lengthMm }) => length(lengthMm, units))],
    ['Print, outline', patch(({ grossAreaMm2 }) => `${Math.round(grossAreaMm2 / 100)} cm²`)],
    ['On the ground', patch(({ groundPressureKpa }) => pressure(groundPressureKpa, units))],
    [
      'Clearance lost',
      ({ clearanceLostMm }) => (clearanceLostMm === null ? null : length(Math.max(0, clearanceLostMm), units)),
    ],
    ['Load left', ({ loadLeftKg }) => (loadLeftKg === null ? null : mass(loadLeftKg, units))],
    ['Fastest here', ({ speedKmh }) => (speedKmh === null ? null : speed(Math.floor(speedKmh / 5) * 5))],
  ];
  const column = held ? 'Held' : 'Before';
  const road: WhatIf | null = axle.atRoad && {
    pressureKpa: axle.atRoad.pressureKpa,
    patch: axle.atRoad,
    clearanceLostMm: 0,
    speedKmh: null,
    loadLeftKg: null,
    limits: [],
  };
  return (
    <View
      role="table"
      aria-label="What the tire does"
      style={[styles.table, { backgroundColor: palette.card, borderColor: palette.line }]}
    >
      <View role="row" style={[styles.row, { borderColor: palette.ink }]}>
        <Text role="columnheader" as="label" style={styles.name}>
          {' '}
        </Text>
        <Text role="columnheader" as="label" tone="muted" style={styles.value}>
          {column}
        </Text>
        <Text role="columnheader" as="label" style={styles.value}>
          Now
        </Text>
      </View>
      {rows.map(([name, read]) => (
        <View key={name} role="row" style={[styles.row, { borderColor: palette.line }]}>
          <Text role="rowheader" as="small" style={styles.name}>
            {name}
          </Text>
          <Text role="cell" as="figure" tone="muted" style={styles.value}>
            {of(held ?? road, read)}
          </Text>
          <Text role="cell" as="figure" style={styles.value}>
            {of(now, read)}
          </Text>
        </View>
      ))}
    </View>
  );
}

/** How near each limit is: a bar that fills up as it comes near, and says so. */
function Closeness({ now, units }: { readonly now: WhatIf; readonly units: Units }) {
  const palette = usePalette();
  return (
    <Panel title="How near each limit is">
      {now.limits
        .filter(({ limitKpa }) => limitKpa > 0)
        .map(({ code, limitKpa, insideKpa }) => {
          const passed = insideKpa < -1e-6;
          // Full where the limit is reached, empty where it is as far again.
          const near = Math.max(0, Math.min(1, 1 - insideKpa / limitKpa));
          return (
            <View key={code} style={styles.limit}>
              <View style={styles.limitLine}>
                <Text as="small" style={styles.name}>{`${LIMIT_WORDS[code].name}, ${pressure(limitKpa, units)}`}</Text>
                <Text as="label" tone={passed ? 'rust' : 'ink'}>
                  {passed ? `past by ${pressure(-insideKpa, units)}` : `${pressure(insideKpa, units)} left`}
                </Text>
              </View>
              <View style={[styles.bar, { borderColor: palette.line }]}>
                <View
                  style={[
                    styles.fill,
                    { width: `${100 * near}%`, backgroundColor: passed ? palette.rust : palette.moss },
                  ]}
                />
              </View>
            </View>
          );
        })}
    </Panel>
  );
}

const styles = StyleSheet.create({
  numeral: { flexDirection: 'row', alignItems: 'baseline', gap: 6 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  table: { borderWidth: 1, borderRadius: 3, padding: 12 },
  row: { flexDirection: 'row', alignItems: 'baseline', borderBottomWidth: 1, paddingVertical: 4, gap: 8 },
  name: { flex: 1 },
  value: { width: 84, textAlign: 'right' },
  limit: { gap: 3 },
  limitLine: { flexDirection: 'row', alignItems: 'baseline', gap: 8 },
  bar: { height: 10, borderWidth: 1, borderRadius: 2 },
  fill: { height: '100%' },
  side: { flexDirection: 'row', gap: 14 },
  half: { flex: 1 },
  stack: { gap: 12 },
});
