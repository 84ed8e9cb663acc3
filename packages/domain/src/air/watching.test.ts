import type { MonitorPacket } from '@dunlinmoss/contract';
import { psi } from '@dunlinmoss/core';

import { rigWheels } from './wheels';
import { sampleRig } from '../testing/sampleRig';
import { readingsOf, watchRig, type WatchedRig } from './watching';

const rig = sampleRig();
const wheels = rigWheels(rig);
const job = {
  rig,
  wheels,
  rounds: [],
  airings: [],
  conditions: { coldTempC: 15, tireTempC: 15, altitudeM: 0 },
  stepKpa: psi(1),
  known: () => ({ coldKpa: psi(36) }),
  planned: () => undefined,
} as unknown as WatchedRig;

const NOW = Date.parse('2026-11-20T10:00:00.000Z');
/** Two hours of packets a minute; the first wheel loses a psi an hour. */
const packets: MonitorPacket[] = Array.from({ length: 121 }, (_, minute) =>
  wheels.map(({ position, wheel }, index): MonitorPacket => {
    const at = NOW - (120 - minute) * 60_000;
    const kpa = psi(36) - (index === 0 ? psi(minute / 60) : 0);
    return { position, wheel, sequence: at / 1000, sensedAt: new Date(at).toISOString(), pressureKpa: kpa, tempC: 15 };
  }),
).flat();

describe('watchRig', () => {
  it('finds the wheel that leaks, and leaves the others', () => {
    const [first, ...others] = watchRig(job, packets, NOW, false);
    expect(first!.watched).toMatchObject({ advice: 'pumpUp', reason: { code: 'leak' } });
    expect(first!.leak.lossKpaPerH / psi(1)).toBeCloseTo(1, 1);
    expect(others.map(({ watched }) => watched.reason.code)).toEqual(['steady', 'steady', 'steady']);
  });

  it('takes no airing for a leak: it begins anew after it', () => {
    const { position, wheel } = wheels[1]!;
    const ended = new Date(NOW - 40 * 60_000).toISOString();
    const let_ = { runs: [{ position, wheel, startedAt: ended, endedAt: ended }] };
    const lowered = packets.map((packet) =>
      packet.position === position && packet.wheel === wheel && packet.sensedAt > ended
        ? { ...packet, pressureKpa: packet.pressureKpa - psi(3) }
        : packet,
    );
    const lossOf = (airings: object[]) =>
      watchRig({ ...job, airings } as unknown as WatchedRig, lowered, NOW, false)[1]!.leak.lossKpaPerH;
    expect(lossOf([])).toBeGreaterThan(psi(1));
    expect(Math.abs(lossOf([let_]))).toBeLessThan(0.1);
  });

  it('asks for a reading by hand where nothing is heard', () => {
    expect(watchRig(job, [], NOW, false).map(({ watched }) => watched.reason.code)).toEqual(
      wheels.map(() => 'noReading'),
    );
    const later = NOW + 3_600_000;
    expect(watchRig(job, packets, later, false)[1]!.watched.reason.code).toBe('silent');
  });
});

describe('readingsOf', () => {
  it('goes by the rounds where there is no monitor', () => {
    const round = {
      occasion: 'watch',
      readAt: '2026-11-20T09:00:00.000Z',
      tireTempC: null,
      gauge: { gaugeId: 'g', offsetKpa: 5 },
      wheels: [{ position: wheels[0]!.position, wheel: wheels[0]!.wheel, shownKpa: 205 }],
    } as never;
    expect(readingsOf(wheels[0]!, [], [round], NOW)).toMatchObject({
      by: 'hand',
      readings: [{ pressureKpa: 200, tempC: null }],
    });
    expect(readingsOf(wheels[0]!, [], [round], NOW + 86_400_000).readings).toEqual([]);
    expect(readingsOf(wheels[1]!, [], [round], NOW).readings).toEqual([]);
  });
});
