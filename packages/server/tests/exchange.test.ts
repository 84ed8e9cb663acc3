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
    version: 1,
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

describe('export and import', () => {
  it('brings everything back, and does nothing the second time', async () => {
    const file = fileOf();
    expect((await importing(file).expect(200)).body).toEqual({ added: 3, alreadyThere: 0 });
    const first = await exporting();
    expect(exchangeFile.parse(first)).toEqual(first);
    expect(first.rigs).toEqual([{ ...file.rigs[0], revision: 1 }]);
    expect((await importing(first).expect(200)).body).toEqual({ added: 0, alreadyThere: 3 });
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
    expect((await importing({ ...file, version: 2 }).expect(400)).body.fields[0].path).toBe('/version');
  });

  it('takes the demo data that ships', async () => {
    const demo = JSON.parse(readFileSync(path.resolve(__dirname, '../../../demo/ravelsey.json'), 'utf8'));
    const { body } = await importing(demo).expect(200);
    expect(body.added).toBe(demo.rigs.length + demo.outings.length + demo.tests.length);
  });
});
