import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';

import type { LoadsEvent, LoadsOutcome, RigRow } from '@dunlinmoss/contract';
import type { RowDataPacket } from 'mysql2/promise';
import request from 'supertest';

import { aCase, anAxle, aRig, testServer, type TestServer } from './testServer';

let server: TestServer;
let curlew: ReturnType<typeof aRig>;
beforeEach(async () => {
  server = await testServer();
  curlew = aRig({ name: 'Curlew' });
  await put(curlew);
});
afterEach(() => server.pool.end());

const put = (rig: ReturnType<typeof aRig>) => request(server.app).put(`/api/v1/rigs/${rig.id}`).send(rig).expect(200);
const rigNow = async (): Promise<RigRow> =>
  (await request(server.app).get(`/api/v1/rigs/${curlew.id}`).expect(200)).body;

async function send(text: string, apply?: string): Promise<LoadsEvent[]> {
  const answer = await request(server.app)
    .post(`/api/v1/import/loads${apply === undefined ? '' : `?apply=${apply}`}`)
    .set('content-type', 'text/csv')
    .buffer(true)
    .parse((response, done) => {
      let body = '';
      response.on('data', (part: Buffer) => (body += part.toString('utf8')));
      response.on('end', () => done(null, body));
    })
    .send(text)
    .expect(200);
  return (answer.body as string)
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as LoadsEvent);
}
const ask = async (text: string) => {
  const events = await send(text);
  const outcomes = events.flatMap((event): LoadsOutcome[] => ('outcomes' in event ? event.outcomes : []));
  const last = events.at(-1)!;
  return { outcomes, last, done: 'done' in last ? last.done : undefined };
};

describe('a table of loads', () => {
  it('tells line by line what it would do, keeps nothing until told to, then just that', async () => {
    const table = [
      'rig,load case,axle,wheel,load kg',
      'curlew,Touring,front,axle,1160',
      'Curlew,Touring,rear,left,712.5',
      'Curlew,Tank full,front,left,600',
      'Curlew,Tank full,front,right,610',
    ].join('\n');
    const { outcomes, done } = await ask(table);
    expect(outcomes.map(({ line, action }) => [line, action])).toEqual([
      [2, 'same'],
      [3, 'change'],
      [4, 'add'],
      [5, 'add'],
    ]);
    expect(outcomes[1]).toMatchObject({ beforeKg: 690, loadKg: 712.5 });
    expect(done).toMatchObject({
      applied: false,
      newCases: 1,
      rigs: 1,
      counts: { add: 2, change: 1, same: 1, refuse: 0 },
    });
    expect((await rigNow()).revision).toBe(1);

    expect((await send(table, done!.digest)).at(-1)).toMatchObject({ done: { applied: true } });
    const after = await rigNow();
    expect(after.revision).toBe(2);
    expect(after.loadCases.map(({ name }) => name)).toEqual(['Touring', 'Tank full']);
    expect(after.loadCases[0]!.weighed[1]).toEqual({ position: 'rear', part: 'left', loadKg: 712.5 });
    expect(after.loadCases[1]!.weighed).toEqual([
      { position: 'front', part: 'left', loadKg: 600 },
      { position: 'front', part: 'right', loadKg: 610 },
    ]);
    // A second time there is nothing left to do.
    expect((await ask(table)).done!.counts).toMatchObject({ add: 0, change: 0, same: 4 });
  });

  it.each([
    [
      'a byte-order mark, semicolons and decimal commas',
      '\ufeffRig;Load case;Axle;Wheel;Load kg\nCurlew;Wet;front;left;612,5\n',
      612.5,
    ],
    ['tabs and pounds', 'rig\tload case\taxle\twheel\tload lb\nCurlew\tWet\tfront\tleft\t1350\n', 1350 * 0.45359237],
    ['a unit column', 'rig,case,axle,side,weight,unit\nCurlew,Wet,front,left,1350,lbs\n', 1350 * 0.45359237],
    ['thousands with points', 'rig;case;axle;wheel;kg\nCurlew;Wet;front;left;1.050,5\n', 1050.5],
    ['lines that end as on old machines', 'rig,case,axle,wheel,kg\r\nCurlew,Wet,front,left,600\r\n', 600],
  ])('reads %s', async (_, table, loadKg) => {
    const { outcomes, done } = await ask(table);
    expect(outcomes).toMatchObject([{ action: 'add', newCase: true }]);
    expect(outcomes[0]!.loadKg).toBeCloseTo(loadKg, 9);
    await send(table, done!.digest);
    expect((await rigNow()).loadCases[1]!.weighed[0]!.loadKg).toBeCloseTo(loadKg, 9);
  });

  it('says of each line why it can not be taken, and then takes none', async () => {
    await put(aRig({ name: 'Twin' }));
    await put(aRig({ name: 'twin' }));
    await put(
      aRig({
        name: 'Ruff',
        loadCases: [aCase({ name: 'Worked out', method: 'moments', weighed: [], wholeKg: null })],
      }),
    );
    const lines: [string, string | undefined][] = [
      ['Curlew,Wet,front,left,600', undefined],
      ['Godwit,Wet,front,left,600', 'unknownRig'],
      ['Twin,Wet,front,left,600', 'rigNameTwice'],
      ['Curlew,,front,left,600', 'noLoadCase'],
      ['Curlew,Wet,middle,left,600', 'unknownAxle'],
      ['Curlew,Wet,trailer,left,600', 'noSuchAxle'],
      ['Curlew,Wet,front,third,600', 'unknownWheel'],
      ['Curlew,Wet,front,leftOuter,600', 'noSuchWheel'],
      ['Curlew,Wet,rear,left,heavy', 'noNumber'],
      ['Curlew,Wet,rear,left,', 'noNumber'],
      ['Curlew,Wet,rear,left,1.200', 'ambiguousNumber'],
      ['Curlew,Wet,rear,left,0', 'notPositive'],
      ['Curlew,Wet,rear,left,600000', 'tooLarge'],
      ['Curlew,Wet,front,left,610', 'twiceInFile'],
      ['Ruff,Worked out,front,left,600', 'caseIsWorkedOut'],
    ];
    const table = ['rig,load case,axle,wheel,load kg', ...lines.map(([line]) => line)].join('\n');
    const { outcomes, done } = await ask(table);
    expect(outcomes.map(({ problem }) => problem)).toEqual(lines.map(([, problem]) => problem));
    expect((await send(table, done!.digest)).at(-1)).toEqual({ problem: { code: 'linesRefused', refused: 14 } });
    expect((await rigNow()).loadCases).toHaveLength(1);
  });

  it.each([
    ['nothing', '', 'empty'],
    ['a header alone', 'rig,load case,axle,load kg\n', 'empty'],
    ['no column for the axle', 'rig,load case,load kg\nCurlew,Wet,600\n', 'columnMissing'],
    ['something that is no table', '<html></html>\n<body>', 'columnMissing'],
  ])('explains %s', async (_, table, code) => {
    expect((await send(table)).at(-1)).toMatchObject({ problem: { code } });
  });

  it('does nothing when things have changed since it was asked', async () => {
    const table = 'rig,load case,axle,wheel,load kg\nCurlew,Touring,front,axle,1200\n';
    const { done } = await ask(table);
    const now = await rigNow();
    const [touring] = now.loadCases;
    const { createdAt: _, updatedAt: __, ...body } = now;
    const weighed = touring!.weighed.map((each) => (each.part === 'axle' ? { ...each, loadKg: 1180 } : each));
    await put({ ...body, loadCases: [{ ...touring!, weighed }] });
    expect((await send(table, done!.digest)).at(-1)).toEqual({ problem: { code: 'changedSince' } });
    expect((await rigNow()).loadCases[0]!.weighed[0]!.loadKg).toBe(1180);
  });

  it('takes thousands of lines in one go, and keeps none when the last of them is wrong', async () => {
    const rigs = Array.from({ length: 40 }, (_, index) => aRig({ name: `Knot ${index}`, loadCases: [] }));
    for (const rig of rigs) await put(rig);
    const lines = rigs.flatMap(({ name }) =>
      Array.from({ length: 25 }, (_, index) => `Case ${index}`).flatMap((loadCase) =>
        ['front', 'rear'].flatMap((axle) => ['left', 'right'].map((side) => `${name},${loadCase},${axle},${side},600`)),
      ),
    );
    const table = ['rig,load case,axle,wheel,load kg', ...lines].join('\n');
    const broken = await ask(`${table}\nKnot 0,Case 0,front,left,600`);
    expect(broken.done!.counts).toMatchObject({ add: 4_000, refuse: 1 });
    await send(`${table}\nKnot 0,Case 0,front,left,600`, broken.done!.digest);
    const casesOf = async (id: string): Promise<number> =>
      (await request(server.app).get(`/api/v1/rigs/${id}`)).body.loadCases.length;
    expect(await casesOf(rigs[0]!.id)).toBe(0);
    const events = await send(table, (await ask(table)).done!.digest);
    expect(events.at(-1)).toMatchObject({ done: { applied: true } });
    expect(await casesOf(rigs[39]!.id)).toBe(25);
  });

  it('takes back what it had begun when whoever asked goes away', async () => {
    const rigs = Array.from({ length: 30 }, (_, index) => aRig({ name: `Stint ${index}`, loadCases: [] }));
    for (const rig of rigs) await put(rig);
    const lines = rigs.flatMap(({ name }) =>
      Array.from({ length: 30 }, (_, index) => index).flatMap((index) =>
        ['front', 'rear'].flatMap((axle) =>
          ['left', 'right'].map((side) => `${name},Case ${index},${axle},${side},${600 + index}`),
        ),
      ),
    );
    const table = ['rig,load case,axle,wheel,load kg', ...lines].join('\n');
    const { done } = await ask(table);
    const listening = createServer(server.app);
    await new Promise<void>((resolve) => listening.listen(0, '127.0.0.1', resolve));
    try {
      const { port } = listening.address() as AddressInfo;
      const leaving = new AbortController();
      const answer = await fetch(`http://127.0.0.1:${port}/api/v1/import/loads?apply=${done!.digest}`, {
        method: 'POST',
        body: table,
        signal: leaving.signal,
      });
      // The first thing told: it has begun.
      await answer.body!.getReader().read();
      leaving.abort();
    } finally {
      await new Promise((resolve) => listening.close(resolve));
    }
    const [[row]] = await server.pool.query<RowDataPacket[]>(
      "SELECT COUNT(*) AS n FROM load_cases WHERE owner_id = ? AND name LIKE 'Case %'",
      [server.config.ownerId],
    );
    expect(row!.n).toBe(0);
    // And once more, to the end: nothing of the first stands in the way.
    expect((await send(table, done!.digest)).at(-1)).toMatchObject({ done: { applied: true, newCases: 900 } });
  });

  it('comes back out as it went in, estimates marked as such and left alone on the way back', async () => {
    await put(
      aRig({
        name: 'Ruff, "little"',
        axles: [anAxle('front'), anAxle('rear')],
        loadCases: [
          aCase({
            name: 'Empty',
            method: 'moments',
            weighed: [],
            wholeKg: null,
            unladen: [
              { position: 'front', loadKg: 1000 },
              { position: 'rear', loadKg: 900 },
            ],
          }),
        ],
      }),
    );
    const { text } = await request(server.app).get('/api/v1/export/loads.csv').expect(200);
    expect(text.split('\r\n')).toEqual([
      'rig,load case,axle,wheel,load kg,how',
      'Curlew,Touring,front,axle,1160,weighed',
      'Curlew,Touring,rear,left,690,weighed',
      'Curlew,Touring,rear,right,705,weighed',
      '"Ruff, ""little""",Empty,front,left,500,estimated',
      '"Ruff, ""little""",Empty,front,right,500,estimated',
      '"Ruff, ""little""",Empty,rear,left,450,estimated',
      '"Ruff, ""little""",Empty,rear,right,450,estimated',
      '',
    ]);
    expect((await ask(text)).done!.counts).toEqual({ add: 0, change: 0, same: 3, leave: 4, refuse: 0 });
  });

  it('gives no cell that a spreadsheet would run, and reads its own again', async () => {
    const name = '=HYPERLINK("x","y")';
    const weighed = [{ position: 'front' as const, part: 'axle' as const, loadKg: 1000 }];
    const rig = aRig({ name, loadCases: [aCase({ name: '+1', weighed })] });
    await put(rig);
    const { text } = await request(server.app).get(`/api/v1/export/loads.csv?rig=${rig.id}`).expect(200);
    expect(text.split('\r\n')[1]).toBe(`"'=HYPERLINK(""x"",""y"")","'+1",front,axle,1000,weighed`);
    expect((await ask(text)).done!.counts).toEqual({ add: 0, change: 0, same: 1, leave: 0, refuse: 0 });
  });
});
