import { randomUUID } from 'node:crypto';
import { createServer, type Server } from 'node:http';
import net, { type AddressInfo } from 'node:net';

import { pino } from 'pino';
import request from 'supertest';

import { createApp } from '../src/app';
import { NoPlace, Places } from '../src/places';
import { anOuting, aRig, testServer, type TestServer } from './testServer';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.pool.end());

async function newRig(): Promise<ReturnType<typeof aRig>> {
  const rig = aRig();
  await request(server.app).put(`/api/v1/rigs/${rig.id}`).send(rig).expect(200);
  return rig;
}

describe('Places', () => {
  it('lets so many in, keeps so many waiting in order, and refuses more at once', async () => {
    const places = new Places(2, 2);
    const order: string[] = [];
    await places.take();
    await places.take();
    const waiting = ['third', 'fourth'].map((name) => places.take().then(() => order.push(name)));
    await expect(places.take()).rejects.toThrow(NoPlace);
    places.give();
    places.give();
    await Promise.all(waiting);
    expect(order).toEqual(['third', 'fourth']);
    places.give();
    places.give();
    await places.take();
  });

  it('refuses who has waited too long, and gives the place to the next', async () => {
    const places = new Places(1, 5, 20);
    await places.take();
    await expect(places.take()).rejects.toThrow(NoPlace);
    places.give();
    await places.take();
  });
});

describe('under load', () => {
  it('readers don’t wait for a row that somebody holds, and who must wait too long is told to come again', async () => {
    const rig = await newRig();
    const holder = await server.pool.getConnection();
    try {
      await holder.beginTransaction();
      await holder.query('SELECT * FROM rigs WHERE owner_id = ? AND id = ? FOR UPDATE', [
        server.config.ownerId,
        rig.id,
      ]);
      const finished: string[] = [];
      const writers = Array.from({ length: 12 }, (_, index) =>
        request(server.app)
          .put(`/api/v1/rigs/${rig.id}`)
          .send({ ...rig, revision: 1, name: `Knot ${index}` })
          .then((answer) => {
            finished.push('writer');
            return answer;
          }),
      );
      await new Promise((resolve) => setTimeout(resolve, 300));
      const readers = await Promise.all(
        Array.from({ length: 40 }, () => request(server.app).get(`/api/v1/rigs/${rig.id}`)),
      );
      expect(readers.map(({ status }) => status)).toEqual(readers.map(() => 200));
      expect(finished).toEqual([]);
      const answers = await Promise.all(writers);
      for (const { status, body, headers } of answers) {
        expect([status, body.code, headers['retry-after']]).toEqual([503, 'overloaded', '2']);
      }
    } finally {
      await holder.rollback();
      holder.release();
    }
    await request(server.app)
      .put(`/api/v1/rigs/${rig.id}`)
      .send({ ...rig, revision: 1, name: 'Twite' })
      .expect(200);
  }, 30_000);

  it('hundreds of new rows at once, some the same, are all saved once', async () => {
    const rig = await newRig();
    const outings = Array.from({ length: 60 }, () => anOuting(rig.id));
    const answers = await Promise.all(
      [...outings, ...outings, ...outings].map((outing) =>
        request(server.app).put(`/api/v1/outings/${outing.id}`).send(outing),
      ),
    );
    expect(answers.filter(({ status }) => status !== 200)).toEqual([]);
    const [rows] = await server.pool.query('SELECT id FROM outings WHERE owner_id = ? AND rig_id = ?', [
      server.config.ownerId,
      rig.id,
    ]);
    expect(rows).toHaveLength(60);
  }, 30_000);
});

describe('a body that does not come', () => {
  let slow: Server;
  beforeAll(async () => {
    const app = createApp({
      pool: server.pool,
      log: pino({ level: 'silent' }),
      ownerId: server.config.ownerId,
      hosts: [],
      webRoot: null,
      bodyMs: 200,
    });
    slow = createServer(app);
    await new Promise<void>((resolve) => slow.listen(0, '127.0.0.1', resolve));
  });
  afterAll(() => new Promise((resolve) => slow.close(resolve)));

  /** Says that a body of a thousand bytes comes, sends ten, and waits for what the server does. */
  const trickle = (path: string, type: string): Promise<string> =>
    new Promise((resolve) => {
      const socket = net.connect((slow.address() as AddressInfo).port, '127.0.0.1');
      let told = '';
      socket.on('data', (part) => (told += part));
      socket.on('error', () => undefined);
      socket.on('close', () => resolve(told));
      socket.write(
        `PUT ${path} HTTP/1.1\r\nHost: localhost\r\nContent-Type: ${type}\r\nContent-Length: 1000\r\n\r\n{"id": "a`,
      );
    });

  it.each([
    ['a row', `/api/v1/rigs/${randomUUID()}`, 'application/json', /^HTTP\/1\.1 408 .*"code":"tooSlow"/s],
    // What may be long is only cut off: how long it may take is not known.
    ['a photo', `/api/v1/photos/${randomUUID()}`, 'image/jpeg', /^(HTTP\/1\.1 4\d\d .*)?$/s],
  ])('is cut off: %s', async (_, path, type, expected) => {
    expect(await trickle(path, type)).toMatch(expected);
    await request(slow).get('/api/v1/health').expect(200);
  });
});
