import type { MonitorPacket } from '@dunlinmoss/contract';
import { wheelKey } from '@dunlinmoss/core';
import { type WatchedWheel, watchRig } from '@dunlinmoss/domain';
import { useState } from 'react';

import { useNow } from '../../data/clock';
import { useDevices, useMonitors, type LineState } from '../../data/monitors';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { LogLines } from '../../pictures/LogLines';
import { usePalette } from '../../theme/useLight';
import { wheelName } from '../../words/air';
import { ADVICE_WORDS, URGENT } from '../../words/watch';
import { AirQuestion } from './AirQuestion';
import { StoragePanel } from './StoragePanel';
import type { AirJob } from '../../hooks/useAirJob';
import { Alarms } from './Alarms';
import { ByHand } from './RoundByHand';
import { Monitors } from './SimulatedMonitors';
import { WheelCard } from './WheelCard';

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
  const { rig, units, outing } = job;
  const devices = useDevices(rig.id);
  const on = devices.state !== undefined;
  const { packets, line, looked } = useMonitors(rig.id, on);
  // What the monitors said stands above what is pressed: that comes once it no longer moves, and then it stays.
  const [settled, setSettled] = useState(false);
  if (!settled && !devices.asking && (!on || looked)) setSettled(true);
  const now = useNow(true, LOOK_MS);
  const offRoad = outing?.state === 'lowered';
  const wheels = watchRig(job, on ? packets : [], now, offRoad);
  const worst = wheels.filter(({ watched }) => URGENT.has(watched.advice));
  return (
    <Page
      title="Watch"
      result={
        settled && (
          <>
            {on && packets.length > 0 && (
              <Panel title="The last hours">
                <LogLines wheels={linesOf(wheels, packets)} units={units} palette={palette} />
              </Panel>
            )}
            <Alarms job={job} wheels={wheels} />
            <ByHand job={job} />
            <Monitors job={job} devices={devices} />
            <StoragePanel job={job} nowMs={now} />
          </>
        )
      }
    >
      {choice}
      <Text tone="muted" role="status">
        {on || devices.asking
          ? LINE_WORDS[line]
          : 'By hand: read a round now and then. Three readings show whether it is warmth or loss.'}
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
