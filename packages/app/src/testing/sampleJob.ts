import type { Airing } from '@dunlinmoss/contract';
import { planGround, psi, wheelKey, type GroundCode } from '@dunlinmoss/core';
import { axleOnGauge, planInput, rigWheels } from '@dunlinmoss/domain';

import { FIRST_UNITS } from '../settings/preferences';
import { newAiring } from '../data/airings';
import type { AirJob } from '../hooks/useAirJob';
import { sampleRig } from '@dunlinmoss/domain/testing';

const units = FIRST_UNITS;

/** A sound rig with so much in each wheel, cold psi; road pressure where nothing is said. */
export function sampleJob(inTires: Readonly<Record<string, number>> = {}, ground: GroundCode = 'softSand'): AirJob {
  const rig = sampleRig();
  const asked = { ground, modifiers: [], speedKmh: null, loadCaseId: null };
  const input = planInput(rig, [], asked);
  const plan = input.ok ? planGround(input.value) : undefined;
  if (!plan?.ok) throw new Error('no plan');
  const wheels = rigWheels(rig);
  return {
    rig,
    family: { kind: 'car' },
    units,
    outing: undefined,
    question: { rig, tests: [], asked, change: () => undefined },
    tests: [],
    loadCaseId: null,
    stepKpa: psi(1),
    plan: plan.value,
    wheels,
    airings: [],
    outings: [],
    rounds: [],
    isWhole: true,
    tools: [],
    gauges: [],
    conditions: { coldTempC: 20, tireTempC: 20, altitudeM: 0 },
    outsideKpaAbs: 101.325,
    lastSet: (wheel: AirJob['wheels'][number]) => psi(inTires[wheelKey(wheel)] ?? 36),
    known: (wheel: AirJob['wheels'][number]) => ({
      position: wheel.position,
      wheel: wheel.wheel,
      coldKpa: psi(inTires[wheelKey(wheel)] ?? 36),
      from: 'reading',
      known: 'read',
      low: psi(inTires[wheelKey(wheel)] ?? 36) < wheel.axle.roadKpa! - psi(0.5),
      at: '2026-11-20T08:00:00.000Z',
    }),
    ordered: new Map(),
    planned: (wheel: AirJob['wheels'][number]) =>
      axleOnGauge(
        plan.value.axles.find(({ position }) => position === wheel.position)!,
        units,
      ),
  } as unknown as AirJob;
}

/** Air going out of, or into, all wheels of a sample job. */
export const sampleAiring = (job: AirJob, change: Partial<Airing> = {}): Airing => ({
  ...newAiring({
    justDriven: false,
    rigId: job.rig.id,
    outingId: null,
    way: change.way ?? 'out',
    toolId: null,
    toolKind: change.toolKind ?? 'coreDeflator',
    gauge: null,
    ...job.conditions,
    wheels: job.wheels.map(({ position, wheel, volumeL }) => ({
      position,
      wheel,
      volumeL,
      coldKpa: psi(16),
      targetKpa: psi(16),
      settled: null,
    })),
  }),
  ...change,
});
