import { type FaultKind, FAULT_KINDS } from '@dunlinmoss/contract';
import { wheelKey } from '@dunlinmoss/core';
import { useState } from 'react';

import { useDevices } from '../../data/monitors';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { notify } from '../../components/Notice';
import { Text } from '../../components/Text';
import { Toggle } from '../../components/Toggle';
import { Unfold } from '../../components/Unfold';
import { wheelName } from '../../words/air';
import { setupOf } from './setup';
import type { AirJob } from '../../hooks/useAirJob';

const FAULT_WORDS: Record<FaultKind, { readonly name: string; readonly note: string }> = {
  slowLeak: { name: 'Slow leak', note: 'Half a psi an hour, since two hours ago' },
  burst: { name: 'Burst', note: 'Gone in seconds' },
  silent: { name: 'Silent', note: 'No packet comes any more' },
  stuck: { name: 'Stuck', note: 'Says the same for ever' },
  wrongClock: { name: 'Wrong clock', note: 'An hour ahead' },
};

/** A leak, and a sensor that sticks, only show in earlier readings: they began a while ago. */
const BEGAN_MS: Partial<Record<FaultKind, number>> = { slowLeak: 2 * 3_600_000, stuck: 45 * 60_000 };

const beganAt = (kind: FaultKind): string => new Date(Date.now() - (BEGAN_MS[kind] ?? 0)).toISOString();

interface MonitorsProps {
  readonly job: AirJob;
  readonly devices: ReturnType<typeof useDevices>;
}

/** The simulated monitors: switched on and off, driven, and put out of order. */
export function Monitors({ job, devices }: MonitorsProps) {
  const { wheels } = job;
  const { state } = devices;
  const [picked, setPicked] = useState(wheelKey(wheels[0]!));
  const wheel = wheels.find((each) => wheelKey(each) === picked) ?? wheels[0]!;
  const trouble = (work: Promise<void>): void => {
    work.catch(() => notify('The simulated monitors can’t be reached just now.'));
  };
  if (devices.unreached) {
    return (
      <Unfold label="Monitors (simulated)" value="Not reached">
        <Text as="small">Whether they are on is not known here without signal. Read by hand until then.</Text>
      </Unfold>
    );
  }
  if (!state) {
    return (
      <Unfold label="Monitors (simulated)" value="Off">
        <Text as="small">
          Stand-ins for tire-pressure monitors, a gauge and a compressor on this rig, to see how the day goes.
        </Text>
        {/* They begin with what is in the tires: not before all of it is known. */}
        <Action
          label="Switch them on"
          disabled={!job.isWhole}
          onPress={() => trouble(devices.switchOn(setupOf(job, true)))}
        />
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
