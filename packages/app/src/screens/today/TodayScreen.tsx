import type { Outing, OutingRow, NextStep } from '@dunlinmoss/contract';
import {
  familyOf,
  planGround,
  type GroundPlan,
  type PlanProblem,
  type Result,
  STUCK,
  groundOf,
} from '@dunlinmoss/core';
import { askedOf, axleOnGauge, nextStep, type NoPlan, planInput, roadGaps } from '@dunlinmoss/domain';
import { useRouter } from 'expo-router';

import { useTestsOf } from '../../data/tests';
import { saveOuting, useOpenOuting } from '../../data/outings';
import { unitsFor, unitsStore } from '../../settings/preferences';
import { useRow } from '../../data/rows';
import { Action } from '../../components/Action';
import { Cautions } from '../../components/Cautions';
import { Numerals } from '../../components/Numerals';
import { notify } from '../../components/Notice';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Empty, Loading } from '../../components/States';
import { Text } from '../../components/Text';
import { inPairs } from '../../pictures/inPairs';
import { Staff } from '../../pictures/Staff';
import { usePalette } from '../../theme/useLight';
import { AXLE_WORDS } from '../../words/axles';
import { groundName } from '../../words/grounds';
import { waitingText } from '../../words/noPlan';
import { pressuresText, stateText } from '../../words/outing';
import { useAirJob } from '../../hooks/useAirJob';
import { StartOuting } from './StartOuting';
import { Path } from './OutingPath';

/** What is the next thing to do. */
export function TodayScreen() {
  const { outing, loading } = useOpenOuting();
  if (loading) {
    return (
      <Page title="Today">
        <Loading />
      </Page>
    );
  }
  return outing ? <UnderWay outing={outing} /> : <StartOuting />;
}

interface StepWords {
  readonly sentence: string;
  readonly numbers: Outing['pressures'];
  readonly button: string;
}

function UnderWay({ outing }: { readonly outing: OutingRow }) {
  const palette = usePalette();
  const router = useRouter();
  const ownUnits = unitsStore.use();
  const { row: rig, missing } = useRow('rigs', outing.rigId);
  const tests = useTestsOf(outing.rigId);
  const own = tests.filter(({ outingId }) => outingId === outing.id);
  const { job } = useAirJob();
  if (!rig) {
    return (
      <Page title={outing.title || 'Today'}>
        {missing ? (
          <Empty
            text={`${outing.rigName} was archived while this outing is under way.`}
            action={{
              label: 'See the outing',
              onPress: () => router.navigate({ pathname: '/book/[id]', params: { id: outing.id } }),
            }}
          />
        ) : (
          <Loading />
        )}
      </Page>
    );
  }

  const { kind } = familyOf(rig.family);
  const onBicycle = kind === 'bicycle';
  const units = unitsFor(ownUnits, rig.family);
  const step = nextStep(outing, own.length, kind);
  const input = planInput(rig, tests, askedOf(outing));
  const result: Result<GroundPlan, PlanProblem | NoPlan> = input.ok ? planGround(input.value) : input;
  const road = rig.axles.flatMap(({ position, roadKpa }) =>
    roadKpa === null ? [] : [{ position, pressureKpa: roadKpa }],
  );
  const planned = result.ok
    ? result.value.axles.map((axle) => ({
        position: axle.position,
        pressureKpa: axleOnGauge(axle, units).startKpa,
      }))
    : [];

  const backUp = async (): Promise<void> => {
    const saved = await saveOuting(outing, { stuckRung: 0, pressures: planned });
    if (saved.kind === 'refused') notify(saved.problem.title);
    else notify(`Back at ${pressuresText(planned, units)}.`);
  };
  const airIsBack = async (): Promise<void> => {
    const saved = await saveOuting(outing, { state: 'closed' });
    if (saved.kind === 'refused') notify(saved.problem.title);
    else
      notify(onBicycle ? 'The ride is in the Book.' : 'All wheels back at road pressure. The outing is in the Book.');
  };
  const go = {
    setPressures: () => router.navigate({ pathname: '/ground', params: { rig: rig.id, ground: outing.groundCode } }),
    test: () =>
      router.navigate({ pathname: '/proof/[kind]/[id]', params: { kind: 'tape', id: 'new', outing: outing.id } }),
    decide: () => router.navigate({ pathname: '/book/[id]', params: { id: outing.id } }),
    airUp: () => (onBicycle ? void airIsBack() : byWheel('in')),
    backUp: () => void backUp(),
    start: () => undefined,
  };
  const byWheel = (way: 'out' | 'in'): void =>
    router.navigate({
      pathname: way === 'out' ? '/air/out' : '/air/in',
      params: { rig: rig.id, ground: outing.groundCode },
    });
  const underWay = job?.rig.id === rig.id ? job.airings.find(({ endedAt }) => endedAt === null) : undefined;
  const gaps = job?.rig.id === rig.id ? roadGaps(job) : undefined;
  // What holds where the air can't be put back.
  const limp =
    gaps?.limpKmh == null
      ? ''
      : ` If it can’t be helped: ${gaps.limpKmh} km/h at the most, straight and short, to the next air.`;
  const words: Record<NextStep, StepWords> = {
    start: { sentence: '', numbers: [], button: '' },
    setPressures: result.ok
      ? {
          sentence: groundOf(outing.groundCode).paved
            ? 'Pavement ahead. Stay at road pressure.'
            : onBicycle
              ? `${groundName(outing.groundCode)} ahead. Set the pressure before you ride.`
              : `${groundName(outing.groundCode)} ahead. Let air out before you drive on it.`,
          numbers: planned,
          button: 'See why, and set them',
        }
      : {
          sentence: input.ok
            ? 'There is no safe pressure for this load on this ground.'
            : waitingText(input.problem, rig.family, units),
          numbers: [],
          button: 'See what would help',
        },
    test: {
      sentence: 'Air is out. Prove it with a tape: one wheel, two pressures.',
      numbers: outing.pressures,
      button: 'Measure the contact length',
    },
    backUp: {
      sentence: `You are below the floor, for one attempt. Back up before you drive on.`,
      numbers: planned,
      button: 'Every wheel is back up',
    },
    decide: {
      sentence:
        own.length > 0
          ? 'Measured. Say what you decided, so that next time starts there.'
          : 'It is set. When you know how it went, say what you decided, so that next time starts there.',
      numbers: outing.pressures,
      button: 'Write the decision',
    },
    airUp: onBicycle
      ? { sentence: 'Decided. End the ride, and it is in the Book.', numbers: outing.pressures, button: 'End the ride' }
      : {
          sentence: `Before ${kind === 'farm' ? 'the road' : 'pavement'} put the air back.`,
          numbers: road,
          button: 'Put it back, wheel by wheel',
        },
  };
  const { sentence, numbers, button } = words[step];

  return (
    <Page
      title={outing.title || groundName(outing.groundCode)}
      result={
        <>
          {step === 'backUp' && (
            <Panel title="One attempt">
              <Text>{`Now in the tires: ${pressuresText(outing.pressures, units)}. Straight, at walking pace, no sharp turn. Then the numbers above.`}</Text>
              <Action
                label="Still stuck: the next step"
                onPress={() => router.navigate({ pathname: '/ground', params: { rig: rig.id, ground: STUCK } })}
              />
            </Panel>
          )}
          {step !== 'airUp' && step !== 'backUp' && !onBicycle && outing.state === 'lowered' && (
            <Panel title="Before pavement">
              <Text>{`Put the air back: ${pressuresText(road, units)}, cold. Soft tires overheat and fail on the road.${limp}`}</Text>
              <Action label="Put it back, wheel by wheel" onPress={() => byWheel('in')} />
              <Action label="Every wheel is back at road pressure" onPress={() => void airIsBack()} />
            </Panel>
          )}
          {result.ok && <Cautions plan={result.value} severity="danger" />}
          <Path step={step} kind={kind} />
          {result.ok && (
            <Panel title="The staff">
              {inPairs(result.value.axles).map((pair) => (
                <Staff
                  key={pair[0]!.position}
                  axles={pair.map((axle) => {
                    const set = outing.pressures.find(({ position }) => position === axle.position);
                    return {
                      name: AXLE_WORDS[axle.position],
                      ...axleOnGauge(axle, units),
                      ...(set && { startKpa: set.pressureKpa }),
                    };
                  })}
                  units={units}
                  palette={palette}
                />
              ))}
            </Panel>
          )}
        </>
      }
    >
      <Text tone="muted">{`${rig.name} · ${groundName(outing.groundCode)} · ${stateText(outing, rig.family).toLowerCase()}`}</Text>
      <Panel>
        <Text as="label" tone="moss">
          Next
        </Text>
        <Text as="heading">{sentence}</Text>
        {numbers.length > 0 && <Numerals units={units} axles={numbers} />}
        {underWay ? (
          <Action
            kind="main"
            label={underWay.way === 'out' ? 'Go on letting out' : 'Go on putting in'}
            onPress={() => byWheel(underWay.way)}
          />
        ) : step === 'setPressures' && result.ok && !groundOf(outing.groundCode).paved ? (
          <>
            <Action
              kind="main"
              label={onBicycle ? 'Set it, wheel by wheel' : 'Let it out, wheel by wheel'}
              onPress={() => byWheel('out')}
            />
            <Action label={button} onPress={go[step]} />
          </>
        ) : (
          <Action kind="main" label={button} onPress={go[step]} />
        )}
        {step === 'airUp' && !onBicycle && (
          <>
            {limp !== '' && (
              <Text as="small" tone="rust">
                {limp.trim()}
              </Text>
            )}
            <Action label="Every wheel is back at road pressure" onPress={() => void airIsBack()} />
          </>
        )}
      </Panel>
    </Page>
  );
}
