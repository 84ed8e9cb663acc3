import type { CentralState, GaugeShows } from '@dunlinmoss/contract';
import {
  centralTarget,
  deviceDriving,
  deviceFaults,
  deviceFlow,
  deviceSetup,
  probeQuery,
} from '@dunlinmoss/contract/api';
import { AXLE_POSITIONS, WHEEL_CODES } from '@dunlinmoss/core';
import type { Request, Response } from 'express';
import type { Pool } from 'mysql2/promise';
import { z } from 'zod';

import type { MonitorHub } from '../live/hub';
import type { OpenStreams } from '../people/openStreams';
import { simulatedProbe } from '../devices/simulatedProbe';
import {
  coldNowKpa,
  packetsBetween,
  shownKpa,
  tireTempC,
  wheelAt,
  type SimulatedRig,
  type SimulatedWheel,
} from '../devices/simulatedRig';
import { Refusal } from '../problems';
import type { Repositories } from '../repositories/repositories';
import { changeWheels, setDriving, setFaults, simulatedRig, switchOff, switchOn } from '../repositories/simulatedRigs';
import { idOf } from './idOf';
import { Routes } from './declared';

const wheelParameters = z.object({ position: z.enum(AXLE_POSITIONS), wheel: z.enum(WHEEL_CODES) });
const historyQuery = z.strictObject({ minutes: z.coerce.number().int().min(1).max(1_440).default(180) });
/** A packet a minute is enough to look back on. */
const HISTORY_MS = 60_000;
/** Nearer than this a wheel is on its target, kPa. */
const ON_TARGET_KPA = 0.5;

/** A line that broke is opened again after so long, ms: browsers would wait three seconds. */
const AGAIN_MS = 500;

/** Begins an answer of server-sent events, which nothing on the way may hold back. */
export function beginEvents(response: Response): void {
  response.status(200).set({
    'Content-Type': 'text/event-stream',
    'Cache-Control': 'no-store, no-transform',
    'X-Accel-Buffering': 'no',
  });
  response.write(`retry: ${AGAIN_MS}\n\n`);
  response.flushHeaders();
}

interface DeviceParts {
  readonly pool: Pool;
  readonly repositories: Repositories;
  readonly hub: MonitorHub;
  readonly streams: OpenStreams;
}

/** `/devices/rigs/:id/…`: the simulated stand-ins of a rig. */
export function deviceRoutes({ pool, repositories, hub, streams: open }: DeviceParts): {
  readonly streams: Routes;
  readonly rest: Routes;
} {
  const router = new Routes({ mergeParams: true });
  const streams = new Routes({ mergeParams: true });

  const rigIdOf = ({ params }: Request): string => idOf(params.id);

  const switchedOn = async (request: Request): Promise<SimulatedRig> => {
    const rig = await simulatedRig(pool, request.ownerId, rigIdOf(request));
    if (!rig) throw new Refusal('notFound');
    return rig;
  };
  const stateOf = async (request: Request): Promise<unknown> => {
    const rig = await switchedOn(request);
    const now = Date.now();
    return {
      seed: rig.seed,
      ambientC: rig.ambientC,
      altitudeM: rig.altitudeM,
      driving: rig.driving,
      since: new Date(rig.sinceMs).toISOString(),
      wheels: rig.wheels.map((wheel) => ({
        position: wheel.position,
        wheel: wheel.wheel,
        volumeL: wheel.volumeL,
        coldKpa: coldNowKpa(rig, wheel, now),
      })),
      faults: rig.faults,
    };
  };

  router.get('/', 'viewer', async (request, response) => {
    response.json(await stateOf(request));
  });

  router.put('/', 'member', async (request, response) => {
    const setup = deviceSetup.parse(request.body);
    const rig = await repositories.rigs.get(request.ownerId, rigIdOf(request));
    if (!rig) throw new Refusal('notFound');
    await switchOn(pool, request.ownerId, rig.id, setup);
    response.json(await stateOf(request));
  });

  router.delete('/', 'member', async (request, response) => {
    await switchOff(pool, request.ownerId, rigIdOf(request));
    response.status(204).end();
  });

  router.put('/faults', 'member', async (request, response) => {
    const { faults } = deviceFaults.parse(request.body);
    await switchedOn(request);
    await setFaults(pool, request.ownerId, rigIdOf(request), faults);
    response.json(await stateOf(request));
  });

  router.put('/driving', 'member', async (request, response) => {
    const { driving } = deviceDriving.parse(request.body);
    await switchedOn(request);
    await setDriving(pool, request.ownerId, rigIdOf(request), driving);
    response.json(await stateOf(request));
  });

  router.get('/monitors', 'viewer', async (request, response) => {
    const { minutes } = historyQuery.parse(request.query);
    const now = Date.now();
    response.json({ packets: packetsBetween(await switchedOn(request), now - minutes * 60_000, now, HISTORY_MS) });
  });

  streams.get('/monitors/stream', 'viewer', async (request, response) => {
    await switchedOn(request);
    const { ownerId } = request;
    const rigId = rigIdOf(request);
    open.enter(request, response);
    beginEvents(response);
    hub.follow(ownerId, rigId, response);
  });

  router.get('/gauge/:position/:wheel', 'viewer', async (request, response) => {
    const rig = await switchedOn(request);
    const wheel = wheelOf(request, rig);
    const now = Date.now();
    const shows: GaugeShows = {
      readAt: new Date(now).toISOString(),
      pressureKpa: shownKpa(rig, wheel, now),
      tempC: tireTempC(rig, now),
    };
    response.json(shows);
  });

  router.put('/wheels/:position/:wheel/flow', 'member', async (request, response) => {
    const flow = deviceFlow.parse(request.body);
    const named = wheelParameters.safeParse(request.params);
    const changed = await changeWheels(pool, request.ownerId, rigIdOf(request), (rig, wheel, atMs) =>
      named.success && wheel.position === named.data.position && wheel.wheel === named.data.wheel
        ? {
            ...wheelAt(rig, wheel, atMs),
            flow: flow.flow,
            flowRate: flow.flow === 'out' ? flow.conductanceLPerS : flow.flow === 'in' ? flow.litersPerMin : 0,
            stopAtKpa: null,
          }
        : null,
    );
    if (!changed || !named.success) throw new Refusal('notFound');
    const wheel = wheelOf(request, changed);
    const now = Date.now();
    response.json({
      readAt: new Date(now).toISOString(),
      pressureKpa: shownKpa(changed, wheel, now),
      tempC: tireTempC(changed, now),
    });
  });

  router.get('/central', 'viewer', async (request, response) => {
    response.json(centralOf(await switchedOn(request)));
  });

  router.put('/central', 'member', async (request, response) => {
    const target = centralTarget.parse(request.body);
    const changed = await changeWheels(pool, request.ownerId, rigIdOf(request), (rig, wheel, atMs) => {
      const asked = target.axles.find(({ position }) => position === wheel.position);
      if (!asked) return null;
      const now = wheelAt(rig, wheel, atMs);
      const out = now.coldKpa > asked.coldKpa;
      // What the compressor gives is shared by all wheels that it fills.
      const share = target.supplyLPerMin / rig.wheels.length;
      return {
        ...now,
        flow: out ? 'out' : 'in',
        flowRate: out ? target.outLPerS : share,
        stopAtKpa: asked.coldKpa,
      };
    });
    if (!changed) throw new Refusal('notFound');
    response.json(centralOf(changed));
  });

  return { streams, rest: router };
}

function wheelOf(request: Request, rig: SimulatedRig): SimulatedWheel {
  const named = wheelParameters.safeParse(request.params);
  const wheel =
    named.success &&
    rig.wheels.find((each) => each.position === named.data.position && each.wheel === named.data.wheel);
  if (!wheel) throw new Refusal('notFound');
  return wheel;
}

/** What the controller says: the softest wheel of each axle, and what it is doing. */
function centralOf(rig: SimulatedRig): CentralState {
  const now = Date.now();
  const positions = [...new Set(rig.wheels.map(({ position }) => position))];
  return {
    axles: positions.map((position) => {
      const own = rig.wheels.filter((wheel) => wheel.position === position);
      const kpas = own.map((wheel) => coldNowKpa(rig, wheel, now));
      const [{ flow, stopAtKpa }] = own as [SimulatedWheel];
      const there = stopAtKpa === null || kpas.every((kpa) => Math.abs(kpa - stopAtKpa) < ON_TARGET_KPA);
      return {
        position,
        coldKpa: Math.min(...kpas),
        targetKpa: stopAtKpa,
        doing: there || flow === 'none' ? 'holding' : flow === 'out' ? 'lettingOut' : 'puttingIn',
      };
    }),
  };
}

/** `/devices/probe/:id`: the simulated soil probe, uneven in the way of this rig's meadow. */
export function probeRoutes(): Routes {
  const router = new Routes();
  router.get('/:id', 'viewer', (request, response) => {
    const { trackAKpa, trackBKpa } = probeQuery.parse(request.query);
    const seed = Number.parseInt(idOf(request.params.id).slice(-6), 16);
    response.json(simulatedProbe(seed, trackAKpa, trackBKpa));
  });
  return router;
}
