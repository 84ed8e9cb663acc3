import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { once } from 'node:events';
import http from 'node:http';
import type { AddressInfo } from 'node:net';

import type { LoadsEvent, Paper, Rig, RigRow, Sheet, Sheets } from '@dunlinmoss/contract';
import type { Pool, RowDataPacket } from 'mysql2/promise';
import { PDFDocument } from 'pdf-lib';
import request from 'supertest';

import { worksOf } from '../src/jobs/jobs';
import { PART_BYTES } from '../src/archive/pieces';
import { JobRunner, type Work } from '../src/jobs/runner';
import { createLogger } from '../src/logger';
import { MOST_IMPORTS } from '../src/limits';
import { addPart, beginJob, endComing, findJob, forgetOldJobs, JobLost } from '../src/repositories/jobs';
import { createApp } from '../src/app';
import { databaseStore } from '../src/store/photoStore';
import { aPhoto, aRig, aTest, sendTable, testServer, type TestServer } from './testServer';

let server: TestServer;
beforeAll(async () => {
  // Of its own: servers of the other tests would take its jobs, as any server of one database does.
  server = await testServer('dunlinmoss_imports');
});
afterAll(() => server.pool.end());

const START = Date.parse('2026-01-20T06:00:00.000Z');
const HEAD = 'time,axle,wheel,pressure_kpa,temp_c';
/** Readings of four wheels over three weeks and more, so that summaries come in several pieces. */
const LINES = 60_000;
const WHEELS = ['front,left', 'front,right', 'rear,left', 'rear,right'];
const lineOf = (index: number): string =>
  `${new Date(START + index * 36_000).toISOString()},${WHEELS[index % 4]},${(100 + (index % 97) / 10).toFixed(1)},${index % 5 === 0 ? '' : 12}`;
const TABLE = [HEAD, ...Array.from({ length: LINES }, (_, index) => lineOf(index)), ''].join('\n');

async function newRig(): Promise<string> {
  const rig = aRig();
  await request(server.app).put(`/api/v1/rigs/${rig.id}`).send(rig).expect(200);
  return rig.id;
}
const importOf = async (id: string) => (await request(server.app).get(`/api/v1/imports/${id}`).expect(200)).body;
const until = async (holds: () => Promise<boolean>): Promise<void> => {
  while (!(await holds())) await new Promise((resolve) => setTimeout(resolve, 20));
};
/** What the log of a rig adds up to, by its readings and by its summary. */
async function sums(pool: Pool, rigId: string): Promise<unknown> {
  const [[raw]] = await pool.query<RowDataPacket[]>(
    'SELECT COUNT(*) many FROM rig_log l JOIN log_rigs r ON r.no = l.rig WHERE r.rig_id = ?',
    [rigId],
  );
  const [[summed]] = await pool.query<RowDataPacket[]>(
    'SELECT SUM(readings) many FROM monitor_log_summary WHERE rig_id = ? AND span_min = 180',
    [rigId],
  );
  return { raw: Number(raw!.many), summed: Number(summed!.many) };
}
const WHOLE = { raw: LINES, summed: LINES };

/** A server over the same rows that does its jobs in another way. */
function serverDoing(change: (work: Work) => Work): { readonly app: TestServer['app']; readonly runner: JobRunner } {
  const { pool, config } = server;
  const log = createLogger('silent');
  const works = worksOf({ pool, photos: databaseStore(pool) });
  const changed = Object.fromEntries(Object.entries(works).map(([kind, work]) => [kind, change(work)]));
  const runner = new JobRunner(pool, log, changed as typeof works);
  return { app: createApp({ pool, log, ownerId: config.ownerId, hosts: [], webRoot: null, runner }), runner };
}

/** A server that is cut off after so many steps, as by a kill: it neither goes on, nor lets go, nor takes anything again. */
function killedAfter(steps: number): ReturnType<typeof serverDoing> & { readonly killed: () => Promise<boolean> } {
  let done = 0;
  let killed = false;
  const { app, runner } = serverDoing(
    (work) => (job, hands) =>
      work(job, {
        ...hands,
        step: async (step) => {
          if (done === steps) {
            killed = true;
            runner.stop();
            throw new JobLost();
          }
          done += 1;
          await hands.step(step);
        },
      }),
  );
  return { app, runner, killed: async () => killed };
}
/** Nobody has said for long that they are at it, nor says so any more. */
const letLapse = (id: string): Promise<unknown> =>
  server.pool.query('UPDATE jobs SET holder = NULL, held_until = NOW(3) - INTERVAL 1 SECOND WHERE id = ?', [id]);

describe('a job that ends the server', () => {
  it('is taken up again once, then refused with the reason, and a later server starts', async () => {
    const [rigId, id] = [await newRig(), randomUUID()];
    let runs = 0;
    for (let start = 1; start <= 4; start += 1) {
      // As a process that ends: it neither goes on nor lets go.
      const { app, runner } = serverDoing(() => async () => {
        runs += 1;
        runner.stop();
        throw new JobLost();
      });
      if (start === 1) {
        void request(app)
          .post(`/api/v1/import/log/${rigId}?as=${id}`)
          .set('content-type', 'text/csv')
          .send(TABLE)
          .then(
            () => undefined,
            () => undefined,
          );
        await until(async () => runs === 1);
      } else {
        runner.start();
        await until(async () => runs >= start || (await importOf(id)).state === 'refused');
        runner.stop();
      }
      await letLapse(id);
    }
    expect(runs).toBe(2);
    expect(await importOf(id)).toMatchObject({ state: 'refused', told: { problem: { code: 'serverStopped' } } });
  });
});

describe('an import whose line breaks', () => {
  it('is gone on with from where it broke, and is whole', async () => {
    const [rigId, id] = [await newRig(), randomUUID()];
    const bytes = Buffer.from(TABLE);
    const listening = server.app.listen(0, '127.0.0.1');
    await once(listening, 'listening');
    const { port } = listening.address() as AddressInfo;
    const asked = http.request({
      port,
      method: 'POST',
      path: `/api/v1/import/log/${rigId}?as=${id}`,
      headers: { 'content-type': 'text/csv', 'content-length': bytes.length },
    });
    asked.on('error', () => undefined);
    // In the middle of a line.
    asked.write(bytes.subarray(0, Math.floor(bytes.length * 0.7) + 11));
    await until(async () => ((await findJob(server.pool, server.config.ownerId, id))?.parts ?? 0) >= 2);
    asked.destroy();
    listening.closeAllConnections();
    await new Promise((resolve) => listening.close(resolve));

    const { state, bytes: come } = await importOf(id);
    expect(state).toBe('coming');
    // Whoever else looks is told that as well, but for what is not of their space.
    const openFor = async (app: TestServer['app']) =>
      (await request(app).get('/api/v1/imports').expect(200)).body.items;
    expect(await openFor(server.app)).toMatchObject([{ id, rigId, kind: 'log', state: 'coming', bytes: come }]);
    const stranger = randomUUID();
    await server.pool.query('INSERT INTO owners (id) VALUES (?)', [stranger]);
    expect(await openFor(server.as(stranger))).toEqual([]);
    expect(bytes[come - 1]).toBe(10);
    expect(await sums(server.pool, rigId)).toEqual({ raw: 0, summed: 0 });
    // Not from anywhere else.
    const elsewhere = await request(server.app)
      .post(`/api/v1/import/log/${rigId}?as=${id}&from=${come - 5}`)
      .set('content-type', 'text/csv')
      .send('x')
      .expect(400);
    expect(elsewhere.body.fields).toMatchObject([{ path: '/from', code: 'otherMark', limit: come }]);

    const told = await sendTable(server.app, `/import/log/${rigId}?as=${id}&from=${come}`, bytes.subarray(come));
    expect(told.at(-1)).toMatchObject({ done: { added: LINES, alreadyThere: 0 } });
    expect(await sums(server.pool, rigId)).toEqual(WHOLE);
    expect(await openFor(server.app)).toEqual([]);
  });

  it('tells a bad line by its place in the whole table, and keeps nothing', async () => {
    const [rigId, id] = [await newRig(), randomUUID()];
    const bytes = Buffer.from(`${TABLE}no line\n`);
    await server.pool.query(
      `INSERT INTO jobs (owner_id, id, kind, state, asked, bytes, parts, mark, told) VALUES (?, ?, 'log', 'coming', ?, ?, 1, ?, 'null')`,
      [
        server.config.ownerId,
        id,
        JSON.stringify({ rigId }),
        Buffer.byteLength(`${HEAD}\n${lineOf(0)}\n`),
        JSON.stringify({ line: 2, head: HEAD.split(',') }),
      ],
    );
    const { bytes: come } = await importOf(id);
    const told = await sendTable(server.app, `/import/log/${rigId}?as=${id}&from=${come}`, bytes.subarray(come));
    expect(told.at(-1)).toMatchObject({ problem: { code: 'linesRefused', lines: [{ line: LINES + 2 }] } });
    expect(await sums(server.pool, rigId)).toEqual({ raw: 0, summed: 0 });
    // Sent once more, it is told the same.
    expect(await sendTable(server.app, `/import/log/${rigId}?as=${id}`, bytes)).toEqual(told.slice(-1));
  });
});

describe('an import that has come in whole', () => {
  // While batches are taken in, between the last and the first piece of the summary, and within the summary.
  it.each([1, 3, 4, 6])('goes on by itself on another server after a kill at step %i', async (steps) => {
    const [rigId, id] = [await newRig(), randomUUID()];
    const path = `/import/log/${rigId}?as=${id}`;
    const { app, killed } = killedAfter(steps);
    const first = sendTable(app, path, TABLE);
    await until(killed);
    await letLapse(id);
    // Asked for again, as a phone does whose line broke.
    const told = await sendTable(server.app, path, '');
    expect(told.at(-1)).toMatchObject({ done: { added: LINES, alreadyThere: 0 } });
    expect((await first).at(-1)).toEqual(told.at(-1));
    expect(await sums(server.pool, rigId)).toEqual(WHOLE);
    // What came is not kept twice.
    await until(async () => {
      const [parts] = await server.pool.query<never[]>('SELECT 1 FROM job_parts WHERE job_id = ?', [id]);
      return parts.length === 0;
    });
  });

  it('is done once where two servers are at it, the first of which was thought dead', async () => {
    const [rigId, id] = [await newRig(), randomUUID()];
    let goOn: () => void = () => undefined;
    const held = new Promise<void>((resolve) => (goOn = resolve));
    let steps = 0;
    const { pool, config } = server;
    const { app } = serverDoing(
      (work) => (job, hands) =>
        work(job, {
          ...hands,
          step: (step) =>
            hands.step(async (connection) => {
              steps += 1;
              // Taken for dead in the middle of its second batch.
              if (steps === 2) await held;
              return step(connection);
            }),
        }),
    );
    const path = `/import/log/${rigId}?as=${id}`;
    const first = sendTable(app, path, TABLE);
    await until(async () => steps === 2);
    await letLapse(id);
    const second = sendTable(server.app, path, '');
    // It has gone on before the first wakes up again.
    await until(async () => ((await findJob(pool, config.ownerId, id))!.mark as { part: number }).part >= 2);
    goOn();
    const done = { done: { added: LINES, alreadyThere: 0 } };
    expect((await first).at(-1)).toMatchObject(done);
    expect((await second).at(-1)).toMatchObject(done);
    expect(await sums(pool, rigId)).toEqual(WHOLE);
  });

  it('ends with its rig, and can’t be stopped before', async () => {
    const [rigId, id] = [await newRig(), randomUUID()];
    const { app, killed } = killedAfter(2);
    const asked = sendTable(app, `/import/log/${rigId}?as=${id}`, TABLE);
    await until(killed);
    expect((await request(server.app).delete(`/api/v1/imports/${id}`).expect(409)).body.code).toBe('underWay');
    await request(server.app).delete(`/api/v1/rigs/${rigId}?revision=1`).expect(204);
    await request(server.app).delete(`/api/v1/rigs/${rigId}?revision=2&forever=true`).expect(204);
    await request(server.app).get(`/api/v1/imports/${id}`).expect(404);
    expect(await sums(server.pool, rigId)).toEqual({ raw: 0, summed: 0 });
    expect((await asked).at(-1)).not.toHaveProperty('done');
  });
});

describe('an archive that is still looked through', () => {
  it('can be stopped', async () => {
    let goOn: () => void = () => undefined;
    const held = new Promise<void>((resolve) => (goOn = resolve));
    let looking = false;
    const { app } = serverDoing(() => async (_, { step }) => {
      looking = true;
      await held;
      await step(async () => ({ mark: null, told: { done: {} }, state: 'done' }));
    });
    const id = randomUUID();
    const asked = request(app)
      .post(`/api/v1/archive?as=${id}`)
      .set('content-type', 'application/zip')
      .send(Buffer.from('some bytes'))
      .buffer(true)
      .parse((response, done) => void response.on('data', () => undefined).on('end', () => done(null, '')))
      .expect(200)
      .then(() => undefined);
    await until(async () => looking);
    await request(server.app).delete(`/api/v1/imports/${id}`).expect(204);
    await request(server.app).get(`/api/v1/imports/${id}`).expect(404);
    goOn();
    await asked;
    await request(server.app).get(`/api/v1/imports/${id}`).expect(404);
  });
});

const rigsOf = async (): Promise<RigRow[]> => {
  const { items } = (await request(server.app).get('/api/v1/rigs?limit=100').expect(200)).body;
  return items;
};

describe('a table of loads', () => {
  const MANY = 400;
  /** A table of machines of its own, with a load case that each has and some that none has: three batches. */
  async function machines(): Promise<{ readonly table: string; readonly rigs: readonly Rig[] }> {
    const rigs = Array.from({ length: MANY }, (_, index) => aRig({ name: `Twite ${index} ${randomUUID()}` }));
    await request(server.app)
      .post('/api/v1/import')
      .send({ format: 'dunlinmoss', version: 3, gauges: [], tools: [], rigs, outings: [], tests: [] })
      .expect(200);
    const lines = Array.from({ length: 24 }, (_, round) =>
      rigs.flatMap(({ name }) => [
        `${name},Touring,front,${round % 2 === 0 ? 'left' : 'right'},${500 + round}`,
        `${name},Load ${Math.floor(round / 2)},rear,${round % 2 === 0 ? 'left' : 'right'},${600 + round}`,
      ]),
    ).flat();
    const once = [...new Map(lines.map((line) => [line.slice(0, line.lastIndexOf(',')), line])).values()];
    return { table: ['rig,load case,axle,wheel,load kg', ...once].join('\n'), rigs };
  }
  const digestOf = async (table: string) => {
    const told = (await sendTable(server.app, '/import/loads', table)).at(-1) as unknown as Extract<
      LoadsEvent,
      { done: unknown }
    >;
    return told.done;
  };
  const weighed = async (rigs: readonly Rig[]) => {
    const [rows] = await server.pool.query<RowDataPacket[]>(
      'SELECT rig_id, COUNT(*) many, SUM(load_kg) kg FROM case_weights WHERE rig_id IN (?) GROUP BY rig_id',
      [rigs.map(({ id }) => id)],
    );
    return new Set(rows.map(({ many, kg }) => `${many} ${kg}`));
  };

  it.each([1, 2, 4])('is taken in once where its server is killed at step %i', async (steps) => {
    const { table, rigs } = await machines();
    const { counts, digest } = await digestOf(table);
    expect(counts.add).toBeGreaterThan(10_000);
    const path = `/import/loads?apply=${digest}&as=${randomUUID()}`;
    const { app, killed } = killedAfter(steps);
    const first = sendTable(app, path, table);
    await until(killed);
    await letLapse(path.slice(-36));
    const told = await sendTable(server.app, path, table);
    expect(told.at(-1)).toMatchObject({ done: { applied: true, counts, rigs: MANY } });
    expect((await first).at(-1)).toEqual(told.at(-1));
    // Each machine has the same, once.
    expect((await weighed(rigs)).size).toBe(1);
    // The same name once more is the same import; another table is another.
    expect((await sendTable(server.app, path, table)).at(-1)).toEqual(told.at(-1));
    const other = await request(server.app).post(`/api/v1${path}`).set('content-type', 'text/csv').send(`${table}\n`);
    expect(other.body.fields).toMatchObject([{ path: '/as', code: 'otherImport' }]);
    expect((await digestOf(table)).counts).toMatchObject({ add: 0, change: 0, same: counts.add + counts.change });
  });

  it('says what it could not do any more, where a machine was put away meanwhile', async () => {
    const { table, rigs } = await machines();
    const { counts, digest } = await digestOf(table);
    const path = `/import/loads?apply=${digest}&as=${randomUUID()}`;
    const { app, killed } = killedAfter(1);
    const first = sendTable(app, path, table);
    await until(killed);
    await request(server.app)
      .delete(`/api/v1/rigs/${rigs.at(-1)!.id}?revision=1`)
      .expect(204);
    await letLapse(path.slice(-36));
    await sendTable(server.app, path, table);
    const lost = (counts.add + counts.change) / MANY;
    expect((await first).at(-1)).toMatchObject({ done: { counts: { refuse: lost }, rigs: MANY - 1 } });
  });
});

describe('a file of rows', () => {
  const file = () => {
    const rigs = Array.from({ length: 60 }, () => aRig({ name: 'Dunnock' }));
    const tests = rigs.flatMap(({ id }) => Array.from({ length: 20 }, () => aTest(id)));
    return { format: 'dunlinmoss', version: 3, gauges: [], tools: [], rigs, outings: [], tests };
  };
  const send = (app: TestServer['app'], as: string, body: object) =>
    request(app).post(`/api/v1/import?as=${as}`).send(body);

  it.each([0, 1, 2, 4])('is taken in once where its server is killed at step %i', async (steps) => {
    const [whole, as] = [file(), randomUUID()];
    const { app, killed } = killedAfter(steps);
    const first = send(app, as, whole).then((answer) => answer);
    await until(killed);
    await letLapse(as);
    const told = await send(server.app, as, whole).expect(200);
    expect(told.body).toMatchObject({ applied: true, added: 60 + 1_200, alreadyThere: 0 });
    expect((await first).body).toEqual(told.body);
    const asked = await request(server.app).post('/api/v1/import?preview=true').send(whole).expect(200);
    expect(asked.body).toMatchObject({ added: 0, alreadyThere: 60 + 1_200 });
    // Under another name it is asked anew.
    expect((await send(server.app, randomUUID(), whole).expect(200)).body.added).toBe(0);
  });

  it('is refused whole where one of its rows points nowhere, however far back', async () => {
    const whole = file();
    const lost = aTest(randomUUID());
    const refused = await send(server.app, randomUUID(), { ...whole, tests: [...whole.tests, lost] }).expect(400);
    expect(refused.body.code).toBe('missingReference');
    expect((await rigsOf()).filter(({ id }) => whole.rigs.some((rig) => rig.id === id))).toEqual([]);
  });

  it('does not wait for what is long', async () => {
    let goOn: () => void = () => undefined;
    const held = new Promise<void>((resolve) => (goOn = resolve));
    let longOnes = 0;
    const { app } = serverDoing((work) => async (job, hands) => {
      if (job.kind === 'log') {
        longOnes += 1;
        await held;
      }
      await work(job, hands);
    });
    // Three: more than are worked on at once.
    const rigs = await Promise.all(Array.from({ length: 3 }, newRig));
    const logs = rigs.map((rigId) => sendTable(app, `/import/log/${rigId}`, `${HEAD}\n${lineOf(0)}\n`));
    await until(async () => longOnes === 2);
    expect((await send(app, randomUUID(), file()).expect(200)).body.added).toBe(60 + 1_200);
    goOn();
    for (const sent of logs) expect((await sent).at(-1)).toMatchObject({ done: { added: 1 } });
    expect(longOnes).toBe(3);
  });

  it('goes on where it was cut off while it was being kept', async () => {
    const whole = { ...file(), rigs: Array.from({ length: 1_200 }, () => aRig({ name: 'Linnet' })), tests: [] };
    const as = randomUUID();
    const bytes = Buffer.from(JSON.stringify(whole));
    expect(bytes.length).toBeGreaterThan(PART_BYTES);
    const { ownerId } = server.config;
    const of = createHash('sha256').update(bytes).digest('hex');
    const job = await beginJob(server.pool, { ownerId, id: as, kind: 'rows', asked: { of }, mark: null });
    await addPart(server.pool, job, bytes.subarray(0, PART_BYTES), PART_BYTES, null);
    expect((await send(server.app, as, whole).expect(200)).body.added).toBe(1_200);
  });
});

describe('everything as one file', () => {
  it('is begun anew where the server that put it together was killed, and is whole', async () => {
    const owner = randomUUID();
    await server.pool.query('INSERT INTO owners (id) VALUES (?)', [owner]);
    const app = server.as(owner);
    // Large ones that don't get smaller in an archive.
    const plain = aPhoto();
    for (let index = 0; index < 4; index += 1) {
      const scan = randomBytes(700_000).map((byte) => Math.min(byte, 0xfe));
      const photo = Buffer.concat([plain.subarray(0, -2), scan, plain.subarray(-2)]);
      await request(app)
        .put(`/api/v1/photos/${randomUUID()}`)
        .set('content-type', 'image/jpeg')
        .send(photo)
        .expect(204);
    }
    const fileAt = async (id: string): Promise<Buffer> => {
      await until(async () => (await request(app).get(`/api/v1/imports/${id}`).expect(200)).body.state === 'done');
      return (await request(app).get(`/api/v1/archives/${id}`).responseType('blob').expect(200)).body;
    };
    const [id, other] = [randomUUID(), randomUUID()];
    const { runner, killed } = killedAfter(2);
    const job = await beginJob(server.pool, { ownerId: owner, id, kind: 'out', asked: null, mark: null });
    await endComing(server.pool, job, { state: 'working', mark: null, told: null });
    runner.wake(job);
    await until(killed);
    await request(app).get(`/api/v1/archives/${id}`).expect(404);
    await letLapse(id);
    await request(app).put(`/api/v1/archives/${id}`).expect(202);
    const file = await fileAt(id);
    expect(file.length).toBeGreaterThan(2 * PART_BYTES);
    await request(app).put(`/api/v1/archives/${other}`).expect(202);
    expect(file.equals(await fileAt(other))).toBe(true);
    // An hour later it is gone.
    await server.pool.query('UPDATE jobs SET touched_at = NOW(3) - INTERVAL 61 MINUTE WHERE id = ?', [id]);
    await forgetOldJobs(server.pool);
    await request(app).get(`/api/v1/archives/${id}`).expect(404);
    await request(app).head(`/api/v1/archives/${other}`).expect(200);
  });
});

describe('sheets on paper', () => {
  /** Some take longer than it is waited before anything is told. */
  const MANY = 300;
  const sheet = (index: number): Sheet => ({
    title: `Żuraw № ${index}`,
    about: 'Tractor · loaded: Ploughing',
    parts: [
      {
        head: ['Ground', 'Front', 'Rear', 'km/h'],
        rows: Array.from({ length: 12 }, (_, row) => [`Field ${row}`, '12 (11–13) ≥ 10', '9 (8–10) ≥ 8', '40']),
      },
      { title: 'Front axle', lines: [['Tire', '540/65R28 142D']] },
      { title: 'Mind', bullets: Array.from({ length: 6 }, () => 'Soft tires at speed overheat and fail. '.repeat(4)) },
    ],
    foot: 'Cold pressures.',
  });
  const sheets = (many: number, change: Partial<Sheets> = {}): Sheets => ({
    name: 'Żuraw and all others',
    paper: 'A6',
    sheets: Array.from({ length: many }, (_, index) => sheet(index)),
    ...change,
  });
  const put = (app: TestServer['app'], id: string, body: unknown) =>
    request(app)
      .put(`/api/v1/papers/${id}`)
      .send(body as object);
  const fetched = (app: TestServer['app'], id: string) => request(app).get(`/api/v1/papers/${id}`).responseType('blob');
  const pagesOf = async (file: Buffer): Promise<number> => (await PDFDocument.load(file)).getPageCount();

  it('are made by another server where one was killed in the middle, and told of as they are', async () => {
    const owner = randomUUID();
    await server.pool.query('INSERT INTO owners (id) VALUES (?)', [owner]);
    const app = server.as(owner);
    const id = randomUUID();
    const body = sheets(MANY);
    const { runner, killed } = killedAfter(1);
    // As it lies there once it has come.
    const bytes = Buffer.from(JSON.stringify(body));
    const of = createHash('sha256').update(bytes).digest('hex');
    const job = await beginJob(server.pool, {
      ...{ ownerId: owner, id, kind: 'paper', mark: null },
      asked: { of, name: body.name },
    });
    await addPart(server.pool, job, bytes, bytes.length, null);
    await endComing(server.pool, { ...job, parts: 1 }, { state: 'working', mark: null, told: null });
    runner.wake(job);
    await until(killed);
    await fetched(app, id).expect(404);
    const now = async () => (await request(app).get(`/api/v1/imports/${id}`).expect(200)).body;
    const { made: left } = (await now()).told;
    await letLapse(id);

    const told: number[] = [];
    await put(app, id, body).expect(202);
    await until(async () => {
      const { state, told: last } = await now();
      // Until it is told anew what the killed one had made stands there, and that may have been more.
      if (told.length > 0 || last.made !== left) told.push(last.made);
      return state === 'done';
    });
    expect(told).toEqual([...told].sort((a, b) => a - b));
    expect(told.at(-1)).toBe(MANY);
    const { body: file, headers } = await fetched(app, id).expect(200);
    expect(headers['content-type']).toBe('application/pdf');
    expect(headers['content-disposition']).toContain("filename*=UTF-8''%C5%BBuraw%20and%20all%20others.pdf");
    expect(await pagesOf(file)).toBe(MANY);
    // A range of it, for whoever goes on where the line broke.
    const { body: rest } = await fetched(app, id).set('range', 'bytes=100-').expect(206);
    expect(file.subarray(100).equals(rest)).toBe(true);
    // The same again is there; what came for it is not kept beside it.
    expect((await put(app, id, body).expect(202)).body).toMatchObject({ state: 'done', bytes: file.length });
    const [[kept]] = await server.pool.query<RowDataPacket[]>(
      'SELECT SUM(LENGTH(bytes)) bytes FROM job_parts WHERE job_id = ?',
      [id],
    );
    expect(Number(kept!.bytes)).toBe(file.length);
    // It is nobody else's, and takes no import's name.
    await fetched(server.app, id).expect(404);
    expect((await request(app).get('/api/v1/imports').expect(200)).body.items).toEqual([]);
    expect((await put(app, id, sheets(1)).expect(400)).body.fields[0].code).toBe('otherImport');
    // An hour later it is gone.
    await server.pool.query('UPDATE jobs SET touched_at = NOW(3) - INTERVAL 61 MINUTE WHERE id = ?', [id]);
    await forgetOldJobs(server.pool);
    await fetched(app, id).expect(404);
  });

  it('are made once where two devices ask for the same in the same moment', async () => {
    const owner = randomUUID();
    await server.pool.query('INSERT INTO owners (id) VALUES (?)', [owner]);
    const app = server.as(owner);
    const id = randomUUID();
    const answers = await Promise.all([1, 2, 3].map(() => put(app, id, sheets(40))));
    // Who is behind asks again.
    expect(answers.map(({ status }) => status).filter((status) => status !== 202 && status !== 503)).toEqual([]);
    expect(answers.some(({ status }) => status === 202)).toBe(true);
    await until(async () => (await request(app).get(`/api/v1/imports/${id}`)).body.state === 'done');
    expect(await pagesOf((await fetched(app, id).expect(200)).body)).toBe(40);
    expect((await put(app, id, sheets(40)).expect(202)).body.state).toBe('done');
    const [rows] = await server.pool.query<RowDataPacket[]>('SELECT id FROM jobs WHERE owner_id = ?', [owner]);
    expect(rows).toHaveLength(1);
  });

  it('make room for one another, but not for a file with everything', async () => {
    const owner = randomUUID();
    await server.pool.query('INSERT INTO owners (id) VALUES (?)', [owner]);
    const app = server.as(owner);
    const isDone = async (id: string) => (await request(app).get(`/api/v1/imports/${id}`)).body.state === 'done';
    const whole = randomUUID();
    await request(app).put(`/api/v1/archives/${whole}`).expect(202);
    await until(() => isDone(whole));
    const ids = [randomUUID(), randomUUID(), randomUUID()];
    for (const [index, id] of ids.entries()) {
      await put(app, id, sheets(index + 1, { paper: 'A5' })).expect(202);
      await until(() => isDone(id));
      expect(await pagesOf((await fetched(app, id).expect(200)).body)).toBe(index + 1);
    }
    await fetched(app, ids[0]!).expect(404);
    await fetched(app, ids[1]!).expect(200);
    await request(app).head(`/api/v1/archives/${whole}`).expect(200);
    // A name of one is not the other's.
    await fetched(app, whole).expect(404);
  });

  it('are refused where they are none, and asked for anew where they came to nothing', async () => {
    const { app, pool, config } = server;
    const id = randomUUID();
    const ragged = { head: ['Ground', 'Front'], rows: [['Sand', '12'], ['Field']] };
    for (const wrong of [
      sheets(0),
      sheets(1, { paper: 'A0' as Paper }),
      sheets(1, { sheets: [{ ...sheet(0), parts: [ragged] }] }),
      sheets(1, { name: '' }),
    ]) {
      expect((await put(app, id, wrong).expect(400)).body.code).toBe('invalid');
    }
    await request(app).get(`/api/v1/imports/${id}`).expect(404);
    await put(app, id, sheets(1)).expect(202);
    await until(async () => (await importOf(id)).state === 'done');
    await pool.query(`UPDATE jobs SET state = 'refused' WHERE owner_id = ? AND id = ?`, [config.ownerId, id]);
    await put(app, id, sheets(1)).expect(202);
    await until(async () => (await importOf(id)).state === 'done');
    await fetched(app, id).expect(200);
  });
});

describe('the name of an import', () => {
  it('is refused where a space has as many open as it may have', async () => {
    const other = randomUUID();
    await server.pool.query('INSERT INTO owners (id) VALUES (?)', [other]);
    const app = server.as(other);
    const rig = aRig();
    await request(app).put(`/api/v1/rigs/${rig.id}`).send(rig).expect(200);
    const open = Array.from({ length: MOST_IMPORTS }, () => randomUUID());
    for (const id of open) {
      await beginJob(server.pool, { ownerId: other, id, kind: 'log', asked: { rigId: rig.id }, mark: null });
    }
    const send = () =>
      request(app)
        .post(`/api/v1/import/log/${rig.id}`)
        .set('content-type', 'text/csv')
        .send(`${HEAD}\n${lineOf(0)}\n`);
    expect((await send().expect(409)).body.code).toBe('tooMany');
    // One that stands still gives way.
    await server.pool.query('UPDATE jobs SET touched_at = NOW(3) - INTERVAL 11 MINUTE WHERE id = ?', [open[1]]);
    await send().expect(200);
    await request(app).get(`/api/v1/imports/${open[1]}`).expect(404);
    await beginJob(server.pool, {
      ownerId: other,
      id: randomUUID(),
      kind: 'log',
      asked: { rigId: rig.id },
      mark: null,
    });
    await send().expect(409);
    await request(app).delete(`/api/v1/imports/${open[0]}`).expect(204);
    await send().expect(200);
  });

  it('is one for one thing, is nobody else’s, and is forgotten when asked or after days', async () => {
    const [rigId, id] = [await newRig(), randomUUID()];
    await sendTable(server.app, `/import/log/${rigId}?as=${id}`, `${HEAD}\n${lineOf(0)}\n`);
    const other = await request(server.app)
      .post(`/api/v1/import/log/${await newRig()}?as=${id}`)
      .set('content-type', 'text/csv')
      .send(TABLE)
      .expect(400);
    expect(other.body.fields).toMatchObject([{ path: '/as', code: 'otherImport' }]);
    const stranger = randomUUID();
    await server.pool.query('INSERT INTO owners (id) VALUES (?)', [stranger]);
    await request(server.as(stranger)).get(`/api/v1/imports/${id}`).expect(404);
    await request(server.as(stranger)).delete(`/api/v1/imports/${id}`).expect(204);
    expect((await importOf(id)).state).toBe('done');
    await request(server.app).delete(`/api/v1/imports/${id}`).expect(204);
    await request(server.app).get(`/api/v1/imports/${id}`).expect(404);

    await sendTable(server.app, `/import/log/${rigId}?as=${id}`, `${HEAD}\n${lineOf(0)}\n`);
    await forgetOldJobs(server.pool);
    expect((await importOf(id)).state).toBe('done');
    await server.pool.query('UPDATE jobs SET touched_at = NOW(3) - INTERVAL 4 DAY WHERE id = ?', [id]);
    await forgetOldJobs(server.pool);
    await request(server.app).get(`/api/v1/imports/${id}`).expect(404);
  });
});
