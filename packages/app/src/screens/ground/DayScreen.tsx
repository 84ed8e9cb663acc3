import { familyOf, groundsFor } from '@dunlinmoss/core';
import { type DayLeg, MINUTES_A_STOP, USUAL_DAY, workOutDay } from '@dunlinmoss/domain';
import { useRouter } from 'expo-router';
import { useState } from 'react';

import { readDraft, writeDraft } from '../../data/drafts';
import { Action } from '../../components/Action';
import { NumberField } from '../../components/NumberField';
import { NeedsRig } from '../../components/NeedsRig';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { Plus } from '../../theme/icons';
import { parseNumber } from '../../settings/typedNumber';
import { groundName } from '../../words/grounds';
import { noPlanText } from '../../words/limits';
import { waitingText } from '../../words/noPlan';
import { addressOf, usePlanQuery, type PlanQuery } from '../../hooks/usePlanQuery';
import { useProof } from '../../hooks/useProof';
import { DayResult } from './DayResult';
import { LegFields } from './LegFields';

/** One pressure or two: a day of several grounds, the best single compromise against stopping to change. */
export function DayScreen() {
  const { question, loading } = usePlanQuery();
  if (!question)
    return (
      <NeedsRig title="One pressure or two?" loading={loading} why="A pressure needs a rig: load, tires and placard." />
    );
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
  const proofOf = useProof(rig.id);
  const result = workOutDay(rig, tests, legs, (asked) => proofOf(rig, tests, asked));
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
