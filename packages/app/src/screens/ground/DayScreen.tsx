import { familyOf, groundsFor, type Compromise, type GroundCode, type OnePressure, STUCK } from '@dunlinmoss/core';
import { axleOnGauge, type DayLeg, MINUTES_A_STOP, onGauge, USUAL_DAY, workOutDay } from '@dunlinmoss/domain';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { readDraft, writeDraft } from '../../data/drafts';
import type { Units } from '../../settings/preferences';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { NumberField } from '../../components/NumberField';
import { Numerals } from '../../components/Numerals';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Press } from '../../components/Press';
import { Empty, Loading } from '../../components/States';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { Minus, Plus } from '../../theme/icons';
import { usePalette } from '../../theme/useLight';
import { AXLE_WORDS } from '../../words/axles';
import { parseNumber } from '../../settings/typedNumber';
import { GROUND_WORDS, groundName } from '../../words/grounds';
import { noPlanText } from '../../words/limits';
import { waitingText } from '../../words/noPlan';
import { heldAtText, legText, stopsText } from '../../words/oneDay';
import { addressOf, usePlanQuery, type PlanQuery } from '../../hooks/usePlanQuery';

/** One pressure or two: a day of several grounds, the best single compromise against stopping to change. */
export function DayScreen() {
  const router = useRouter();
  const { question, loading } = usePlanQuery();
  if (!question) {
    return (
      <Page title="One pressure or two?">
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
  return <OneDay key={question.rig.id} question={question} />;
}

interface Typed {
  readonly legs: readonly DayLeg[];
  readonly minutes: string;
}

const MOST_LEGS = 8;

function OneDay({ question }: { readonly question: PlanQuery }) {
  const router = useRouter();
  const { rig, family, tests, units } = question;
  const { kind } = family;
  const draft = `day:${rig.id}`;
  const [typed, setTyped] = useState<Typed>(
    () => readDraft<Typed>(draft) ?? { legs: USUAL_DAY[kind], minutes: String(MINUTES_A_STOP[kind]) },
  );
  const change = (part: Partial<Typed>): void => {
    const next = { ...typed, ...part };
    setTyped(next);
    writeDraft(draft, next);
  };
  const { legs } = typed;
  const minutes = parseNumber(typed.minutes);
  const wrong = minutes === undefined || minutes < 0 || minutes > 600;
  const result = workOutDay(rig, tests, legs);
  const setLeg = (index: number, part: Partial<DayLeg>): void =>
    change({ legs: legs.with(index, { ...legs[index]!, ...part }) });

  return (
    <Page
      title="One pressure or two?"
      result={
        result.ok ? (
          <DayResult day={result.value} legs={legs} minutes={wrong ? undefined : minutes} question={question} />
        ) : (
          <Panel title="No safe pressure">
            <Text role="alert">
              {`${groundName(legs[result.problem.leg]!.ground)}. ${
                result.problem.code === 'noLoadCase' ||
                result.problem.code === 'loads' ||
                result.problem.code === 'doubtfulLoad' ||
                (result.problem.code === 'roadMissing' && familyOf(rig.family).placardRules)
                  ? waitingText(result.problem, rig.family, units)
                  : noPlanText(result.problem, kind, units)
              }`}
            </Text>
          </Panel>
        )
      }
    >
      <Text tone="muted">{`${rig.name}. The parts of the day, in the order they are driven.`}</Text>
      {legs.map((leg, index) => (
        <LegFields
          key={index}
          index={index}
          leg={leg}
          question={question}
          onChange={(part) => setLeg(index, part)}
          onRemove={legs.length > 1 ? () => change({ legs: legs.filter((_, at) => at !== index) }) : undefined}
        />
      ))}
      {legs.length < MOST_LEGS && (
        <Action
          icon={Plus}
          label="Another part of the day"
          onPress={() => change({ legs: [...legs, { ground: groundsFor(kind)[0]!, loadCaseId: null, parts: 1 }] })}
        />
      )}
      <NumberField
        label="One stop to change takes you"
        unit="min"
        value={typed.minutes}
        onChange={(text) => change({ minutes: text })}
        problem={wrong ? 'Expected 0 to 600 minutes.' : undefined}
        hint={kind === 'farm' ? 'With central inflation type 0: it changes while you drive.' : 'All wheels, out or in.'}
      />
      <Action
        label="Back to the ground"
        onPress={() => router.navigate({ pathname: '/ground', params: addressOf(question) })}
      />
    </Page>
  );
}

interface LegFieldsProps {
  readonly index: number;
  readonly leg: DayLeg;
  readonly question: PlanQuery;
  readonly onChange: (part: Partial<DayLeg>) => void;
  readonly onRemove: (() => void) | undefined;
}

function LegFields({ index, leg, question, onChange, onRemove }: LegFieldsProps) {
  const { rig, family, loadCase } = question;
  const own = rig.loadCases.find(({ id }) => id === leg.loadCaseId) ?? loadCase;
  const several = rig.loadCases.length > 1;
  return (
    <Unfold
      label={`${index + 1}. ${leg.parts === 1 ? 'One part' : `${leg.parts} parts`}${several && own ? `, ${own.name}` : ''}`}
      value={groundName(leg.ground)}
    >
      {(close) => (
        <>
          <Parts index={index} parts={leg.parts} onChange={(parts) => onChange({ parts })} />
          {several && (
            <Choice
              label="How it is loaded there"
              layout="list"
              value={own?.id}
              options={rig.loadCases.map(({ id, name }) => ({ code: id, name }))}
              onChange={(loadCaseId) => onChange({ loadCaseId })}
            />
          )}
          <Choice
            label={`Ground of part ${index + 1}`}
            layout="list"
            value={leg.ground}
            options={groundsFor(family.kind)
              .filter((code) => code !== STUCK)
              .map((code: GroundCode) => ({ code, name: GROUND_WORDS[code].name }))}
            onChange={(ground) => {
              onChange({ ground });
              close();
            }}
          />
          {onRemove && <Action label="Leave this part out" onPress={onRemove} />}
        </>
      )}
    </Unfold>
  );
}

const MOST_PARTS = 20;

function Parts({
  index,
  parts,
  onChange,
}: {
  readonly index: number;
  readonly parts: number;
  readonly onChange: (parts: number) => void;
}) {
  const palette = usePalette();
  return (
    <View style={styles.parts}>
      <Text style={styles.name}>How much of the day</Text>
      <Press
        aria-label={`Part ${index + 1}, less`}
        disabled={parts <= 1}
        onPress={() => onChange(parts - 1)}
        style={[styles.step, { borderColor: palette.moss }]}
      >
        <Minus size={22} color={palette.moss} />
      </Press>
      <Text as="figure">{parts}</Text>
      <Press
        aria-label={`Part ${index + 1}, more`}
        disabled={parts >= MOST_PARTS}
        onPress={() => onChange(parts + 1)}
        style={[styles.step, { borderColor: palette.moss }]}
      >
        <Plus size={22} color={palette.moss} />
      </Press>
    </View>
  );
}

interface DayResultProps {
  readonly day: Compromise;
  readonly legs: readonly DayLeg[];
  readonly minutes: number | undefined;
  readonly question: PlanQuery;
}

function DayResult({ day, legs, minutes, question }: DayResultProps) {
  const { units, family } = question;
  const possible = day.axles.every(({ pressureKpa }) => pressureKpa !== null);
  return (
    <>
      <Panel title="One pressure all day">
        {possible ? (
          <Numerals
            units={units}
            axles={day.axles.map(({ position, pressureKpa, lowest }) => ({
              position,
              // Never rounded below the floor that holds it.
              pressureKpa: Math.max(onGauge(pressureKpa!, units), onGauge(lowest.pressureKpa, units, 'up')),
            }))}
          />
        ) : (
          <Text role="alert" tone="rust">
            There is none: what one part must not go below is more than another may have. Stop to change.
          </Text>
        )}
        {reasons(day.axles, legs, units).map((reason) => (
          <Text key={reason} as="small" tone="muted">
            {reason}
          </Text>
        ))}
      </Panel>
      <Panel title={possible ? 'What it costs on each' : 'What each asks for'}>
        {day.legs.map((leg, index) => (
          <View key={index} style={styles.leg}>
            <Text as="strong">{`${index + 1}. ${groundName(legs[index]!.ground)}`}</Text>
            {leg.axles.map((axle, at) => (
              <Text key={axle.position} as="small">
                {`${AXLE_WORDS[axle.position]}: ${legText(axle, axleOnGauge(leg.plan.axles[at]!, units).startKpa, units)}`}
              </Text>
            ))}
          </View>
        ))}
      </Panel>
      <Panel title="Or two, and stop to change">
        <Text>{stopsText(day.changes, minutes, family.kind)}</Text>
      </Panel>
    </>
  );
}

/** What holds the one pressure up, said once where all axles are held by the same. */
function reasons(axles: readonly OnePressure[], legs: readonly DayLeg[], units: Units): string[] {
  return [
    ...new Set(
      axles
        .filter(({ held }) => held)
        .map(({ position, lowest, highest, pressureKpa }) =>
          heldAtText(
            AXLE_WORDS[position],
            { ...lowest, ground: legs[lowest.leg]!.ground },
            pressureKpa === null && highest ? { ...highest, ground: legs[highest.leg]!.ground } : null,
            units,
          ),
        ),
    ),
  ];
}

const styles = StyleSheet.create({
  parts: { flexDirection: 'row', alignItems: 'center', gap: 10 },
  name: { flex: 1 },
  step: { borderWidth: 1.5, borderRadius: 3, alignItems: 'center', width: 48 },
  leg: { gap: 1 },
});
