import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';

import type { Express } from 'express';
import { pino } from 'pino';
import request from 'supertest';

import { createApp } from '../src/app';
import { testServer, type TestServer } from './testServer';

let server: TestServer;
let app: Express;
const webRoot = mkdtempSync(path.join(os.tmpdir(), 'dunlinmoss-web-'));

beforeAll(async () => {
  for (const folder of ['_expo', 'assets']) mkdirSync(path.join(webRoot, folder));
  writeFileSync(path.join(webRoot, 'index.html'), '<title>Dunlinmoss</title>');
  writeFileSync(path.join(webRoot, '_expo/entry.js'), 'go()');
  writeFileSync(path.join(webRoot, '_expo/entry.js.br'), brotliCompressSync('go() // br'));
  writeFileSync(path.join(webRoot, '_expo/entry.js.gz'), gzipSync('go() // gz'));
  server = await testServer();
  app = createApp({
    pool: server.pool,
    log: pino({ level: 'silent' }),
    ownerId: server.config.ownerId,
    hosts: [],
    contact: 'mailto:warden@farm.example',
    webRoot,
  });
});
afterAll(async () => {
  await server.pool.end();
  rmSync(webRoot, { recursive: true });
});

describe('the pages', () => {
  it.each(['/', '/ground?ground=softSand', '/rigs/0192f000-0000-7000-8000-000000000101', '/proof/tape/new'])(
    '%s is the application, asked for anew each time',
    async (address) => {
      const { text, headers } = await request(app).get(address).expect(200);
      expect(text).toContain('<title>Dunlinmoss</title>');
      expect(headers['cache-control']).toContain('no-cache');
    },
  );

  it('run nothing and ask nothing from elsewhere', async () => {
    const { headers } = await request(app).get('/');
    const policy = headers['content-security-policy'];
    expect(policy).toContain("default-src 'self'");
    expect(policy).toContain("script-src 'self'");
    expect(policy).toContain("connect-src 'self'");
    expect(headers['x-powered-by']).toBeUndefined();
  });

  it('have beside them whom to tell of a hole', async () => {
    const { text, headers } = await request(app).get('/.well-known/security.txt').expect(200);
    expect(headers['content-type']).toContain('text/plain');
    expect(text).toMatch(/^Contact: mailto:warden@farm\.example\nExpires: \d{4}-\d\d-\d\dT/);
  });

  it('keep built files for good, and never answer a missing one with a page', async () => {
    const { headers } = await request(app).get('/_expo/entry.js').expect(200);
    expect(headers['cache-control']).toContain('immutable');
    const missing = await request(app).get('/_expo/old-entry.js').expect(404);
    expect(missing.body.code).toBe('notFound');
  });

  it('come as small as the browser takes them, with the type of what they are', async () => {
    const asked = (accepted: string) =>
      request(app)
        .get('/_expo/entry.js')
        .set('Accept-Encoding', accepted)
        .expect(200)
        .expect('Content-Type', /javascript/)
        .expect('Cache-Control', /immutable/);
    await asked('gzip, deflate, br')
      .expect('Vary', /Accept-Encoding/)
      .expect('Content-Encoding', 'br')
      .expect('go() // br');
    // As over a line that is not safe.
    await asked('gzip, deflate').expect('Content-Encoding', 'gzip').expect('go() // gz');
    const plain = await asked('identity').expect('go()');
    expect(plain.headers['content-encoding']).toBeUndefined();
  });

  it.each(['/api/v1/nothing', '/api/nothing', '/_expo/..%2f..%2fpackage.json', '/_expo/%2e%2e/%2e%2e/etc/passwd'])(
    '%s is neither a page nor a file',
    async (address) => {
      const { status, text } = await request(app).get(address);
      expect(status).toBeGreaterThanOrEqual(400);
      expect(text).not.toContain('<title>');
    },
  );
});
