import { Writable } from 'node:stream';

import { createLogger } from '../src/logger';
import { aRig, testServer } from './testServer';

function kept(): { readonly lines: string[]; readonly stream: Writable } {
  const lines: string[] = [];
  return { lines, stream: new Writable({ write: (chunk, _encoding, done) => (lines.push(String(chunk)), done()) }) };
}

describe('the log', () => {
  it('says of a database’s error where it came from, and nothing of what anybody wrote', async () => {
    const server = await testServer();
    const secret = 'Old Warden at the gate';
    const { lines, stream } = kept();
    const log = createLogger('error', stream);
    const rig = { id: aRig().id, name: secret };
    const sql =
      'INSERT INTO rigs (owner_id, id, revision, family, name, created_at, updated_at) VALUES (?, ?, ?, ?, ?, ?, ?)';
    const failed = await server.pool
      .query(sql, ['nobody', rig.id, secret, 'quad', secret, new Date(), new Date()])
      .catch((error: unknown) => error);
    expect((failed as Error).message + JSON.stringify(failed)).toContain(secret);
    log.error({ err: failed }, 'unexpected');
    expect(lines).toHaveLength(1);
    expect(lines[0]).not.toContain(secret);
    expect(JSON.parse(lines[0]!).err).toMatchObject({ code: expect.any(String), sqlState: expect.any(String) });
    await server.pool.end();
  });

  it('keeps what an error of our own says, and leaves queries out of addresses', () => {
    const { lines, stream } = kept();
    const log = createLogger('error', stream);
    log.error({ err: new Error('a bug'), req: { method: 'GET', url: '/api/v1/rigs?search=Curlew' } }, 'unexpected');
    expect(JSON.parse(lines[0]!)).toMatchObject({
      err: { message: 'a bug' },
      req: { method: 'GET', path: '/api/v1/rigs' },
    });
  });
});
