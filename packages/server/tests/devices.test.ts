import type { AddressInfo } from 'node:net';
import { createServer } from 'node:http';

import type { DeviceFault, DeviceSetup, FaultKind, MonitorPacket } from '@dunlinmoss/contract';
import request from 'supertest';

import {
  coldNowKpa,
  packetOf,
  packetsBetween,
  shownKpa,
  tireTempC,
  type SimulatedRig,
} from '../src/devices/simulatedRig';
import { aRig, testServer, type TestServer } from './testServer';

const START = Date.parse('2026-11-20T06:00:00.000Z');
const HOUR = 3_600_000;
const fault = (kind: FaultKind, afterMs = 0): DeviceFault => ({
  position: 'front',
  wheel: 'left',
  kind,
  since: new Date(START + afterMs).toISOString(),
});
const sim = (change: Partial<SimulatedRig> = {}): SimulatedRig => ({
  seed: 7,
  ambientC: 10,
  altitudeM: 0,
  driving: false,
  warmFromC: 10,
  warmAtMs: START,
  sinceMs: START,
  faults: [],
  wheels: (['left', 'right'] as const).map((wheel) => ({
    position: 'front',
    wheel,
    volumeL: 60,
    coldKpa: 110,
    setAtMs: START,
    flow: 'none',
    flowRate: 0,
    stopAtKpa: null,
  })),
  ...change,
});

describe('the simulated rig', () => {
  it('says the same twice, whoever asks', () =>
    expect(packetsBetween(sim(), START, START + HOUR, 60_000)).toEqual(
      packetsBetween(sim(), START, START + HOUR, 60_000),
    ));

  it('warms while it drives, by the gas law, and cools when it stops', () => {
    const rig = sim({ driving: true });
    expect(tireTempC(rig, START + 2 * HOUR)).toBeCloseTo(28, 1);
    const cold = coldNowKpa(rig, rig.wheels[0]!, START + 2 * HOUR);
    expect(cold).toBe(110);
    expect((shownKpa(rig, rig.wheels[0]!, START + 2 * HOUR) + 101.325) / (cold + 101.325)).toBeCloseTo(
      301.15 / 283.15,
      3,
    );
    expect(tireTempC(sim({ warmFromC: 28 }), START + HOUR)).toBeLessThan(11);
  });

  it.each([
    ['slowLeak', 110 - 3.45],
    ['burst', 0],
  ] as const)('has a %s', (kind, cold) => {
    const rig = sim({ faults: [fault(kind)] });
    expect(coldNowKpa(rig, rig.wheels[0]!, START + HOUR)).toBeCloseTo(cold, 2);
    expect(coldNowKpa(rig, rig.wheels[1]!, START + HOUR)).toBe(110);
  });

  it('goes silent, sticks, and has the wrong time', () => {
    const at = (kind: FaultKind): MonitorPacket | null =>
      packetOf(sim({ driving: true, faults: [fault(kind, HOUR)] }), 0, START + 2 * HOUR);
    expect(at('silent')).toBeNull();
    expect(at('stuck')!.pressureKpa).toBe(packetOf(sim({ driving: true }), 0, START + HOUR)!.pressureKpa);
    expect(Date.parse(at('wrongClock')!.sensedAt)).toBe(START + 3 * HOUR);
  });

  it('lets air out as a hole does, and puts it in as a pump does, up to where it is told', () => {
    const [wheel] = sim().wheels;
    const out = { ...wheel!, flow: 'out' as const, flowRate: 0.5, coldKpa: 240 };
    const after = coldNowKpa(sim(), out, START + 60_000);
    // Choked, exponent 1.1: (x^(1/22) − 1)/0.05 is half a time constant.
    expect((((240 + 101.325) / (after + 101.325)) ** (1 / 22) - 1) / 0.05).toBeCloseTo(0.5, 6);
    expect(coldNowKpa(sim(), { ...out, stopAtKpa: 200 }, START + 60_000)).toBe(200);
    const fill = { ...wheel!, flow: 'in' as const, flowRate: 60 };
    expect(coldNowKpa(sim(), fill, START + 60_000)).toBeCloseTo(110 + 101.325, 6);
    expect(coldNowKpa(sim(), { ...fill, stopAtKpa: 150 }, START + 60_000)).toBe(150);
  });
});

describe('the stand-ins over HTTP', () => {
  let server: TestServer;
  const rig = aRig();
  const base = `/api/v1/devices/rigs/${rig.id}`;
  const setup: DeviceSetup = {
    seed: 3,
    ambientC: 10,
    altitudeM: 0,
    driving: false,
    since: new Date(Date.now() - HOUR).toISOString(),
    wheels: [
      { position: 'front', wheel: 'left', volumeL: 60, coldKpa: 240 },
      { position: 'front', wheel: 'right', volumeL: 60, coldKpa: 240 },
    ],
  };
  beforeAll(async () => {
    server = await testServer();
    await request(server.app).put(`/api/v1/rigs/${rig.id}`).send(rig).expect(200);
  });
  afterAll(() => server.pool.end());

  it('are not there until they are switched on, and gone when switched off', async () => {
    await request(server.app).get(base).expect(404);
    await request(server.app).put(base).send(setup).expect(200);
    expect((await request(server.app).get(base).expect(200)).body.wheels).toHaveLength(2);
    await request(server.app).delete(base).expect(204);
    await request(server.app).get(`${base}/monitors`).expect(404);
  });

  it('look back an hour, and let faults be switched on and off', async () => {
    await request(server.app).put(base).send(setup).expect(200);
    const history = await request(server.app).get(`${base}/monitors?minutes=120`).expect(200);
    expect(history.body.packets.length).toBeGreaterThanOrEqual(118);
    expect(history.body.packets.length).toBeLessThanOrEqual(122);
    const silent = { position: 'front', wheel: 'left', kind: 'silent', since: setup.since };
    await request(server.app)
      .put(`${base}/faults`)
      .send({ faults: [silent] })
      .expect(200);
    const half = await request(server.app).get(`${base}/monitors?minutes=120`).expect(200);
    expect(new Set(half.body.packets.map(({ wheel }: MonitorPacket) => wheel))).toEqual(new Set(['right']));
    await request(server.app).put(`${base}/faults`).send({ faults: [] }).expect(200);
    await request(server.app)
      .put(`${base}/faults`)
      .send({ faults: [{ ...silent, kind: 'elsewhere' }] })
      .expect(400);
  });

  it('let air out of a wheel when told, as the gauge shows, and go on from there', async () => {
    await request(server.app).put(base).send(setup).expect(200);
    const flow = (body: object) => request(server.app).put(`${base}/wheels/front/left/flow`).send(body);
    await flow({ flow: 'out', conductanceLPerS: 20 }).expect(200);
    await new Promise((resolve) => setTimeout(resolve, 300));
    const stopped = await flow({ flow: 'none' }).expect(200);
    expect(stopped.body.pressureKpa).toBeLessThan(225);
    const later = await request(server.app).get(`${base}/gauge/front/left`).expect(200);
    expect(later.body.pressureKpa).toBeCloseTo(stopped.body.pressureKpa, 6);
    await request(server.app).get(`${base}/gauge/rear/left`).expect(404);
  });

  it('drive central inflation to its targets', async () => {
    await request(server.app).put(base).send(setup).expect(200);
    const told = await request(server.app)
      .put(`${base}/central`)
      .send({ axles: [{ position: 'front', coldKpa: 80 }], outLPerS: 100, supplyLPerMin: 900 })
      .expect(200);
    expect(told.body.axles[0]).toMatchObject({ targetKpa: 80, doing: 'lettingOut' });
    for (let tries = 0; tries < 100; tries += 1) {
      const { doing } = (await request(server.app).get(`${base}/central`).expect(200)).body.axles[0];
      if (doing === 'holding') break;
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
    const there = (await request(server.app).get(`${base}/central`)).body.axles[0];
    expect(there).toMatchObject({ doing: 'holding' });
    expect(there.coldKpa).toBeCloseTo(80, 6);
  });

  it('stream packets to everybody who follows, and say when they are switched off', async () => {
    await request(server.app).put(base).send(setup).expect(200);
    const listening = createServer(server.app).listen(0);
    const url = `http://127.0.0.1:${(listening.address() as AddressInfo).port}${base}/monitors/stream`;
    const first = async (): Promise<string> => {
      const answer = await fetch(url);
      expect(answer.headers.get('content-type')).toMatch('text/event-stream');
      const reader = answer.body!.getReader();
      let text = '';
      while (!text.includes('data:')) text += new TextDecoder().decode((await reader.read()).value);
      await reader.cancel();
      // A line that broke is opened again before anybody minds.
      expect(text).toMatch(/^retry: 500\n/);
      return text;
    };
    const [one, other] = await Promise.all([first(), first()]);
    const packets = (text: string) => JSON.parse(/data: (.*)/.exec(text)![1]!).packets;
    expect(packets(one)).toHaveLength(2);
    expect(packets(other)).toHaveLength(2);
    listening.close();
    listening.closeAllConnections();
    // A packet is sent every five seconds.
  }, 30_000);
});
