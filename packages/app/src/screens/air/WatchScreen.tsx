import type { FaultKind, MonitorPacket, ReadingRound } from '@dunlinmoss/contract';
import { FAULT_KINDS } from '@dunlinmoss/contract';
import { alarmLevels, gaugeNowKpa, wheelKey } from '@dunlinmoss/core';
import { gaugeStepKpa, onGauge, type WatchedWheel, watchRig } from '@dunlinmoss/domain';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { useNow } from '../../data/clock';
import { conditionsOf, conditionsStore } from '../../settings/conditions';
import { useDevices, useMonitors, type LineState } from '../../data/monitors';
import { newId } from '../../data/newId';
import { save } from '../../data/outbox';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { notify } from '../../components/Notice';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { QuantityField } from '../../components/QuantityField';
import { quantityText } from '../../components/quantityText';
import { Text } from '../../components/Text';
import { Toggle } from '../../components/Toggle';
import { Unfold } from '../../components/Unfold';
import { LogLines } from '../../pictures/LogLines';
import { TriangleAlert } from '../../theme/icons';
import { usePalette } from '../../theme/useLight';
import { AXLE_WORDS } from '../../words/axles';
import { timeOfDay, wheelName } from '../../words/air';
import { pressure, pressureRange } from '../../words/format';
import { ADVICE_WORDS, URGENT, watchText } from '../../words/watch';
import { AirQuestion } from './AirQuestion';
import { GaugeConditions } from './GaugeConditions';
import { GaugePick, useGaugeInHand } from './GaugePick';
import { gaugeRangeProblem } from './gaugeRange';
import { useWheelReadings } from './readings';
import { setupOf } from './setup';
import { StoragePanel } from './StoragePanel';
import type { AirJob } from '../../hooks/useAirJob';

/** During the day: warm-up or leak, by hand or by monitors, with what to do and why. */
export const WatchScreen = () => (
  <AirQuestion title="Watch">{(job, choice) => <Watching key={job.rig.id} job={job} choice={choice} />}</AirQuestion>
);

/** What is said of a wheel changes with the minutes, not with the seconds. */
const LOOK_MS = 2_000;

const LINE_WORDS: Record<LineState, string> = {
  connecting: 'Calling the monitors …',
  live: 'Live',
  lost: 'The line to the monitors is down: it is tried again by itself. What is shown is what they said last.',
  off: 'The monitors were switched off.',
};

function Watching({ job, choice }: { readonly job: AirJob; readonly choice: React.ReactNode }) {
  const palette = usePalette();
  const { rig, units, outing, family } = job;
  const devices = useDevices(rig.id);
  const on = devices.state !== undefined;
  const { packets, line } = useMonitors(rig.id, on);
  const now = useNow(true, LOOK_MS);
  const offRoad = outing?.state === 'lowered';
  const wheels = watchRig(job, on ? packets : [], now, offRoad);
  const worst = wheels.filter(({ watched }) => URGENT.has(watched.advice));
  return (
    <Page
      title="Watch"
      result={
        <>
          {on && packets.length > 0 && (
            <Panel title="The last hours">
              <LogLines wheels={linesOf(wheels, packets)} units={units} palette={palette} />
            </Panel>
          )}
          <Alarms job={job} wheels={wheels} />
          <ByHand job={job} />
          <Monitors job={job} devices={devices} />
          <StoragePanel job={job} onBicycle={family.kind === 'bicycle'} nowMs={now} />
        </>
      }
    >
      {choice}
      <Text tone="muted" role="status">
        {on ? LINE_WORDS[line] : 'By hand: read a round now and then. Three readings tell warmth from loss.'}
      </Text>
      {worst.length > 0 && (
        <Text role="alert" as="strong" tone="rust">
          {worst.length === 1
            ? `${wheelName(worst[0]!.wheel)}: ${ADVICE_WORDS[worst[0]!.watched.advice].toLowerCase()}.`
            : `${worst.length} wheels need you.`}
        </Text>
      )}
      {[...wheels]
        .sort((a, b) => rank(a) - rank(b))
        .map((each) => (
          <WheelCard key={wheelKey(each.wheel)} each={each} job={job} now={now} />
        ))}
    </Page>
  );
}

const RANK = ['stopNow', 'slowDown', 'pumpUp', 'readByHand', 'lowerAgain', 'leaveIt'] as const;
const rank = ({ watched }: WatchedWheel): number => RANK.indexOf(watched.advice);

const linesOf = (wheels: readonly WatchedWheel[], packets: readonly MonitorPacket[]) =>
  wheels.map(({ wheel, readings }) => ({
    name: wheelName(wheel),
    points:
      packets.length === 0
        ? []
        : readings.map(({ atH, pressureKpa }) => ({
            atMs: atH * 3_600_000,
            leastKpa: pressureKpa,
            mostKpa: pressureKpa,
          })),
  }));

function WheelCard({ each, job, now }: { readonly each: WatchedWheel; readonly job: AirJob; readonly now: number }) {
  const palette = usePalette();
  const { units } = job;
  const { wheel, readings, watched } = each;
  const last = readings.at(-1);
  const urgent = URGENT.has(watched.advice);
  return (
    <View
      role="group"
      aria-label={wheelName(wheel)}
      style={[
        styles.card,
        {
          backgroundColor: urgent ? palette.rustWash : palette.card,
          borderColor: urgent ? palette.rust : palette.line,
        },
      ]}
    >
      <View style={styles.head}>
        <Text as="strong" style={styles.name}>
          {wheelName(wheel)}
        </Text>
        <Text as="figure">{last ? pressure(last.pressureKpa, units) : '—'}</Text>
        {last?.tempC != null && <Text as="figure">{`${Math.round(last.tempC)}\u00a0°C`}</Text>}
      </View>
      <View style={styles.head}>
        {urgent && <TriangleAlert size={18} color={palette.rust} />}
        <Text as="strong" tone={urgent ? 'rust' : 'moss'}>
          {ADVICE_WORDS[watched.advice]}
        </Text>
      </View>
      <Text as="small">{watchText(watched.reason, units, now)}</Text>
      {last && (
        <Text as="small" tone="muted">
          {`${timeOfDay(last.atH * 3_600_000)}${watched.coldKpa !== null && last.tempC !== null ? ` · cold ${pressure(watched.coldKpa, units)}` : ''}`}
        </Text>
      )}
    </View>
  );
}

/** The levels a monitor of one's own should be set to. */
function Alarms({ job, wheels }: { readonly job: AirJob; readonly wheels: readonly WatchedWheel[] }) {
  const { units, conditions } = job;
  const axles = [...new Map(wheels.map((each) => [each.wheel.position, each])).values()];
  return (
    <Unfold
      label="Alarms for this pressure"
      value={axles
        .map(({ wheel, target }) => {
          const { lowKpa, highKpa } = alarmLevels(target, gaugeStepKpa(units));
          return `${AXLE_WORDS[wheel.position]} ${pressureRange(onGauge(lowKpa, units, 'up'), highKpa, units)}`;
        })
        .join(', ')}
    >
      {axles.map(({ wheel, target }) => {
        const { lowKpa, highKpa } = alarmLevels(target, gaugeStepKpa(units));
        return (
          <Text key={wheelKey(wheel)}>
            {`${AXLE_WORDS[wheel.position]}: low at ${pressure(onGauge(lowKpa, units, 'up'), units)} cold (${pressure(gaugeNowKpa(lowKpa, conditions), units)} now), high at ${pressure(highKpa, units)}.`}
          </Text>
        );
      })}
      <Text as="small" tone="muted">
        They follow what is set: a tenth below it or the floor, a quarter above. A monitor that still has the road’s
        alarm cries after airing down: that is expected. Allow for a lag of minutes.
      </Text>
    </Unfold>
  );
}

/** A round with the gauge. */
function ByHand({ job }: { readonly job: AirJob }) {
  const { rig, outing, units, wheels, conditions, known, gauges } = job;
  const inHand = useGaugeInHand(gauges);
  const typedConditions = conditionsStore.use();
  const readings = useWheelReadings(`watch:${rig.id}`, (place) => {
    const wheel = wheels.find((each) => wheelKey(each) === wheelKey(place))!;
    const cold = known(wheel)?.coldKpa ?? wheel.axle.roadKpa ?? 100;
    return quantityText('pressure', units.pressure, onGauge(gaugeNowKpa(cold, conditions), units));
  });
  const wrong = wheels.some((wheel) => gaugeRangeProblem(readings.kpaOf(wheel), inHand.gauge, units) !== undefined);
  const keep = async (): Promise<void> => {
    const measured = conditionsOf(typedConditions);
    const round: ReadingRound = {
      id: newId(),
      revision: 0,
      rigId: rig.id,
      outingId: outing?.id ?? null,
      readAt: new Date().toISOString(),
      occasion: 'watch',
      gauge: inHand.used,
      airTempC: measured?.coldTempC ?? null,
      tireTempC: measured?.tireTempC ?? null,
      altitudeM: conditions.altitudeM,
      wheels: wheels.map(({ position, wheel }) => ({
        position,
        wheel,
        shownKpa: readings.kpaOf({ position, wheel })!,
      })),
    };
    const saved = await save('readings', round);
    if (saved.kind === 'refused') return notify(saved.problem.title);
    readings.clear();
    notify('The round is kept, with its time and warmth.');
  };
  return (
    <Unfold label="Read a round by hand">
      {wheels.map((wheel) => (
        <QuantityField
          key={wheelKey(wheel)}
          label={wheelName(wheel)}
          spokenLabel={`${wheelName(wheel)} reads`}
          quantity="pressure"
          value={readings.textOf(wheel)}
          onChange={(value) => readings.type(wheel, value)}
          stepsFrom={wheel.axle.roadKpa ?? 100}
          problem={gaugeRangeProblem(readings.kpaOf(wheel), inHand.gauge, units)}
        />
      ))}
      <GaugePick gauges={gauges} />
      <GaugeConditions />
      <Action kind="main" label="Keep this round" disabled={wrong} onPress={() => void keep()} />
    </Unfold>
  );
}

const FAULT_WORDS: Record<FaultKind, { readonly name: string; readonly note: string }> = {
  slowLeak: { name: 'Slow leak', note: 'Half a psi an hour, since two hours ago' },
  burst: { name: 'Burst', note: 'Gone in seconds' },
  silent: { name: 'Silent', note: 'No packet comes any more' },
  stuck: { name: 'Stuck', note: 'Says the same for ever' },
  wrongClock: { name: 'Wrong clock', note: 'An hour ahead' },
};

/** A leak, and a sensor that sticks, are told from what came before: they began a while ago. */
const BEGAN_MS: Partial<Record<FaultKind, number>> = { slowLeak: 2 * 3_600_000, stuck: 45 * 60_000 };

const beganAt = (kind: FaultKind): string => new Date(Date.now() - (BEGAN_MS[kind] ?? 0)).toISOString();

interface MonitorsProps {
  readonly job: AirJob;
  readonly devices: ReturnType<typeof useDevices>;
}

/** The simulated monitors: switched on and off, driven, and put out of order. */
function Monitors({ job, devices }: MonitorsProps) {
  const { wheels } = job;
  const { state } = devices;
  const [picked, setPicked] = useState(wheelKey(wheels[0]!));
  const wheel = wheels.find((each) => wheelKey(each) === picked) ?? wheels[0]!;
  const trouble = (work: Promise<void>): void => {
    work.catch(() => notify('The simulated monitors can’t be reached just now.'));
  };
  if (!state) {
    return (
      <Unfold label="Monitors (simulated)" value="Off">
        <Text as="small">
          Stand-ins for tire-pressure monitors, a gauge and a compressor on this rig, to see how the day goes.
        </Text>
        <Action label="Switch them on" onPress={() => trouble(devices.switchOn(setupOf(job, true)))} />
      </Unfold>
    );
  }
  const own = state.faults.filter((fault) => wheelKey(fault) === wheelKey(wheel));
  const toggle = (kind: FaultKind): void => {
    const rest = state.faults.filter((fault) => wheelKey(fault) !== wheelKey(wheel) || fault.kind !== kind);
    const had = rest.length < state.faults.length;
    trouble(
      devices.setFaults(
        had ? rest : [...rest, { position: wheel.position, wheel: wheel.wheel, kind, since: beganAt(kind) }],
      ),
    );
  };
  return (
    <Unfold
      label="Monitors (simulated)"
      value={
        state.faults.length === 0
          ? 'On'
          : `On, ${state.faults.length === 1 ? 'one fault' : `${state.faults.length} faults`}`
      }
    >
      <Toggle
        label="Driving"
        note="Warms the tires"
        value={state.driving}
        onChange={(value) => trouble(devices.setDriving(value))}
      />
      <Choice
        label="Put out of order"
        value={wheelKey(wheel)}
        options={wheels.map((each) => ({ code: wheelKey(each), name: wheelName(each) }))}
        onChange={setPicked}
      />
      {FAULT_KINDS.map((kind) => (
        <Toggle
          key={kind}
          label={FAULT_WORDS[kind].name}
          note={FAULT_WORDS[kind].note}
          value={own.some((fault) => fault.kind === kind)}
          onChange={() => toggle(kind)}
        />
      ))}
      <Action label="Switch them off" onPress={() => trouble(devices.switchOff())} />
    </Unfold>
  );
}

const styles = StyleSheet.create({
  card: { borderWidth: 1, borderRadius: 3, padding: 12, gap: 3 },
  head: { flexDirection: 'row', alignItems: 'center', gap: 10 },
  name: { flex: 1 },
});
