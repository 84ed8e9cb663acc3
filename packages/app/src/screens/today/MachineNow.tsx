import { bodyOf } from '@dunlinmoss/contract';
import { familyOf, STUCK } from '@dunlinmoss/core';
import { axleOnGauge, gaugeStepKpa, roadGaps, type BoardEntry } from '@dunlinmoss/domain';
import type { ReactNode } from 'react';

import { useNow } from '../../data/clock';
import { saveOuting } from '../../data/outings';
import { save } from '../../data/outbox';
import { useRows } from '../../data/rows';
import { useTestsOf } from '../../data/tests';
import { Action } from '../../components/Action';
import { Cautions } from '../../components/Cautions';
import { LastBy } from '../../components/LastBy';
import { Numerals } from '../../components/Numerals';
import { notify } from '../../components/Notice';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { StuckButton } from '../../components/StuckButton';
import { Text } from '../../components/Text';
import { useKitNotes } from '../../hooks/useKitNotes';
import { whoStore } from '../../settings/who';
import { inPairs } from '../../pictures/inPairs';
import { usePalette } from '../../theme/useLight';
import { AXLE_WORDS } from '../../words/axles';
import { groundName } from '../../words/grounds';
import { pressuresText, stateText } from '../../words/outing';
import { inTiresText } from '../../words/wheelState';
import { useRouter } from '../../hooks/useRouter';
import { DemoShelf } from './DemoShelf';
import { Path } from './OutingPath';
import { useNext } from './useNext';
import { speed } from '../../words/format';
import { Later, lazyScreen } from '../lazyScreen';

const Staff = lazyScreen('Staff');
const HandOver = lazyScreen('HandOver');
const RouteNow = lazyScreen('RouteNow');

interface MachineNowProps {
  readonly entry: BoardEntry;
  /** What stands below: the way back to the others, another outing. */
  readonly below: ReactNode;
}

/** One machine alone: its next step, what is in its tires, and what belongs to them. */
export function MachineNow({ entry, below }: MachineNowProps) {
  const router = useRouter();
  const palette = usePalette();
  const { rig, outing, step, wheels } = entry;
  const next = useNext(entry);
  // A route leads before the outing does; the way back up from below the floor comes before all.
  const { rows: routes } = useRows('routes', { rigId: rig.id });
  const drivesRoute = routes.some(({ drive }) => drive !== null);
  const onRoute = step !== 'backUp' && drivesRoute;
  const inCrew = whoStore.use().crewId !== null;
  const { units, plan } = next;
  const tests = useTestsOf(rig.id);
  const kit = useKitNotes(rig, step === 'setPressures' ? next.numbers : [], units);
  const { kind } = familyOf(rig.family);
  const onBicycle = kind === 'bicycle';
  const stepKpa = gaugeStepKpa(units);
  const known = new Map(wheels.map(({ wheel, now }) => [wheel, now]));
  const nowMs = useNow(true, 60_000);
  const { limpKmh } = roadGaps(
    {
      rig,
      wheels: wheels.map(({ wheel }) => wheel),
      known: (wheel) => known.get(wheel),
      tests,
      loadCaseId: outing?.loadCaseId ?? null,
      stepKpa,
    },
    nowMs,
  );
  // What holds where the air can't be put back.
  const limp =
    limpKmh === null
      ? ''
      : `If it can’t be helped: ${speed(limpKmh, units)} at the most, straight and short, to the next air.`;
  const soft = step === 'standsLow' || step === 'airUp';
  const onPurpose = async (): Promise<void> => {
    const before = bodyOf('rigs', rig);
    const saved = await save('rigs', { ...before, softOnPurposeAt: new Date().toISOString() });
    if (saved.kind === 'refused') return notify(saved.problem.title);
    if (outing) await saveOuting(outing, { state: 'closed' });
    notify(`${rig.name} stands soft on purpose. It is low in Air and Road check until it is read at road pressure.`);
  };

  return (
    <Page
      title={outing ? outing.title || groundName(outing.groundCode) : rig.name}
      aside={step !== 'backUp' && <StuckButton rigId={rig.id} />}
      result={
        <>
          {step === 'backUp' && (
            <Panel title="One attempt">
              <Text>{`Now in the tires: ${pressuresText(outing!.pressures, units)}. Straight, at walking pace, no sharp turn. Then the numbers above.`}</Text>
              <Action
                label="Still stuck: the next step"
                onPress={() => router.navigate({ pathname: '/ground', params: { rig: rig.id, ground: STUCK } })}
              />
            </Panel>
          )}
          {outing?.state === 'lowered' && !soft && step !== 'backUp' && step !== 'endOuting' && !onBicycle && (
            <Panel title="Before pavement">
              <Text>{`Put the air back, or read it. Soft tires overheat and fail on the road. ${limp}`.trim()}</Text>
              <Action label="Put it back, wheel by wheel" onPress={() => next.byWheel('in')} />
              <Action label="Road check: read every wheel" onPress={next.roadCheck} />
            </Panel>
          )}
          {plan && outing && <Cautions plan={plan} severity="danger" />}
          {/* Below what a phone shows at once. */}
          <Later>
            {outing && !onRoute && step !== 'goOn' && step !== 'standsLow' && (
              <Path step={step === 'endOuting' ? 'airUp' : step} kind={kind} />
            )}
            {plan && (
              <Panel title="Pressures">
                <Later>
                  {inPairs(plan.axles).map((pair) => (
                    <Staff
                      key={pair[0]!.position}
                      axles={pair.map((axle) => {
                        const set = outing?.pressures.find(({ position }) => position === axle.position);
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
                </Later>
              </Panel>
            )}
            {below}
          </Later>
        </>
      }
    >
      <DemoShelf />
      <Text tone="muted">
        {outing
          ? `${rig.name} · ${groundName(outing.groundCode)} · ${stateText(outing, rig.family).toLowerCase()}`
          : 'No outing is under way with it.'}
      </Text>
      {drivesRoute && (
        <Later>
          <RouteNow rig={rig} />
        </Later>
      )}
      <Panel>
        {!onRoute && (
          <>
            <Text as="label" tone={step === 'standsLow' ? 'rust' : 'moss'}>
              Next
            </Text>
            <Text as="heading">{next.sentence}</Text>
            {next.numbers.length > 0 && <Numerals units={units} axles={next.numbers} />}
            {kit.map((text) => (
              <Text key={text} as="small" role="alert">
                {text}
              </Text>
            ))}
            <Action kind="main" label={next.button} onPress={next.go} />
            {step === 'setPressures' && plan && (
              <Action
                label="See why, or it’s already set"
                onPress={() =>
                  router.navigate({ pathname: '/ground', params: { rig: rig.id, ground: outing!.groundCode } })
                }
              />
            )}
          </>
        )}
        {soft && !onBicycle && (
          <>
            {limp !== '' && (
              <Text as="small" tone="rust">
                {limp}
              </Text>
            )}
            <Action label="Road check: read every wheel" onPress={next.roadCheck} />
            <Action label="It stands soft on purpose" onPress={() => void onPurpose()} />
          </>
        )}
        <Text as="small" tone="muted">{`In the tires, cold: ${inTiresText(entry, units, stepKpa, nowMs)}.`}</Text>
        <LastBy {...entry} />
        {inCrew && (
          <Later>
            <HandOver rig={rig} />
          </Later>
        )}
      </Panel>
    </Page>
  );
}
