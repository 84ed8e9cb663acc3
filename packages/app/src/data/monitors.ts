import {
  deviceState,
  monitorPackets,
  sentPackets,
  type DeviceFault,
  type DeviceSetup,
  type DeviceState,
  type LogRow,
  type MonitorPacket,
} from '@dunlinmoss/contract';
import { useEffect, useState } from 'react';
import useSWR from 'swr';

import { apiHere } from '../settings/who';
import { Refused, request } from './client';
import { followLine } from './liveLine';

const pathOf = (rigId: string): string => `/devices/rigs/${rigId}`;

/** The monitors of a rig: whether they are switched on, and how they stand. */
export function useDevices(rigId: string) {
  const { data, error, mutate } = useSWR<unknown>(pathOf(rigId), { shouldRetryOnError: false });
  const off = error instanceof Refused;
  const parsed = deviceState.safeParse(data);
  const ask = async (method: string, part: string, body?: object): Promise<void> => {
    await request(method, pathOf(rigId) + part, body);
    await mutate();
  };
  return {
    state: off || !parsed.success ? undefined : (parsed.data satisfies DeviceState),
    /** Whether they are on is only known from the server: nobody guesses that they are off. */
    asking: data === undefined && error === undefined,
    unreached: error !== undefined && !off && !parsed.success,
    switchOn: (setup: DeviceSetup) => ask('PUT', '', setup),
    switchOff: () => ask('DELETE', ''),
    setFaults: (faults: readonly DeviceFault[]) => ask('PUT', '/faults', { faults }),
    setDriving: (driving: boolean) => ask('PUT', '/driving', { driving }),
  };
}

/** How long a phone gathers packets before it hands them to the log, ms. */
const HAND_OVER_MS = 30_000;
/** What one request may carry. */
const AT_ONCE = 500;
/** Packets kept in view: a few hours of four wheels. */
const KEPT = 12_000;
const LOOK_BACK_MIN = 240;

const keyOf = ({ position, wheel, sensedAt }: MonitorPacket): string => `${position} ${wheel} ${sensedAt}`;

/** Two lists of packets as one in order of time, each packet once. */
export function joinPackets(old: readonly MonitorPacket[], more: readonly MonitorPacket[]): MonitorPacket[] {
  const all = new Map(old.map((packet) => [keyOf(packet), packet]));
  for (const packet of more) all.set(keyOf(packet), packet);
  return [...all.values()].sort((a, b) => a.sequence - b.sequence).slice(-KEPT);
}

const asRow = ({ position, wheel, sensedAt, pressureKpa, tempC }: MonitorPacket): LogRow => ({
  position,
  wheel,
  readAt: sensedAt,
  pressureKpa,
  tempC,
});

export type LineState = 'connecting' | 'live' | 'lost' | 'off';

/**
 * Follows the monitors of a rig while it is looked at: what they said in the last hours, then live. What arrives is
 * handed to the rig's log; a packet that several phones hand over is one row there.
 */
export function useMonitors(
  rigId: string,
  on: boolean,
): {
  readonly packets: readonly MonitorPacket[];
  readonly line: LineState;
  /** What they said in the last hours was asked for and has come, or could not be had. */
  readonly looked: boolean;
} {
  const [packets, setPackets] = useState<readonly MonitorPacket[]>([]);
  const [line, setLine] = useState<LineState>('connecting');
  const [looked, setLooked] = useState(false);
  useEffect(() => {
    if (!on) return;
    let waiting: MonitorPacket[] = [];
    const take = (more: readonly MonitorPacket[]): void => {
      waiting.push(...more);
      setPackets((old) => joinPackets(old, more));
    };
    const handOver = async (): Promise<void> => {
      while (waiting.length > 0) {
        const batch = waiting.slice(0, AT_ONCE);
        try {
          await request('POST', `/rigs/${rigId}/log`, { rows: batch.map(asRow) });
        } catch (error) {
          // Away: tried again with the next ones. Refused: it never would be taken.
          if (!(error instanceof Refused)) return;
        }
        waiting = waiting.slice(batch.length);
      }
    };
    const lookBack = (): void => {
      request('GET', `${pathOf(rigId)}/monitors?minutes=${LOOK_BACK_MIN}`)
        .then((told) => {
          take(monitorPackets.parse(told).packets);
          void handOver();
        })
        .catch(() => undefined)
        .finally(() => setLooked(true));
    };
    lookBack();
    const close = followLine(`${apiHere()}${pathOf(rigId)}/monitors/stream`, {
      onOpen: (again) => {
        setLine('live');
        // What was missed while the line was down is in the monitors' own memory.
        if (again) lookBack();
      },
      onLost: () => setLine('lost'),
      on: {
        packets: (data) => {
          const parsed = sentPackets.safeParse(JSON.parse(data));
          if (parsed.success) take(parsed.data.packets);
          setLine('live');
        },
        off: () => setLine('off'),
      },
    });
    const timer = setInterval(() => void handOver(), HAND_OVER_MS);
    return () => {
      clearInterval(timer);
      close();
      void handOver();
    };
  }, [rigId, on]);
  return { packets, line, looked };
}
