import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { once } from 'node:events';
import { Writable } from 'node:stream';

import request from 'supertest';

import { createApp } from '../src/app';
import { Lifecycle } from '../src/lifecycle';
import { createLogger } from '../src/logger';
import { routeOf } from '../src/metrics';
import { aRig, testServer, type TestServer } from './testServer';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.pool.end());

const appWith = (life: Lifecycle, log = createLogger('silent')) =>
  createApp({ pool: server.pool, log, ownerId: server.config.ownerId, hosts: [], webRoot: null, life });

async function listening(life: Lifecycle): Promise<{ readonly http: Server; readonly address: string }> {
  const http = createServer(appWith(life));
  http.listen(0, '127.0.0.1');
  await once(http, 'listening');
  return { http, address: `http://127.0.0.1:${(http.address() as AddressInfo).port}` };
}

describe('a server that stops', () => {
  it('runs and is not ready, ends what lasts, and still finishes what it is asked', async () => {
    const life = new Lifecycle();
    const { http, address } = await listening(life);
    await request(address).get('/api/v1/ready').expect(200);
    const stream = await fetch(`${address}/api/v1/changes/stream`);
    expect(stream.headers.get('content-type')).toContain('text/event-stream');
    const ended = stream.text();

    life.stop();
    life.stop();
    expect(life.stopping).toBe(true);
    await ended;
    const refused = await request(address).get('/api/v1/ready').expect(503);
    expect(refused.body).toMatchObject({ code: 'stopping' });
    expect(refused.headers['retry-after']).toBe('2');
    await request(address).get('/api/v1/health').expect(200);
    const rig = aRig();
    await request(address).put(`/api/v1/rigs/${rig.id}`).send(rig).expect(200);
    http.close();
  });
});

describe('/metrics', () => {
  it('counts what was asked by its route, and tells nobody’s ids', async () => {
    const app = appWith(new Lifecycle());
    const rig = aRig();
    await request(app).get(`/api/v1/rigs/${rig.id}`).expect(404);
    await request(app).put(`/api/v1/rigs/${rig.id}`).send(rig).expect(200);
    const { text, headers } = await request(app).get('/metrics').expect(200);
    expect(headers['content-type']).toMatch(/^text\/plain; version=0\.0\.4/);
    expect(text).toContain('http_request_duration_seconds_count{method="PUT",route="/api/v1/rigs/:id",status="200"} 1');
    expect(text).toContain('http_request_duration_seconds_count{method="GET",route="nothing",status="404"} 1');
    expect(text).toMatch(/^live_followers 0$/m);
    expect(text).toMatch(/^database_connections \d+$/m);
    expect(text).not.toContain(rig.id);
  });

  it('is for this machine alone: nothing that came by a proxy gets it', async () => {
    await request(appWith(new Lifecycle())).get('/metrics').set('x-forwarded-for', '192.0.2.7').expect(404);
  });

  it.each([
    ['/api/v1/rigs/0192f000-0000-7000-8000-000000000101?x=1', 200, '/api/v1/rigs/:id'],
    ['/api/v1/in/0192F000-0000-7000-8000-000000000101/rigs', 200, '/api/v1/in/:id/rigs'],
    ['/rigs/0192f000-0000-7000-8000-000000000101', 200, 'files'],
    ['/api/v1/whatever/somebody/types', 404, 'nothing'],
  ])('%s with %d is %s', (address, status, route) => expect(routeOf(address, status)).toBe(route));
});

describe('one name for a request', () => {
  const lines: string[] = [];
  const stream = new Writable({ write: (chunk, _encoding, done) => (lines.push(String(chunk)), done()) });

  it('is the proxy’s where it gave one, stands in the log, and comes back with the answer', async () => {
    const app = appWith(new Lifecycle(), createLogger('info', stream));
    const named = await request(app).get('/api/v1/health').set('x-request-id', 'gate-7');
    expect(named.headers['x-request-id']).toBe('gate-7');
    expect(lines.some((line) => line.includes('"id":"gate-7"'))).toBe(true);
    // What could break a line of the log, or be taken for another, is not taken over.
    for (const bad of ['two words', 'x'.repeat(65), '{"a":1}']) {
      const answer = await request(app).get('/api/v1/health').set('x-request-id', bad);
      expect(answer.headers['x-request-id']).toMatch(/^[0-9a-f-]{36}$/);
    }
  });
});
