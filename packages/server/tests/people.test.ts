import { randomUUID } from 'node:crypto';

import { openApi } from '@dunlinmoss/contract/api';
import type { LoadsCounts, Rig, Role } from '@dunlinmoss/contract';
import request from 'supertest';

import { LIVE_TABLES } from '../src/people/liveChanges';
import { MOST_STREAMS } from '../src/people/openStreams';
import { Routes, type Declared } from '../src/routes/declared';
import type { PastRow } from '../src/repositories/versioned';
import {
  aComparison,
  aDayRoute,
  anAiring,
  anOuting,
  aRig,
  aTest,
  sendTable,
  testServer,
  type TestServer,
} from './testServer';

const PASSPHRASE = 'samphire on the sea wall';
let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.pool.end());

/** Names are one for all in a database, so each run has its own. */
const mark = [...randomUUID().replace(/[^a-f]/g, '')].slice(0, 8).join('');
const named = (name: string): string => `${name} ${mark}`;

/** A browser: it keeps the cookie that it is given. */
interface Browser {
  readonly cookie: string;
  readonly id: string;
}
const ask = (
  method: 'get' | 'post' | 'put' | 'delete',
  path: string,
  { cookie, body, headers = {} }: { cookie?: string | undefined; body?: object; headers?: Record<string, string> } = {},
) => {
  const asked = request(server.app)[method](`/api/v1${path}`).set(headers);
  if (cookie !== undefined) void asked.set('cookie', cookie);
  return body ? asked.send(body) : asked;
};
const cookieOf = (answer: request.Response): string => String(answer.headers['set-cookie']).split(';')[0]!;
const browserOf = (answer: request.Response): Browser => ({ cookie: cookieOf(answer), id: answer.body.person.id });

let first: Browser;
let crewId: string;
const crewed: Partial<Record<Role, Browser>> = {};

async function inviteTo(crew: string, by: Browser, role: string): Promise<string> {
  const made = await ask('post', `/crews/${crew}/invitations`, { cookie: by.cookie, body: { role } }).expect(200);
  return made.body.token;
}
async function join(token: string, name: string): Promise<Browser> {
  const person = { name: named(name), passphrase: PASSPHRASE, device: 'A test' };
  return browserOf(await ask('post', '/invitations/take', { body: { token, person } }).expect(200));
}

describe('alone', () => {
  it('nothing is asked, and rows are the one person’s', async () => {
    const { body } = await ask('get', '/me').expect(200);
    expect(body).toMatchObject({ signIn: false, person: { id: server.config.ownerId, first: true } });
    await ask('put', `/rigs/${aRig().id}`, { body: { ...aRig(), name: 'nobody' } }).expect(400);
    const rig = aRig({ name: 'Before others came' });
    await ask('put', `/rigs/${rig.id}`, { body: rig }).expect(200);
    for (const [path, body] of [
      ['/session', { name: 'Rushy', passphrase: PASSPHRASE }],
      ['/crews', { id: randomUUID(), name: 'Sluice crew' }],
    ] as const) {
      expect((await ask('post', path, { body }).expect(409)).body.code).toBe('aloneHere');
    }
  });

  it('a space of nobody’s is not theirs either', async () => {
    expect((await ask('get', `/in/${randomUUID()}/rigs`).expect(403)).body.code).toBe('notMember');
  });
});

describe('letting others in', () => {
  it('refuses a pass-phrase that is short and a name that can’t be read', async () => {
    const { body } = await ask('post', '/people', { body: { name: '\u200b\u200b', passphrase: 'short' } }).expect(400);
    const paths = new Set(body.fields.map(({ path }: { path: string }) => path));
    expect(paths).toEqual(new Set(['/name', '/passphrase']));
  });

  it('takes a name in one alphabet alone', async () => {
    const { body } = await ask('post', '/people', { body: { name: 'Rushу Wold', passphrase: PASSPHRASE } }).expect(400);
    expect(body.fields).toMatchObject([{ path: '/name', code: 'nameMixed' }]);
  });

  it('makes the one person the first of many, with every row they had', async () => {
    const twice = await Promise.all(
      ['Rushy', 'Rushy'].map((name) =>
        ask('post', '/people', { body: { name: named(name), passphrase: PASSPHRASE, device: 'Workshop' } }),
      ),
    );
    expect(twice.map(({ status }) => status).sort()).toEqual([200, 403]);
    const answer = twice.find(({ status }) => status === 200)!;
    first = browserOf(answer);
    expect(first.id).toBe(server.config.ownerId);
    expect(answer.headers['set-cookie']![0]).toMatch(/HttpOnly; SameSite=Lax/);
    const { body } = await ask('get', '/rigs', { cookie: first.cookie }).expect(200);
    expect(body.items.map(({ name }: { name: string }) => name)).toEqual(['Before others came']);
  });

  it('asks everybody from then on', async () => {
    for (const path of ['/rigs', '/export', '/changes', '/sessions', `/in/${server.config.ownerId}/rigs`]) {
      const { body } = await ask('get', path).expect(401);
      expect(body.code).toBe('signIn');
    }
    expect((await ask('get', '/me').expect(200)).body).toEqual({ signIn: true, person: null, spaces: [] });
    const { body } = await ask('post', '/people', { body: { name: named('Elder'), passphrase: PASSPHRASE } }).expect(
      403,
    );
    expect(body.code).toBe('byInvitation');
  });
});

describe('signing in', () => {
  it('takes the name in any letters that look like it, and says nothing of which half was wrong', async () => {
    const good = await ask('post', '/session', {
      body: { name: ` RUSHY  ${mark.toUpperCase()}`, passphrase: PASSPHRASE, device: 'Phone' },
    }).expect(200);
    await ask('get', '/rigs', { cookie: cookieOf(good) }).expect(200);
    const wrongs = await Promise.all([
      ask('post', '/session', { body: { name: named('Rushy'), passphrase: 'not that one at all' } }),
      ask('post', '/session', { body: { name: named('Nobody at all'), passphrase: PASSPHRASE } }),
    ]);
    expect(wrongs.map(({ status, body }) => [status, body.code])).toEqual([
      [403, 'wrongPassphrase'],
      [403, 'wrongPassphrase'],
    ]);
  });

  it('is slowed down after too many wrong tries, for that name from that address alone', async () => {
    const token = await inviteTo(await aCrew(first), first, 'viewer');
    const other = await join(token, 'Withy');
    for (let tries = 0; tries < 8; tries += 1) {
      await ask('post', '/session', { body: { name: named('Withy'), passphrase: `guess ${tries}` } }).expect(403);
    }
    const { body, headers } = await ask('post', '/session', {
      body: { name: named('Withy'), passphrase: PASSPHRASE },
    }).expect(429);
    expect(body.code).toBe('tooManyTries');
    expect(Number(headers['retry-after'])).toBeGreaterThan(60);
    // Who is in already stays in, and others come in.
    await ask('get', '/rigs', { cookie: other.cookie }).expect(200);
    await ask('post', '/session', { body: { name: named('Rushy'), passphrase: PASSPHRASE } }).expect(200);
  });

  it('is slowed down by the address before two proxies, whatever else the sender names', async () => {
    const app = server.as(server.config.ownerId, 2);
    const guess = (made: number, from: string): request.Test =>
      request(app)
        .post('/api/v1/session')
        // What the sender wrote, whom the outer proxy heard, and the outer proxy as the inner one hears it.
        .set('x-forwarded-for', `192.0.2.${made}, ${from}, 10.0.0.1`)
        .send({ name: named('Somebody else'), passphrase: `guess ${made}` });
    for (let tries = 0; tries < 8; tries += 1) await guess(tries, '198.51.100.7').expect(403);
    await guess(9, '198.51.100.7').expect(429);
    await guess(10, '198.51.100.8').expect(403);
  });

  it('is ended by a session list, by signing out, and by a cookie that is not ours', async () => {
    const phone = browserOf(
      await ask('post', '/session', { body: { name: named('Rushy'), passphrase: PASSPHRASE, device: 'Lost phone' } }),
    );
    const { body } = await ask('get', '/sessions', { cookie: first.cookie }).expect(200);
    const lost = body.items.find(({ device }: { device: string }) => device === 'Lost phone');
    expect(body.items.filter(({ current }: { current: boolean }) => current)).toMatchObject([{ device: 'Workshop' }]);
    await ask('delete', `/sessions/${lost.id}`, { cookie: first.cookie }).expect(204);
    await ask('get', '/rigs', { cookie: phone.cookie }).expect(401);
    await ask('get', '/rigs', { cookie: 'dunlinmoss_session=anything' }).expect(401);
    const tablet = await ask('post', '/session', { body: { name: named('Rushy'), passphrase: PASSPHRASE } });
    await ask('delete', '/session', { cookie: cookieOf(tablet) }).expect(204);
    await ask('get', '/rigs', { cookie: cookieOf(tablet) }).expect(401);
  });

  it('refuses a passkey that nobody made here, and says that it needs a name', async () => {
    const digits = await ask('post', '/session/passkey-options').expect(409);
    expect(digits.body.code).toBe('needsName');
    const headers = { host: 'localhost:4680' };
    const options = await ask('post', '/session/passkey-options', { headers }).expect(200);
    const response = { id: 'c29tZXRoaW5n', type: 'public-key', response: {} };
    const { body } = await ask('post', '/session/passkey', { headers, body: { response } }).expect(403);
    expect(body.code).toBe('wrongPasskey');
    expect(options.body.challenge.length).toBeGreaterThan(20);
    // One that was asked for by somebody is not good for another.
    const made = await ask('post', '/passkeys/options', { cookie: first.cookie, headers }).expect(200);
    expect(made.body.authenticatorSelection).toMatchObject({ residentKey: 'required', userVerification: 'required' });
    await ask('post', '/passkeys', { cookie: first.cookie, headers, body: { name: 'X', response } }).expect(403);
  });

  it('lasts for as long as the device is in use', async () => {
    const { cookie } = browserOf(
      await ask('post', '/session', { body: { name: named('Rushy'), passphrase: PASSPHRASE, device: 'Old phone' } }),
    );
    const ofIt = `person_id = '${first.id}' AND device = 'Old phone'`;
    await server.pool.query(
      `UPDATE sessions SET seen_at = seen_at - INTERVAL 1 DAY, expires_at = CURRENT_TIMESTAMP(3) + INTERVAL 1 HOUR WHERE ${ofIt}`,
    );
    const { headers } = await ask('get', '/me', { cookie }).expect(200);
    expect(headers['set-cookie']![0]).toContain(cookie);
    const [[row]] = (await server.pool.query(
      `SELECT TIMESTAMPDIFF(DAY, CURRENT_TIMESTAMP(3), expires_at) AS days FROM sessions WHERE ${ofIt}`,
    )) as unknown as [[{ days: number }]];
    expect(row.days).toBeGreaterThan(80);
    await server.pool.query(`UPDATE sessions SET expires_at = CURRENT_TIMESTAMP(3) WHERE ${ofIt}`);
    // Whoever was known a moment ago is forgotten with any change about people.
    await ask('delete', '/session').expect(204);
    await ask('get', '/rigs', { cookie }).expect(401);
  });

  it('comes back by a printed code, once, and ends all else', async () => {
    const token = await inviteTo(await aCrew(first), first, 'member');
    const person = await join(token, 'Sedge');
    const { body } = await ask('post', '/recovery-codes', { cookie: person.cookie }).expect(200);
    expect(new Set(body.codes).size).toBe(8);
    const again = {
      name: named('Sedge'),
      code: body.codes[0].toUpperCase().replaceAll('-', ' '),
      passphrase: 'another long one',
    };
    await ask('post', '/recovery', { body: { ...again, code: 'aaaa-bbbb-cccc-dddd' } }).expect(403);
    const recovered = await ask('post', '/recovery', { body: again }).expect(200);
    await ask('get', '/rigs', { cookie: cookieOf(recovered) }).expect(200);
    await ask('get', '/rigs', { cookie: person.cookie }).expect(401);
    expect((await ask('post', '/recovery', { body: again }).expect(403)).body.code).toBe('wrongCode');
    await ask('post', '/session', { body: { name: named('Sedge'), passphrase: PASSPHRASE } }).expect(403);
  });
});

async function aCrew(by: Browser): Promise<string> {
  const id = randomUUID();
  await ask('post', '/crews', { cookie: by.cookie, body: { id, name: 'Sluice crew' } }).expect(200);
  return id;
}

describe('a crew', () => {
  it('is joined by an invitation, once, also by two at once', async () => {
    crewId = await aCrew(first);
    crewed.own = first;
    for (const role of ['lead', 'member', 'viewer'] as const) {
      const token = await inviteTo(crewId, first, role);
      expect((await ask('post', '/invitations/look', { body: { token } }).expect(200)).body).toMatchObject({
        crew: 'Sluice crew',
        role,
        by: named('Rushy'),
      });
      crewed[role] = await join(token, `Crew ${role}`);
    }
    const token = await inviteTo(crewId, first, 'member');
    const both = await Promise.all(
      ['Teasel', 'Burdock'].map((name) =>
        ask('post', '/invitations/take', {
          body: { token, person: { name: named(name), passphrase: PASSPHRASE, device: 'A' } },
        }),
      ),
    );
    expect(both.map(({ status }) => status).sort()).toEqual([200, 410]);
    const members = (await ask('get', `/crews/${crewId}`, { cookie: first.cookie })).body.members;
    expect(members).toHaveLength(5);
    // Who came too late is not half a person: the name is free.
    const late = both[0]!.status === 410 ? 'Teasel' : 'Burdock';
    await join(await inviteTo(crewId, first, 'viewer'), late);
  });

  it.each([
    ['looks alike', 'Cr3w lead', 409, 'nameTaken'],
    ['is written in capitals', 'CREW LEAD', 409, 'nameTaken'],
  ])('takes nobody whose name %s', async (_, name, status, code) => {
    const token = await inviteTo(crewId, first, 'member');
    const tried = name === 'Cr3w lead' ? 'Crevv lead' : name;
    const person = { name: named(tried), passphrase: PASSPHRASE, device: 'A' };
    const { body } = await ask('post', '/invitations/take', { body: { token, person } }).expect(status);
    expect(body.code).toBe(code);
    // It can still be used.
    await ask('post', '/invitations/look', { body: { token } }).expect(200);
  });

  it('says of each invitation that does not work why', async () => {
    const codeOf = async (token: string): Promise<string> =>
      (await ask('post', '/invitations/look', { body: { token } })).body.code;
    expect(await codeOf('a'.repeat(43))).toBe('invitationUnknown');
    const expired = await inviteTo(crewId, first, 'viewer');
    await server.pool.query(
      'UPDATE invitations SET expires_at = CURRENT_TIMESTAMP(3) WHERE crew_id = ? ORDER BY made_at DESC LIMIT 1',
      [crewId],
    );
    expect(await codeOf(expired)).toBe('invitationExpired');
    const withdrawn = await ask('post', `/crews/${crewId}/invitations`, {
      cookie: first.cookie,
      body: { role: 'lead' },
    });
    await ask('delete', `/crews/${crewId}/invitations/${withdrawn.body.id}`, { cookie: first.cookie }).expect(204);
    expect(await codeOf(withdrawn.body.token)).toBe('invitationUnknown');
    const byLead = await inviteTo(crewId, crewed.lead!, 'member');
    await ask('put', `/crews/${crewId}/members/${crewed.lead!.id}`, {
      cookie: first.cookie,
      body: { role: 'member' },
    }).expect(204);
    // Who made it may not invite any more.
    expect(await codeOf(byLead)).toBe('invitationUnknown');
    await ask('put', `/crews/${crewId}/members/${crewed.lead!.id}`, {
      cookie: first.cookie,
      body: { role: 'lead' },
    }).expect(204);
  });

  it('that was used or is too old counts as no guess: others of that address still come in', async () => {
    const crew = await aCrew(first);
    const used = await inviteTo(crew, first, 'viewer');
    await join(used, 'Early');
    const statuses = new Set<number>();
    for (let tries = 0; tries < 12; tries += 1) {
      statuses.add((await ask('post', '/invitations/look', { body: { token: used } })).status);
    }
    expect([...statuses]).toEqual([410]);
    await ask('post', '/invitations/look', { body: { token: await inviteTo(crew, first, 'viewer') } }).expect(200);
  });

  it('has the same answer for who takes it once more, and for who is in already', async () => {
    const token = await inviteTo(crewId, first, 'viewer');
    const other = await join(await inviteTo(await aCrew(first), first, 'viewer'), 'Alder');
    await ask('post', '/invitations/take', { cookie: other.cookie, body: { token } }).expect(200);
    await ask('post', '/invitations/take', { cookie: other.cookie, body: { token } }).expect(200);
    const more = await inviteTo(crewId, first, 'lead');
    const { body } = await ask('post', '/invitations/take', { cookie: other.cookie, body: { token: more } }).expect(
      200,
    );
    expect(body.spaces.find(({ id }: { id: string }) => id === crewId).role).toBe('viewer');
    await ask('post', '/invitations/look', { body: { token: more } }).expect(200);
  });

  it('keeps an owner, and a lead does not touch one', async () => {
    const owner = `/crews/${crewId}/members/${first.id}`;
    for (const [by, asked] of [
      [first, ask('delete', owner, { cookie: first.cookie })],
      [first, ask('put', owner, { cookie: first.cookie, body: { role: 'lead' } })],
    ] as const) {
      void by;
      expect((await asked.expect(409)).body.code).toBe('lastOwner');
    }
    const { cookie, id } = crewed.lead!;
    expect((await ask('delete', owner, { cookie }).expect(403)).body.code).toBe('notAllowed');
    await ask('put', `/crews/${crewId}/members/${id}`, { cookie, body: { role: 'own' } }).expect(403);
    const code = `/crews/${crewId}/members/${first.id}/recovery-code`;
    await ask('post', code, { cookie }).expect(403);
  });

  it('has rows that are its own: what is mine stays mine', async () => {
    const rig = aRig({ name: 'Of the crew' });
    const { cookie } = crewed.member!;
    await ask('put', `/in/${crewId}/rigs/${rig.id}`, { cookie, body: rig }).expect(200);
    const namesOf = async (path: string, who: Browser): Promise<string[]> =>
      (await ask('get', path, { cookie: who.cookie }).expect(200)).body.items.map(({ name }: { name: string }) => name);
    expect(await namesOf(`/in/${crewId}/rigs`, crewed.viewer!)).toEqual(['Of the crew']);
    expect(await namesOf('/rigs', crewed.member!)).toEqual([]);
    expect(await namesOf('/rigs', first)).toEqual(['Before others came']);
    // The same id elsewhere is another row.
    await ask('get', `/rigs/${rig.id}`, { cookie: first.cookie }).expect(404);
  });

  it('knows who brought something in by a file, and what it was before that', async () => {
    const rig = aRig({ name: `Ruff ${randomUUID()}` });
    const { lead, viewer } = crewed as Record<'lead' | 'viewer', Browser>;
    const file = { format: 'dunlinmoss', version: 3, gauges: [], tools: [], rigs: [rig], outings: [], tests: [] };
    await ask('post', `/in/${crewId}/import`, { cookie: lead.cookie, body: file }).expect(200);
    const table = `rig,load case,axle,wheel,load kg\n${rig.name},Touring,front,axle,1290\n`;
    const send = async (query: string) => {
      const told = await sendTable(server.app, `/in/${crewId}/import/loads${query}`, table, { cookie: first.cookie });
      return (told.at(-1) as unknown as { done: { digest: string; counts: LoadsCounts } }).done;
    };
    const { digest } = await send('');
    expect((await send(`?apply=${digest}`)).counts.change).toBe(1);
    const path = `/in/${crewId}/rigs/${rig.id}`;
    expect((await ask('get', path, { cookie: viewer.cookie }).expect(200)).body.savedBy).toBe(first.id);
    const { items } = (await ask('get', `${path}/history`, { cookie: viewer.cookie }).expect(200)).body;
    const frontKg = (past: PastRow<Rig>) => past.body.loadCases[0]!.weighed[0]!.loadKg;
    expect(items.map((past: PastRow<Rig>) => [past.revision, past.savedBy, frontKg(past)])).toEqual([
      [2, first.id, 1290],
      [1, lead.id, 1160],
    ]);
  });

  it('knows who changed what and when, and what it was before', async () => {
    const rig = aRig({ name: 'Knot' });
    const path = `/in/${crewId}/rigs/${rig.id}`;
    const { lead, member } = crewed as Record<'lead' | 'member', Browser>;
    await ask('put', path, { cookie: member.cookie, body: rig }).expect(200);
    const axles = rig.axles.map((axle) => ({ ...axle, roadKpa: 210 }));
    const second = await ask('put', path, { cookie: lead.cookie, body: { ...rig, axles, revision: 1 } }).expect(200);
    expect(second.body.savedBy).toBe(lead.id);
    // The answer was lost, and the same comes again: it is no third version.
    await ask('put', path, { cookie: lead.cookie, body: { ...rig, axles, revision: 1 } }).expect(200);
    await ask('delete', `${path}?revision=2`, { cookie: member.cookie }).expect(204);
    await ask('post', `${path}/restore`, { cookie: lead.cookie }).expect(200);
    const { body } = await ask('get', `${path}/history`, { cookie: crewed.viewer!.cookie }).expect(200);
    const told = body.items.map(({ revision, deed, savedBy }: { revision: number; deed: string; savedBy: string }) => [
      revision,
      deed,
      savedBy,
    ]);
    expect(told).toEqual([
      [4, 'restored', lead.id],
      [3, 'archived', member.id],
      [2, 'saved', lead.id],
      [1, 'saved', member.id],
    ]);
    expect(body.items.at(-1).body.axles[0].roadKpa).toBe(240);
    // Back to what it was: saved on top of what it is.
    await ask('put', path, { cookie: member.cookie, body: { ...body.items.at(-1).body, revision: 4 } }).expect(200);
    // Deleted for good, nothing is left of it.
    await ask('delete', `${path}?revision=5`, { cookie: lead.cookie }).expect(204);
    await ask('delete', `${path}?revision=6&forever=true`, { cookie: lead.cookie }).expect(204);
    await ask('get', `${path}/history`, { cookie: lead.cookie }).expect(404);
  });

  it('hears of a change through whichever server it came, and only of its own', async () => {
    const servers = [server.as(server.config.ownerId), server.as(server.config.ownerId)].map((app) => app.listen(0));
    const [near, far] = servers.map((each) => (each.address() as { port: number }).port);
    const stop = new AbortController();
    const follow = async (space: string, cookie: string) => {
      const line = await fetch(`http://127.0.0.1:${near}/api/v1/in/${space}/changes/stream`, {
        headers: { cookie },
        signal: stop.signal,
      });
      const reader = line.body!.getReader();
      let heard = '';
      void (async () => {
        for (;;) {
          const { done, value } = await reader.read();
          if (done) return;
          heard += Buffer.from(value).toString();
        }
      })().catch(() => undefined);
      return () => heard.match(/event: changed/g)?.length ?? 0;
    };
    const mine = await follow(crewId, crewed.viewer!.cookie);
    const other = await aCrew(first);
    const others = await follow(other, first.cookie);
    await new Promise((resolve) => setTimeout(resolve, 600));
    const rig = aRig();
    await fetch(`http://127.0.0.1:${far}/api/v1/in/${crewId}/rigs/${rig.id}`, {
      method: 'PUT',
      headers: { cookie: crewed.member!.cookie, 'content-type': 'application/json' },
      body: JSON.stringify(rig),
    });
    const until = Date.now() + 10_000;
    while (mine() === 0 && Date.now() < until) await new Promise((resolve) => setTimeout(resolve, 50));
    expect([mine(), others()]).toEqual([1, 0]);
    stop.abort();
    for (const each of servers) {
      each.closeAllConnections();
      each.close();
    }
  });

  it('ends the streams of who is let go or signed out, within a second, on every server', async () => {
    const servers = [server.as(server.config.ownerId), server.as(server.config.ownerId)].map((app) => app.listen(0));
    const leaver = await join(await inviteTo(crewId, first, 'member'), 'Streamer');
    const signsOut = await join(await inviteTo(crewId, first, 'member'), 'Signer out');
    const stays = crewed.viewer!;
    const follow = async (port: number, path: string, { cookie }: Browser) => {
      const line = await fetch(`http://127.0.0.1:${port}/api/v1${path}`, { headers: { cookie } });
      expect(line.status).toBe(200);
      let isOpen = true;
      void line.text().then(
        () => (isOpen = false),
        () => (isOpen = false),
      );
      return () => isOpen;
    };
    const ports = servers.map((each) => (each.address() as { port: number }).port);
    const inCrew = `/in/${crewId}/changes/stream`;
    const ended = await Promise.all(
      ports.flatMap((port) => [
        follow(port, inCrew, leaver),
        follow(port, inCrew, signsOut),
        follow(port, '/changes/stream', signsOut),
      ]),
    );
    const left = await Promise.all(
      ports.flatMap((port) => [follow(port, inCrew, stays), follow(port, '/changes/stream', leaver)]),
    );
    await ask('delete', `/crews/${crewId}/members/${leaver.id}`, { cookie: first.cookie }).expect(204);
    await ask('delete', '/session', { cookie: signsOut.cookie }).expect(204);
    const until = Date.now() + 10_000;
    while (ended.some((isOpen) => isOpen()) && Date.now() < until) await new Promise((done) => setTimeout(done, 50));
    expect(ended.map((isOpen) => isOpen())).toEqual(ended.map(() => false));
    expect(left.map((isOpen) => isOpen())).toEqual(left.map(() => true));
    for (const each of servers) {
      each.closeAllConnections();
      each.close();
    }
  });

  it('lets one person follow by so many streams and no more, and says so', async () => {
    const one = server.as(server.config.ownerId).listen(0);
    const { port } = one.address() as { port: number };
    const stop = new AbortController();
    const person = await join(await inviteTo(crewId, first, 'viewer'), 'Follower');
    const follow = () =>
      fetch(`http://127.0.0.1:${port}/api/v1/in/${crewId}/changes/stream`, {
        headers: { cookie: person.cookie },
        signal: stop.signal,
      });
    const answers = await Promise.all(Array.from({ length: MOST_STREAMS + 3 }, follow));
    const refused = answers.filter(({ status }) => status !== 200);
    expect(refused.map(({ status }) => status)).toEqual([429, 429, 429]);
    expect(await refused[0]!.json()).toMatchObject({ code: 'tooManyStreams' });
    stop.abort();
    one.closeAllConnections();
    one.close();
  });

  it('looks at every table whose rows say when they changed', async () => {
    const [tables] = (await server.pool.query(
      `SELECT table_name AS name FROM information_schema.columns WHERE table_schema = DATABASE() AND column_name = 'changed_at'`,
    )) as unknown as [{ name: string }[]];
    expect([...LIVE_TABLES].sort()).toEqual(tables.map(({ name }) => name).sort());
  });

  it('takes nothing from a page that somebody else had opened before', async () => {
    const rig = aRig();
    const headers = { 'dunlinmoss-person': crewed.lead!.id };
    const path = `/in/${crewId}/rigs/${rig.id}`;
    const { body } = await ask('put', path, { cookie: crewed.member!.cookie, headers, body: rig }).expect(401);
    expect(body.code).toBe('signIn');
    await ask('put', path, { cookie: crewed.lead!.cookie, headers, body: rig }).expect(200);
  });

  it('lets go of who leaves at once', async () => {
    const leaver = await join(await inviteTo(crewId, first, 'member'), 'Leaver');
    await ask('get', `/in/${crewId}/rigs`, { cookie: leaver.cookie }).expect(200);
    await ask('delete', `/crews/${crewId}/members/${leaver.id}`, { cookie: leaver.cookie }).expect(204);
    expect((await ask('get', `/in/${crewId}/rigs`, { cookie: leaver.cookie }).expect(403)).body.code).toBe('notMember');
  });

  it('gives somebody who forgot a code for today, unless they are in other crews too', async () => {
    const person = await join(await inviteTo(crewId, crewed.lead!, 'member'), 'Forgetful');
    const path = `/crews/${crewId}/members/${person.id}/recovery-code`;
    await ask('post', path, { cookie: crewed.member!.cookie }).expect(403);
    const { body } = await ask('post', path, { cookie: crewed.lead!.cookie }).expect(200);
    await ask('post', '/recovery', {
      body: { name: named('Forgetful'), code: body.codes[0], passphrase: 'remembered this time' },
    }).expect(200);
    const back = browserOf(
      await ask('post', '/session', { body: { name: named('Forgetful'), passphrase: 'remembered this time' } }),
    );
    await aCrew(back);
    expect((await ask('post', path, { cookie: crewed.lead!.cookie }).expect(409)).body.code).toBe('codeNotGiven');
  });

  it.each([
    [
      'who gave it may no more',
      async (_: Browser, giver: Browser) => {
        const path = `/crews/${crewId}/members/${giver.id}`;
        await ask('put', path, { cookie: first.cookie, body: { role: 'member' } }).expect(204);
      },
    ],
    [
      'who gave it is gone from the crew',
      async (_: Browser, giver: Browser) => {
        await ask('delete', `/crews/${crewId}/members/${giver.id}`, { cookie: first.cookie }).expect(204);
      },
    ],
    [
      'the person leads by now',
      async ({ id }: Browser) => {
        await ask('put', `/crews/${crewId}/members/${id}`, { cookie: first.cookie, body: { role: 'lead' } }).expect(
          204,
        );
      },
    ],
    [
      'the person changed the pass-phrase',
      async ({ cookie }: Browser) => {
        await ask('put', '/passphrase', {
          cookie,
          body: { before: PASSPHRASE, passphrase: 'thrift and sea lavender' },
        }).expect(204);
      },
    ],
    [
      'the person made a crew',
      async (person: Browser) => {
        const made = await aCrew(person);
        await ask('delete', `/crews/${made}`, { cookie: person.cookie, body: { name: 'Sluice crew' } }).expect(204);
      },
    ],
    [
      'the person joined another crew and left it',
      async (person: Browser) => {
        const other = await aCrew(first);
        const token = await inviteTo(other, first, 'viewer');
        await ask('post', '/invitations/take', { cookie: person.cookie, body: { token, person: null } }).expect(200);
        await ask('delete', `/crews/${other}/members/${person.id}`, { cookie: person.cookie }).expect(204);
      },
    ],
  ] as const)('a code that was given is void once %s', async (_, change) => {
    const own = [...randomUUID().replace(/[^a-f]/g, '')].slice(0, 6).join('');
    const giver = await join(await inviteTo(crewId, first, 'lead'), `Giver ${own}`);
    const person = await join(await inviteTo(crewId, first, 'member'), `Forgot ${own}`);
    const path = `/crews/${crewId}/members/${person.id}/recovery-code`;
    const { body } = await ask('post', path, { cookie: giver.cookie }).expect(200);
    await change(person, giver);
    const again = { name: named(`Forgot ${own}`), code: body.codes[0], passphrase: 'remembered this time' };
    expect((await ask('post', '/recovery', { body: again }).expect(403)).body.code).toBe('wrongCode');
  });
});

describe('deleting for good', () => {
  /** How many rows there are of a space, whatever table they lie in. */
  const rowsOf = async (spaceId: string): Promise<number> => {
    const [tables] = (await server.pool.query(
      `SELECT table_name AS name FROM information_schema.columns WHERE table_schema = DATABASE() AND column_name = 'owner_id'`,
    )) as unknown as [{ name: string }[]];
    let count = 0;
    for (const { name } of tables) {
      const [[row]] = (await server.pool.query(`SELECT COUNT(*) AS many FROM ${name} WHERE owner_id = ?`, [
        spaceId,
      ])) as unknown as [[{ many: number }]];
      count += row.many;
    }
    return count;
  };
  /** Something of every kind. */
  const fill = async (space: string, { cookie }: Browser): Promise<void> => {
    const rig = aRig();
    const at = `/in/${space}`;
    for (const [path, body] of [
      [`rigs/${rig.id}`, rig],
      [`tests/${randomUUID()}`, aTest(rig.id)],
      [`airings/${randomUUID()}`, { ...anAiring(rig.id), gauge: null }],
      [`outings/${randomUUID()}`, anOuting(rig.id)],
      [`comparisons/${randomUUID()}`, aComparison(rig.id)],
      [`routes/${randomUUID()}`, aDayRoute(rig.id)],
    ] as const) {
      const id = path.split('/')[1]!;
      await ask('put', `${at}/${path}`, { cookie, body: { ...body, id } }).expect(200);
    }
    const rows = [{ position: 'front', wheel: 'left', readAt: '2026-11-01T10:00:00.000Z', pressureKpa: 200, tempC: 9 }];
    await ask('post', `${at}/rigs/${rig.id}/log`, { cookie, body: { rows } }).expect(200);
  };

  it('takes a person away with all of their own, and leaves what they saved for the crew', async () => {
    const person = await join(await inviteTo(crewId, first, 'member'), 'Passing');
    await fill(person.id, person);
    const rig = aRig();
    await ask('put', `/in/${crewId}/rigs/${rig.id}`, { cookie: person.cookie, body: rig }).expect(200);
    expect(await rowsOf(person.id)).toBeGreaterThan(10);
    const wrong = await ask('delete', '/me', { cookie: person.cookie, body: { passphrase: 'something else' } });
    expect([wrong.status, wrong.body.code]).toEqual([403, 'wrongPassphrase']);
    await ask('delete', '/me', { cookie: person.cookie, body: { passphrase: PASSPHRASE } }).expect(204);
    expect(await rowsOf(person.id)).toBe(0);
    await ask('get', '/me', { cookie: person.cookie }).expect(200, { signIn: true, person: null, spaces: [] });
    const { body } = await ask('get', `/in/${crewId}/rigs/${rig.id}`, { cookie: first.cookie }).expect(200);
    expect(body.savedBy).toBe(person.id);
    // The name is free again.
    await join(await inviteTo(crewId, first, 'viewer'), 'Passing');
  });

  it('takes a crew away with all that is in it, by its name', async () => {
    const crew = await aCrew(first);
    await fill(crew, first);
    const token = await inviteTo(crew, first, 'member');
    const named = async (name: string) =>
      (await ask('delete', `/crews/${crew}`, { cookie: first.cookie, body: { name } })).status;
    expect(await named('Another crew')).toBe(400);
    expect(await rowsOf(crew)).toBeGreaterThan(10);
    expect(await named('Sluice crew')).toBe(204);
    expect(await rowsOf(crew)).toBe(0);
    expect((await ask('post', '/invitations/look', { body: { token } })).body.code).toBe('invitationUnknown');
    await ask('get', `/in/${crew}/rigs`, { cookie: first.cookie }).expect(403);
  });

  it('leaves no crew without an owner, and keeps whoever let the others in', async () => {
    const owner = await join(await inviteTo(await aCrew(first), first, 'member'), 'Owner of one');
    const crew = await aCrew(owner);
    const asked = () => ask('delete', '/me', { cookie: owner.cookie, body: { passphrase: PASSPHRASE } });
    expect((await asked().expect(409)).body.code).toBe('lastOwner');
    await ask('delete', `/crews/${crew}`, { cookie: owner.cookie, body: { name: 'Sluice crew' } }).expect(204);
    await asked().expect(204);
    const mine = await ask('delete', '/me', { cookie: first.cookie, body: { passphrase: PASSPHRASE } });
    expect([mine.status, mine.body.code]).toEqual([409, 'firstPerson']);
  });
});

/*
 * What each may do, route by route: who asks it in a crew's space needs at least this. `nobody`: open to all. `person`:
 * whoever is signed in. What is about a crew itself names the role in that crew.
 */
const TABLE: Readonly<Record<string, 'nobody' | 'person' | Role>> = {
  'GET /me': 'nobody',
  'POST /people': 'nobody',
  'POST /session': 'nobody',
  'POST /session/passkey-options': 'nobody',
  'POST /session/passkey': 'nobody',
  'GET /passkeys': 'person',
  'POST /passkeys/options': 'person',
  'POST /passkeys': 'person',
  'DELETE /passkeys/{id}': 'person',
  'DELETE /session': 'nobody',
  'POST /recovery': 'nobody',
  'POST /invitations/look': 'nobody',
  'POST /invitations/take': 'nobody',
  'DELETE /me': 'person',
  'GET /sessions': 'person',
  'DELETE /sessions/{id}': 'person',
  'PUT /passphrase': 'person',
  'POST /recovery-codes': 'person',
  'POST /crews': 'person',
  'GET /crews/{crew}': 'viewer',
  'PUT /crews/{crew}': 'own',
  'DELETE /crews/{crew}': 'own',
  'PUT /crews/{crew}/members/{person}': 'lead',
  // Everybody may leave; the rest is told within.
  'DELETE /crews/{crew}/members/{person}': 'viewer',
  'POST /crews/{crew}/members/{person}/recovery-code': 'lead',
  'POST /crews/{crew}/invitations': 'lead',
  'DELETE /crews/{crew}/invitations/{id}': 'lead',
  'DELETE /rigs/{id}/log': 'lead',
  'POST /archive': 'lead',
  'PUT /archives/{id}': 'viewer',
  'PUT /papers/{id}': 'viewer',
  'PUT /log-keeping': 'lead',
  'POST /import': 'lead',
  'POST /import/loads': 'lead',
  'POST /import/log/{id}': 'lead',
  'DELETE /imports/{id}': 'lead',
};
/** All other routes are about rows: who sees may read and reckon, who works with them may write. */
const needed = (way: string): 'nobody' | 'person' | Role =>
  TABLE[way] ?? (way.startsWith('GET ') || way.startsWith('POST /calc/') ? 'viewer' : 'member');

const METHODS = ['get', 'post', 'put', 'delete'] as const;
const routes = Object.entries(openApi().paths as Record<string, object>).flatMap(([path, ways]) =>
  METHODS.filter((method) => method in ways).map((method) => ({ method, path })),
);
const ORDER = ['viewer', 'member', 'lead', 'own'] as const;

describe('every route of the API', () => {
  const isAboutPeople = (path: string): boolean =>
    /^\/(me|people|passkeys|sessions?|recovery|passphrase|invitations|crews)/.test(path);
  /** A path with ids that are not there: who may ask gets another refusal than who may not. */
  const addressOf = (path: string): string =>
    path
      .replace('{crew}', crewId)
      .replace('{position}', 'front')
      .replace('{wheel}', 'left')
      .replace(/\{\w+\}/g, () => randomUUID());
  const inCrew = (path: string): string => (isAboutPeople(path) ? addressOf(path) : `/in/${crewId}${addressOf(path)}`);
  const NO_BODY = { get: undefined, delete: undefined, post: {}, put: {} } as const;
  const codeOf = async (method: (typeof METHODS)[number], address: string, cookie?: string, headers = {}) => {
    const body = NO_BODY[method];
    const answer = await ask(method, address, { cookie, headers, ...(body && { body }) });
    return `${answer.status} ${answer.body?.code ?? ''}`;
  };
  const SHUT = new Set(['401 signIn', '403 notMember', '403 notAllowed']);
  // These never end by themselves, or end what the others need.
  const asked = routes.filter(
    ({ method, path }) => !path.endsWith('/stream') && !(method === 'delete' && path === '/session'),
  );

  it('stands in the table where it needs more than its kind says', () => {
    const ways = routes.map(({ method, path }) => `${method.toUpperCase()} ${path}`);
    expect(Object.keys(TABLE).filter((way) => !ways.includes(way))).toEqual([]);
    expect(routes.length).toBeGreaterThan(80);
  });

  it('is shut to who has no session, or one that was revoked', async () => {
    const gone = browserOf(
      await ask('post', '/session', { body: { name: named('Rushy'), passphrase: PASSPHRASE, device: 'Gone' } }),
    );
    await ask('delete', '/session', { cookie: gone.cookie }).expect(204);
    for (const { method, path } of asked) {
      const open = needed(`${method.toUpperCase()} ${path}`) === 'nobody';
      for (const cookie of [undefined, gone.cookie]) {
        const code = await codeOf(method, inCrew(path), cookie);
        if (open) expect(`${method} ${path}: ${SHUT.has(code)}`).toBe(`${method} ${path}: false`);
        else expect(`${method} ${path}: ${code}`).toBe(`${method} ${path}: 401 signIn`);
      }
    }
  });

  it('is shut to another crew', async () => {
    const stranger = await join(await inviteTo(await aCrew(first), first, 'lead'), 'Stranger');
    for (const { method, path } of asked) {
      const who = needed(`${method.toUpperCase()} ${path}`);
      if (who === 'nobody' || who === 'person') continue;
      const code = await codeOf(method, inCrew(path), stranger.cookie);
      expect(`${method} ${path}: ${code}`).toBe(`${method} ${path}: 403 notMember`);
    }
  });

  it.each(['viewer', 'member', 'lead', 'own'] as const)(
    'does for a %s what the table says, and no more',
    async (role) => {
      const { cookie } = crewed[role]!;
      for (const { method, path } of asked) {
        const way = `${method.toUpperCase()} ${path}`;
        // What would end this person's own standing is tried by the tests above.
        if (way === 'POST /recovery-codes' || way === 'PUT /crews/{crew}') continue;
        const who = needed(way);
        const may = who === 'nobody' || who === 'person' || ORDER.indexOf(role) >= ORDER.indexOf(who);
        const code = await codeOf(method, inCrew(path), cookie);
        expect(`${way}: ${SHUT.has(code) ? 'shut' : 'open'}`).toBe(`${way}: ${may ? 'open' : 'shut'}`);
      }
    },
  );

  it('is declared on the router as the table says, and none but those of the description', () => {
    const declared = (server.app.locals.routes as Declared[]).map(({ method, path, needed: own }) => [
      `${method.toUpperCase()} ${path.replace(/:(\w+)/g, '{$1}')}`,
      typeof own === 'object' ? own.crew : own,
    ]);
    const described = routes.map(({ method, path }) => {
      const way = `${method.toUpperCase()} ${path}`;
      return [way, needed(way)];
    });
    // What a machine asks of the server has no row, and no place in the description.
    const ofMachines = ['/openapi.json', '/health', '/ready'].map((path) => [`GET ${path}`, 'nobody']);
    expect(declared.sort()).toEqual([...described, ...ofMachines].sort());
  });

  it('keeps a server from starting where nobody declared who may', () => {
    expect(() => new Routes().get('/x', (() => undefined) as never)).toThrow('get /x: expected who may use it');
    expect(() => new Routes().put('/x', undefined as never)).toThrow('expected who may use it');
  });

  it('is shut to a role below under every spelling of its address', async () => {
    const spelled = (path: string): string[] => {
      const at = path.lastIndexOf('/') + 1;
      const coded = `${path.slice(0, at)}%${path.charCodeAt(at).toString(16)}${path.slice(at + 1)}`;
      const [, top = ''] = /^\/(?:in\/[^/]+\/)?([^/]+)/.exec(path) ?? [];
      return [
        `${path}/`,
        `${path}//`,
        path.replace(top, top.toUpperCase()),
        path.replace(`/${top}`, `//${top}`),
        path.replace(`/${top}`, `/./${top}`),
        path.replace(`/${top}`, `/x/../${top}`),
        coded,
        `${path}?_method=GET`,
        `${path}%00`,
        `${path};a=b`,
      ];
    };
    for (const role of ['viewer', 'member', 'lead'] as const) {
      const { cookie } = crewed[role]!;
      for (const { method, path } of asked) {
        const who = needed(`${method.toUpperCase()} ${path}`);
        if (who === 'nobody' || who === 'person' || ORDER.indexOf(role) >= ORDER.indexOf(who)) continue;
        for (const address of spelled(inCrew(path))) {
          const code = await codeOf(method, address, cookie);
          const isShut = SHUT.has(code) || code === '404 notFound';
          expect(`${role} ${method} ${address}: ${isShut ? 'shut' : code}`).toBe(`${role} ${method} ${address}: shut`);
        }
      }
    }
  });

  it('is no more open to a member who spells it another way', async () => {
    const { cookie } = crewed.member!;
    const { cookie: leader } = crewed.lead!;
    const rig = aRig();
    const at = `/in/${crewId}/rigs/${rig.id}`;
    await ask('put', at, { cookie: leader, body: rig }).expect(200);
    await ask('delete', `${at}?revision=1`, { cookie: leader }).expect(204);
    const log = `/in/${crewId}/log-keeping`;
    const spellings = [
      ...['true', 'TRUE', '1', 'yes', 'on', 'y', 'enabled', 'True'].map(
        (word) => ['delete', `${at}?revision=2&forever=${word}`] as const,
      ),
      ...['/log', '/log/', '/LOG', '/Log/', '//log', '/l%6fg', '/./log'].flatMap((end) =>
        [at, at.replace('/rigs/', '/Rigs/')].map(
          (way) => ['delete', `${way}${end}?from=2020-01-01T00:00:00.000Z&to=2030-01-01T00:00:00.000Z`] as const,
        ),
      ),
      ...[log, `${log}/`, log.replace('log-k', 'Log-K'), log.replace('/log', '//log')].map(
        (path) => ['put', path] as const,
      ),
      ...['/import', '/import/', '/IMPORT', '/archive', '/archive/', '/Archive', '/import/loads/', '/Import/Loads'].map(
        (path) => ['post', `/in/${crewId}${path}`] as const,
      ),
    ];
    for (const [method, path] of spellings) {
      const answer = await ask(method, path, { cookie, ...(method !== 'delete' && { body: { months: 3 } }) });
      expect(`${method} ${path}: ${[400, 403, 404].includes(answer.status)}`).toBe(`${method} ${path}: true`);
    }
    // The rig is where it was, in the archive.
    await ask('delete', `${at}?revision=2&forever=1`, { cookie: leader }).expect(204);
  });

  it('is shut to pages of another site, whoever looks at them', async () => {
    for (const { method, path } of asked) {
      for (const headers of [{ origin: 'https://elsewhere.test' }, { 'sec-fetch-site': 'cross-site' }]) {
        const code = await codeOf(method, inCrew(path), first.cookie, headers);
        expect(`${method} ${path}: ${code}`).toBe(`${method} ${path}: 403 otherSite`);
      }
    }
  });
});
