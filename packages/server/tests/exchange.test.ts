import { readFileSync } from 'node:fs';
import path from 'node:path';

import { exchangeFile } from '@dunlinmoss/contract';
import request from 'supertest';

import { anOuting, aRig, aTest, testServer, type TestServer } from './testServer';

let server: TestServer;
beforeEach(async () => {
  server = await testServer();
});
afterEach(() => server.pool.end());

const fileOf = () => {
  const rig = aRig();
  const outing = anOuting(rig.id);
  return {
    format: 'dunlinmoss',
    version: 3,
    gauges: [],
    tools: [],
    rigs: [rig],
    outings: [outing],
    tests: [aTest(rig.id, { outingId: outing.id })],
  };
};
const importing = (file: unknown) =>
  request(server.app)
    .post('/api/v1/import')
    .send(file as object);
const exporting = async () => (await request(server.app).get('/api/v1/export').expect(200)).body;

const old = { tireMarking: '265/65R17 112T', loadRange: 'standard', placardKpa: 240 };
/** A tape test as the first two versions wrote it; the first without a gauge. */
const detailsBefore = {
  wheel: 'rearRight',
  tireMarking: '265/65R17 112T',
  loadRange: 'standard',
  wheelLoadKg: 580,
  surface: 'soft',
  method: 'poles',
  readings: [{ pressureKpa: 240, lengthMm: 165 }],
};
const detailsNow = {
  wheel: 'rear right',
  tireMarking: '265/65R17 112T',
  loadRange: 'standard',
  wheelLoadKg: 580,
  widthMm: null,
  gauge: null,
  setup: { method: 'poles', surface: 'soft' },
  runs: [{ pressureKpa: 240, lengthMm: 165 }],
  note: '',
};
/** As the first version wrote it. */
const VERSION_1 = {
  format: 'dunlinmoss',
  version: 1,
  rigs: [
    {
      id: '0192f000-0000-7000-8000-0000000000a1',
      revision: 4,
      family: 'fourWheel',
      name: 'Knot',
      beadLocks: true,
      axles: [
        { position: 'front', ...old, loadsFrom: 'axle', leftLoadKg: 570, rightLoadKg: 570 },
        { position: 'rear', ...old, loadsFrom: 'wheel', leftLoadKg: 705, rightLoadKg: 690 },
      ],
    },
  ],
  outings: [],
  tests: [{ ...aTest('0192f000-0000-7000-8000-0000000000a1'), details: detailsBefore }],
};

describe('export and import', () => {
  it('brings everything back, and does nothing the second time', async () => {
    const file = fileOf();
    expect((await importing(file).expect(200)).body).toMatchObject({ applied: true, added: 3, alreadyThere: 0 });
    const first = await exporting();
    expect(exchangeFile.parse(first)).toEqual(first);
    expect(first.rigs).toEqual([{ ...file.rigs[0], revision: 1 }]);
    expect((await importing(first).expect(200)).body).toMatchObject({ added: 0, alreadyThere: 3 });
    expect(await exporting()).toEqual(first);
  });

  it('keeps all of it or nothing', async () => {
    const file = fileOf();
    const astray = { ...file, outings: [...file.outings, anOuting('01900000-0000-7000-8000-00000000dead')] };
    expect((await importing(astray).expect(400)).body.code).toBe('missingReference');
    expect((await exporting()).rigs).toEqual([]);
  });

  it('names the row and field it refuses', async () => {
    const file = fileOf();
    const refused = await importing({ ...file, rigs: [file.rigs[0], { ...aRig(), name: '' }] }).expect(400);
    expect(refused.body.fields).toEqual([expect.objectContaining({ path: '/rigs/1/name' })]);
    expect((await importing({ ...file, version: 4 }).expect(400)).body.fields[0].path).toBe('/version');
  });

  it('tells row by row what it would do, and does nothing until told to', async () => {
    const file = fileOf();
    await importing({ ...file, outings: [], tests: [] }).expect(200);
    const changed = { ...file, rigs: [{ ...file.rigs[0]!, name: 'Another name' }, aRig({ name: 'Whimbrel' })] };
    const { body } = await request(server.app).post('/api/v1/import?preview=true').send(changed).expect(200);
    expect(body).toMatchObject({ applied: false, added: 3, alreadyThere: 1 });
    expect(body.rows.slice(0, 2)).toEqual([
      { kind: 'rigs', index: 0, name: 'Another name', action: 'keepOurs' },
      { kind: 'rigs', index: 1, name: 'Whimbrel', action: 'add' },
    ]);
    const after = await exporting();
    expect(after.rigs).toHaveLength(1);
    expect(after.outings).toEqual([]);
  });

  it('exports one rig alone', async () => {
    const file = { ...fileOf(), rigs: [fileOf().rigs[0]!, aRig({ name: 'Whimbrel' })], outings: [], tests: [] };
    await importing(file).expect(200);
    const path = `/api/v1/export?rig=${file.rigs[1]!.id}`;
    const { body } = await request(server.app).get(path).expect(200);
    expect(body.rigs.map(({ name }: { name: string }) => name)).toEqual(['Whimbrel']);
    expect(exchangeFile.parse(body)).toEqual(body);
    await request(server.app).get('/api/v1/export?rig=0192f000-0000-7000-8000-0000000000ff').expect(404);
  });

  it('reads a file of the first version, with its loads as a load case', async () => {
    const { body } = await importing(VERSION_1).expect(200);
    expect(body.added).toBe(2);
    const { rigs, tests } = await exporting();
    expect(rigs[0]).toMatchObject({
      name: 'Knot',
      loadCaseId: rigs[0].loadCases[0].id,
      axles: [{ position: 'front', beadHold: 'beadLock', roadKpa: 240, behindMm: 0 }, { position: 'rear' }],
    });
    expect(rigs[0].loadCases[0].weighed).toEqual([
      { position: 'front', part: 'axle', loadKg: 1140 },
      { position: 'rear', part: 'left', loadKg: 705 },
      { position: 'rear', part: 'right', loadKg: 690 },
    ]);
    expect(tests[0].details).toEqual(detailsNow);
  });

  it('reads a file of the second version, with a tape test as it was written then', async () => {
    const file = fileOf();
    const before = { ...aTest(file.rigs[0]!.id), details: { ...detailsBefore, gauge: null } };
    await importing({ ...file, version: 2, tests: [before, ...file.tests.map((row) => ({ ...row, kind: 'chalk' }))] })
      // What no earlier version wrote is refused as ever, by its own place.
      .expect(400)
      .expect(({ body }) => expect(body.fields[0].path).toMatch(/^\/tests\/1\/details/));
    await importing({ ...file, version: 2, tests: [before] }).expect(200);
    expect((await exporting()).tests[0].details).toEqual(detailsNow);
  });

  it('takes the demo data that ships', async () => {
    const demo = JSON.parse(readFileSync(path.resolve(__dirname, '../../../demo/ravelsey.json'), 'utf8'));
    const { body } = await importing(demo).expect(200);
    const kinds = ['rigs', 'gauges', 'tools', 'outings', 'tests', 'airings', 'readings'];
    expect(body.added).toBe(kinds.reduce((sum, kind) => sum + demo[kind].length, 0));
  });
});
