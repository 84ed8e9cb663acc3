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
import { axleOnGauge, onGauge, planInput } from '@dunlinmoss/domain';
import { useRouter } from 'expo-router';
import { memo, useDeferredValue, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';

import type { Units } from '../../settings/preferences';
import { createStore, type Store } from '../../settings/store';
import { Action } from '../../components/Action';
import { Cautions } from '../../components/Cautions';
import { Choice } from '../../components/Choice';
import { FixedBox } from '../../components/FixedBox';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Empty, Loading } from '../../components/States';
import { Text } from '../../components/Text';
import { WhileSeen } from '../../components/WhileSeen';
import { Cut } from '../../pictures/Cut';
import { Familiar } from '../../pictures/Familiar';
import { Print } from '../../pictures/Print';
import { usePalette } from '../../theme/useLight';
import { useWide } from '../../theme/useWide';
import { AXLE_WORDS } from '../../words/axles';
import { COMPARED_WITH } from '../../words/families';
import { length, mass, percent, pressure, pressureNumber, speed } from '../../words/format';
import { groundName } from '../../words/grounds';
import { isCeiling, LIMIT_WORDS, noPlanText } from '../../words/limits';
import { waitingText } from '../../words/noPlan';
import { DragStaff } from './DragStaff';
import { addressOf, usePlanQuery, type PlanQuery } from '../../hooks/usePlanQuery';

/** What if it stood at another pressure: drag the staff, and everything follows. */
export function WhatIfScreen() {
  const router = useRouter();
  const { question, loading } = usePlanQuery();
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

function OfQuestion({ question }: { readonly question: PlanQuery }) {
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
  // What is dragged lives in stores, so that a frame of dragging draws what follows it and nothing else.
  const tried = useMemo(() => createStore(marks.startKpa), [marks]);
  const held = useMemo(() => createStore<number | null>(null), []);
  const shown: Shown = { context, axle, units, tried, held, roadName: COMPARED_WITH[question.family.kind] };
  const staff = <StaffPanel {...shown} marks={marks} beside={!wide} />;
  const back = <Action label="Back to the ground" onPress={onBack} />;
  return (
    <Page
      title="What if"
      result={
        <>
          <Standing {...shown} />
          {!wide && staff}
          <Cautions plan={plan} severity="danger" />
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

interface Shown {
  readonly context: AxleContext;
  readonly axle: AxlePlan;
  readonly units: Units;
  /** The pressure under the finger, kPa. */
  readonly tried: Store<number>;
  /** The one that is held beside it, kPa. */
  readonly held: Store<number | null>;
  readonly roadName: string;
}

/** The number, and whether it is inside every limit. */
function Standing({ context, axle, units, tried }: Shown) {
  const triedKpa = tried.use();
  const past = whatIf(context, axle, triedKpa).limits.filter(({ insideKpa }) => insideKpa < -1e-6);
  return (
    <Verdict
      number={pressureNumber(triedKpa, units)}
      unit={`${units.pressure}, ${AXLE_WORDS[axle.position].toLowerCase()}, cold`}
      past={
        past.length === 0
          ? null
          : `Past ${past.map(({ code }) => LIMIT_WORDS[code].name).join(' and ')}: ${LIMIT_WORDS[past[0]!.code].voice}.`
      }
    />
  );
}

interface VerdictProps {
  readonly number: string;
  readonly unit: string;
  /** Which limits are passed; null inside all of them. */
  readonly past: string | null;
}

const Verdict = memo(function Verdict({ number, unit, past }: VerdictProps) {
  return (
    <Panel>
      <FixedBox height={NUMERAL_HEIGHT}>
        <View style={styles.numeral}>
          <Text as="numeral">{number}</Text>
          <Text as="strong">{unit}</Text>
        </View>
      </FixedBox>
      {past === null ? (
        <Text tone="moss">Inside every limit.</Text>
      ) : (
        <Text as="strong" tone="rust" role="alert">
          {past}
        </Text>
      )}
    </Panel>
  );
});

type Marks = ReturnType<typeof axleOnGauge>;

/** The staff under the finger; on a phone what it comes to stands right beside it. */
function StaffPanel({ marks, beside, ...shown }: Shown & { readonly marks: Marks; readonly beside: boolean }) {
  const { axle, units, tried, held, roadName } = shown;
  return (
    <Panel title="Drag the staff">
      <View style={beside && styles.beside}>
        <View style={beside && styles.staff}>
          <Dragged axle={axle} marks={marks} tried={tried} units={units} roadName={roadName} />
        </View>
        {beside && <Beside {...shown} />}
      </View>
      <View style={styles.buttons}>
        <Action label="Hold this beside" onPress={() => held.set(tried.get())} />
        <Action label="Back to the plan" onPress={() => tried.set(marks.startKpa)} />
      </View>
    </Panel>
  );
}

/** The figures that matter most, one below the other, the held one behind. */
function Beside({ tried, held, ...shown }: Shown) {
  const triedKpa = useDeferredValue(tried.use());
  return <Figures triedKpa={triedKpa} heldKpa={held.use()} {...shown} />;
}

const Figures = memo(function Figures({ context, axle, units, triedKpa, heldKpa }: FollowersProps) {
  const now = whatIf(context, axle, triedKpa);
  const other = heldKpa === null ? null : whatIf(context, axle, heldKpa);
  return (
    <View style={styles.figures}>
      {readingsIn(units)
        .filter(({ name }) => BESIDE.has(name))
        .map(({ name, read }) => (
          <Figure key={name} name={name} text={`${read(now) ?? '–'}${other ? ` (${read(other) ?? '–'})` : ''}`} />
        ))}
    </View>
  );
});

const Figure = memo(function Figure({ name, text }: { readonly name: string; readonly text: string }) {
  return (
    <FixedBox width={FIGURE.width} height={FIGURE.height}>
      <View>
        <Text as="small" tone="muted">
          {name}
        </Text>
        <Text as="figure">{text}</Text>
      </View>
    </FixedBox>
  );
});

const BESIDE: ReadonlySet<string> = new Set([
  'Settles by',
  'Contact length',
  'On the ground',
  'Clearance lost',
  'Load left',
  'Fastest here',
]);

const Dragged = ({
  axle,
  marks,
  tried,
  units,
  roadName,
}: Pick<Shown, 'axle' | 'tried' | 'units' | 'roadName'> & { readonly marks: Marks }) => (
  <DragStaff
    axle={{ name: AXLE_WORDS[axle.position], ...marks, startKpa: tried.use() }}
    units={units}
    roadName={roadName}
    onChange={tried.set}
  />
);

/** All that follows the staff: drawn after it, and given up for the next place of the finger where there is no time. */
function Following({ tried, held, ...shown }: Shown) {
  const triedKpa = useDeferredValue(tried.use());
  return <Followers triedKpa={triedKpa} heldKpa={held.use()} {...shown} />;
}

interface FollowersProps extends Omit<Shown, 'tried' | 'held'> {
  readonly triedKpa: number;
  readonly heldKpa: number | null;
}

const Followers = memo(function Followers({ context, axle, units, roadName, triedKpa, heldKpa }: FollowersProps) {
  const palette = usePalette();
  const wide = useWide();
  const now = whatIf(context, axle, triedKpa);
  const held = heldKpa === null ? null : whatIf(context, axle, heldKpa);
  return (
    <>
      <WhileSeen>
        <Readings axle={axle} now={now} held={held} units={units} />
      </WhileSeen>
      <WhileSeen>
        <Closeness now={now} units={units} />
      </WhileSeen>
      {now.patch && (
        <WhileSeen>
          <Panel title="On the ground, beside others">
            <Familiar
              groundKpa={now.patch.groundPressureKpa}
              heldKpa={held?.patch?.groundPressureKpa ?? null}
              units={units}
              palette={palette}
            />
          </Panel>
        </WhileSeen>
      )}
      <View style={wide ? styles.side : styles.stack}>
        <View style={wide && styles.half}>
          <WhileSeen>
            <Panel title="The cut">
              {now.patch ? (
                <Cut
                  wheel={wheelOf(context, now)!}
                  held={held && wheelOf(context, held)}
                  units={units}
                  palette={palette}
                />
              ) : (
                <Text>Squeezed flat: no tire left to stand on.</Text>
              )}
            </Panel>
          </WhileSeen>
        </View>
        <View style={wide && styles.half}>
          <WhileSeen>
            <Panel title="The print">
              {now.patch && (
                <Print
                  axles={[
                    {
                      name: AXLE_WORDS[axle.position],
                      start: { ...now.patch, pressureKpa: onGauge(triedKpa, units) },
                      road: held ? held.patch : axle.atRoad,
                    },
                  ]}
                  beside={held ? 'held' : roadName}
                  units={units}
                  palette={palette}
                />
              )}
            </Panel>
          </WhileSeen>
        </View>
      </View>
    </>
  );
});

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

interface Reading {
  readonly name: string;
  /** Null where there is nothing to read. */
  readonly read: (what: WhatIf) => string | null;
}

const readingsIn = (units: Units): readonly Reading[] => {
  const ofPatch =
    (read: (patch: NonNullable<WhatIf['patch']>) => string): Reading['read'] =>
    ({ patch }) =>
      patch && read(patch);
  return [
    { name: 'Pressure, cold', read: ({ pressureKpa }) => pressure(pressureKpa, units) },
    { name: 'Settles by', read: ofPatch(({ deflectionMm }) => length(deflectionMm, units)) },
    { name: 'Share of its height', read: ofPatch(({ deflectionShare }) => percent(deflectionShare)) },
    { name: 'Contact length', read: ofPatch(({ lengthMm }) => length(lengthMm, units)) },
    { name: 'Print, outline', read: ofPatch(({ grossAreaMm2 }) => `${Math.round(grossAreaMm2 / 100)} cm²`) },
    { name: 'On the ground', read: ofPatch(({ groundPressureKpa }) => pressure(groundPressureKpa, units)) },
    {
      name: 'Clearance lost',
      read: ({ clearanceLostMm }) => (clearanceLostMm === null ? null : length(Math.max(0, clearanceLostMm), units)),
    },
    { name: 'Load left', read: ({ loadLeftKg }) => (loadLeftKg === null ? null : mass(loadLeftKg, units)) },
    {
      name: 'Fastest here',
      read: ({ speedKmh }) => (speedKmh === null ? null : speed(Math.floor(speedKmh / 5) * 5)),
    },
  ];
};

/** What the tire does at this setting, beside the one that is held, else beside the road. */
function Readings({ axle, now, held, units }: ReadingsProps) {
  const palette = usePalette();
  const of = (what: WhatIf | null, read: Reading['read']): string => (what ? (read(what) ?? '–') : '–');
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
      {readingsIn(units).map(({ name, read }) => (
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
                <Text as="small" style={styles.name}>
                  {`${LIMIT_WORDS[code].name}, ${pressure(onGauge(limitKpa, units, isCeiling(code) ? 'down' : 'up'), units)}`}
                </Text>
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

/** Of a line of large numerals; of a figure with its name above. px. */
const NUMERAL_HEIGHT = 56;
const FIGURE = { width: 116, height: 46 };

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
  beside: { flexDirection: 'row', gap: 8, alignItems: 'center' },
  staff: { flex: 1, minWidth: 0 },
  figures: { width: FIGURE.width, gap: 4 },
});
