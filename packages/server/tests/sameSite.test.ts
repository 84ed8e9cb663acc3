import request from 'supertest';

import { aRig, testServer, type TestServer } from './testServer';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.pool.end());

describe('a name that the server is called by', () => {
  it.each(['127.0.0.1:4680', '192.168.7.4', '[::1]:4680', 'localhost:80', 'gatepost.test', 'GATEPOST.test:4680'])(
    '%s is its own',
    (host) => request(server.app).get('/api/v1/health').set('host', host).expect(200),
  );

  it.each([
    'elsewhere.test',
    '127.0.0.1.elsewhere.test',
    'localhost.elsewhere.test:4680',
    'gatepost.test@elsewhere',
    '',
  ])('“%s” is not: neither the application nor the export is given', async (host) => {
    for (const path of ['/', '/api/v1/export', '/api/v1/rigs']) {
      const answer = await request(server.app).get(path).set('host', host);
      // An empty name is refused by the HTTP parser of Node, or by us.
      expect([400, 421]).toContain(answer.status);
      expect(answer.text).not.toContain('items');
    }
  });
});

/** What a browser sends along with what a page asks for. */
const asked = (headers: Record<string, string>) => {
  const rig = aRig();
  return {
    rig,
    write: () =>
      request(server.app)
        .put(`/api/v1/rigs/${rig.id}`)
        .set({ host: '127.0.0.1:4680', ...headers })
        .send(rig),
    read: () => request(server.app).get(`/api/v1/rigs/${rig.id}`),
  };
};

describe('a page', () => {
  it.each([
    ['of its own', { origin: 'http://127.0.0.1:4680', 'sec-fetch-site': 'same-origin' }],
    ['of its own in an old browser', { origin: 'http://127.0.0.1:4680' }],
    ['that is none, but a program', {}],
  ])('%s writes', async (_, headers) => {
    const { write, read } = asked(headers as Record<string, string>);
    await write().expect(200);
    await read().expect(200);
  });

  it.each([
    ['of another site', { origin: 'http://elsewhere.test', 'sec-fetch-site': 'cross-site' }],
    ['of another port', { origin: 'http://127.0.0.1:8080', 'sec-fetch-site': 'same-site' }],
    ['of another site in an old browser', { origin: 'http://elsewhere.test' }],
    ['in a frame that has no origin', { origin: 'null' }],
    ['of another site that hides its origin', { 'sec-fetch-site': 'cross-site' }],
    ['with an origin that is none', { origin: '127.0.0.1:4680' }],
  ])('%s writes nothing and reads nothing', async (_, headers) => {
    const { write, read } = asked(headers as Record<string, string>);
    expect((await write().expect(403)).body.code).toBe('otherSite');
    await read().expect(404);
    await request(server.app)
      .get('/api/v1/export')
      .set({ host: '127.0.0.1:4680', ...headers })
      .expect(403);
  });
});

describe('a body', () => {
  const simple = ['text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data; boundary=x', 'text/json'];
  it.each(simple)('of %s is not read as JSON', async (type) => {
    const rig = aRig();
    const put = request(server.app).put(`/api/v1/rigs/${rig.id}`).set('content-type', type);
    const answer = await put.send(JSON.stringify(rig)).expect(415);
    expect(answer.body.fields[0].message).toContain('application/json');
    await request(server.app).get(`/api/v1/rigs/${rig.id}`).expect(404);
  });

  it.each(simple)('of %s is no table', async (type) => {
    for (const path of ['/api/v1/import/loads', `/api/v1/import/log/${aRig().id}`]) {
      const answer = await request(server.app).post(path).set('content-type', type).send('rig,load\n').expect(415);
      expect(answer.body.fields[0].message).toContain('text/csv');
    }
  });

  it('of JSON may name its alphabet, and none at all needs no type', async () => {
    const rig = aRig();
    const put = request(server.app)
      .put(`/api/v1/rigs/${rig.id}`)
      .set('content-type', 'application/json; charset=utf-8');
    await put.send(JSON.stringify(rig)).expect(200);
    await request(server.app)
      .delete(`/api/v1/rigs/${rig.id}?revision=1`)
      .expect((answer) => {
        expect(answer.status).not.toBe(415);
      });
  });
});

describe('TLS before it', () => {
  const hsts = async (proxies: number, scheme: string): Promise<string | undefined> => {
    const app = server.as(server.config.ownerId, proxies);
    const answer = await request(app).get('/api/v1/health').set('x-forwarded-proto', scheme);
    return answer.headers['strict-transport-security'];
  };

  it('is asked for again for half a year, where the proxy it trusts says that it was used', async () => {
    expect(await hsts(1, 'https')).toBe('max-age=15552000');
    expect(await hsts(1, 'http')).toBeUndefined();
    // Anybody can say so where no proxy is trusted.
    expect(await hsts(0, 'https')).toBeUndefined();
  });
});
