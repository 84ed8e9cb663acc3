import { mkdtempSync, rmSync } from 'node:fs';
import { spawn, type ChildProcess } from 'node:child_process';
import os from 'node:os';
import path from 'node:path';

import request from 'supertest';

import { aRig, testServer } from './testServer';

/** Runs `scripts/database.mjs` in a process of its own, which starts and stops its database when told. */
function databaseProcess(folder: string): {
  child: ChildProcess;
  ask: (word: 'start' | 'stop' | 'env' | 'readOnly') => Promise<unknown>;
} {
  const script = `
    import { startDatabase } from '${path.resolve(__dirname, '../../../scripts/database.mjs')}';
    const database = await startDatabase({ folder: '${folder}' });
    process.on('message', async (word) => {
      if (word === 'readOnly') database.admin('SET GLOBAL read_only = 1;');
      else if (word !== 'env') await database[word]();
      process.send(word === 'env' ? database.env : {});
    });`;
  const child = spawn(process.execPath, ['--input-type=module', '-e', script], {
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
  return {
    child,
    ask: (word) =>
      new Promise((resolve) => {
        child.once('message', resolve);
        child.send(word);
      }),
  };
}

describe('while the database is away', () => {
  it('says so, saves nothing, keeps computing, and works again when it is back', async () => {
    const folder = mkdtempSync(path.join(os.tmpdir(), 'dunlinmoss-away-'));
    const { child, ask } = databaseProcess(folder);
    const before = { ...process.env };
    try {
      Object.assign(process.env, await ask('env'));
      const server = await testServer();
      const rig = aRig();
      const put = () => request(server.app).put(`/api/v1/rigs/${rig.id}`).send(rig);

      await ask('stop');
      for (const _ of [1, 2]) {
        const answer = await put().expect(503);
        expect(answer.body).toMatchObject({ code: 'databaseAway', status: 503 });
        expect(answer.headers['retry-after']).toBe('5');
      }
      // It runs, and can be sent no work.
      await request(server.app).get('/api/v1/health').expect(200);
      await request(server.app).get('/api/v1/ready').expect(503);
      await request(server.app).post('/api/v1/calc/air-pressure').send({ altitudeM: 0 }).expect(200);

      await ask('start');
      await request(server.app).get(`/api/v1/rigs/${rig.id}`).expect(404);
      await put().expect(200);
      await request(server.app).get(`/api/v1/rigs/${rig.id}`).expect(200);

      // While it is moved: what is saved waits on the phones, and everything can be read.
      await ask('readOnly');
      const other = aRig();
      const { body } = await request(server.app).put(`/api/v1/rigs/${other.id}`).send(other).expect(503);
      expect(body.code).toBe('databaseAway');
      await request(server.app).get(`/api/v1/rigs/${rig.id}`).expect(200);
      await server.pool.end();
    } finally {
      await ask('stop');
      child.kill();
      process.env = before;
      rmSync(folder, { recursive: true, force: true });
    }
  }, 60_000);
});
