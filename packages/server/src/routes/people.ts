import type { Role } from '@dunlinmoss/contract';
import {
  askedInvitation,
  crewChange,
  mayAs,
  memberChange,
  newCrew,
  newInvitation,
  newPasskey,
  newPerson,
  ownPassphrase,
  passphraseChange,
  recovering,
  signingIn,
  signingInByPasskey,
  takenInvitation,
} from '@dunlinmoss/contract/api';
import type { Request, Response, Router } from 'express';
import type { Pool, RowDataPacket } from 'mysql2/promise';

import { clearSession, sessionToken, setSession } from '../people/cookie';
import * as passkeys from '../people/passkeys';
import * as people from '../people/people';
import type { KnownSessions } from '../people/whose';
import { throttle } from '../people/throttle';
import { Refusal } from '../problems';
import { idOf } from './idOf';
import { strictRouter } from '../strictRouter';

/** The person who asks. Throws `signIn` where there is none, or where nobody signs in here yet. */
function personOf({ personId, signIn }: Request): string {
  if (personId === null || !signIn) throw new Refusal(signIn ? 'signIn' : 'aloneHere');
  return personId;
}

const addressOf = (request: Request): string => request.ip ?? 'unknown';

/** Signing in, crews, invitations. These are about who somebody is, so they look for themselves at what they may. */
export function peopleRoutes(pool: Pool, firstId: string, sessions: KnownSessions): Router {
  const router = strictRouter();
  router.use(sessions.forgetWith);
  const wrong = throttle(pool);

  const begun = async (request: Request, response: Response, { token, personId }: people.Begun): Promise<void> => {
    setSession(request, response, token);
    response.json(await people.meOf(pool, true, personId, firstId));
  };
  const roleIn = async (
    request: Request,
    needed: Role,
  ): Promise<{ readonly crewId: string; readonly personId: string; readonly role: Role }> => {
    const personId = personOf(request);
    const crewId = idOf(request.params.crew);
    const [[found]] = await pool.query<RowDataPacket[]>(
      'SELECT role FROM crew_members WHERE crew_id = ? AND person_id = ?',
      [crewId, personId],
    );
    if (!found) throw new Refusal('notMember');
    if (!mayAs(found.role, needed)) throw new Refusal('notAllowed');
    return { crewId, personId, role: found.role };
  };

  router.get('/me', async (request, response) => {
    // Asked by every open page: a device that is in use stays signed in.
    if (request.sessionId) setSession(request, response, sessionToken(request)!);
    response.json(await people.meOf(pool, request.signIn, request.personId, firstId));
  });

  router.post('/people', async (request, response) => {
    const person = newPerson.parse(request.body);
    if (request.signIn) throw new Refusal('byInvitation');
    await begun(request, response, await people.letOthersIn(pool, firstId, person));
  });

  router.post('/session', async (request, response) => {
    const { name, passphrase, device } = signingIn.parse(request.body);
    if (!request.signIn) throw new Refusal('aloneHere');
    const session = await wrong.guard(name, addressOf(request), () => people.signIn(pool, name, passphrase, device));
    await begun(request, response, session);
  });

  router.post('/session/passkey-options', async (request, response) => {
    if (!request.signIn) throw new Refusal('aloneHere');
    response.json(await passkeys.passkeyToUse(pool, request));
  });

  router.post('/session/passkey', async (request, response) => {
    const { device, response: signed } = signingInByPasskey.parse(request.body);
    if (!request.signIn) throw new Refusal('aloneHere');
    const session = await wrong.guard('', addressOf(request), () =>
      passkeys.signInByPasskey(pool, request, device, signed as never),
    );
    await begun(request, response, session);
  });

  router.get('/passkeys', async (request, response) => {
    response.json(await passkeys.passkeysOf(pool, personOf(request)));
  });

  router.post('/passkeys/options', async (request, response) => {
    response.json(await passkeys.passkeyToMake(pool, request, personOf(request)));
  });

  router.post('/passkeys', async (request, response) => {
    const personId = personOf(request);
    const { name, response: made } = newPasskey.parse(request.body);
    await passkeys.addPasskey(pool, request, personId, name, made as never);
    response.json(await passkeys.passkeysOf(pool, personId));
  });

  router.delete('/passkeys/:id', async (request, response) => {
    await passkeys.removePasskey(pool, personOf(request), idOf(request.params.id));
    response.status(204).end();
  });

  router.delete('/session', async (request, response) => {
    await people.signOut(pool, request.sessionId);
    clearSession(request, response);
    response.status(204).end();
  });

  router.post('/recovery', async (request, response) => {
    const asked = recovering.parse(request.body);
    if (!request.signIn) throw new Refusal('aloneHere');
    await begun(
      request,
      response,
      await wrong.guard(asked.name, addressOf(request), () => people.recover(pool, asked)),
    );
  });

  router.post('/invitations/look', async (request, response) => {
    const { token } = askedInvitation.parse(request.body);
    response.json(await wrong.guard('', addressOf(request), () => people.lookAtInvitation(pool, token)));
  });

  router.post('/invitations/take', async (request, response) => {
    const { token, person } = takenInvitation.parse(request.body);
    if (!request.signIn) throw new Refusal('aloneHere');
    const taken = await wrong.guard('', addressOf(request), () =>
      people.takeInvitation(pool, token, request.personId, person),
    );
    if (taken) await begun(request, response, taken);
    else response.json(await people.meOf(pool, true, request.personId, firstId));
  });

  router.get('/sessions', async (request, response) => {
    response.json(await people.sessionsOf(pool, personOf(request), request.sessionId));
  });

  router.delete('/sessions/:id', async (request, response) => {
    await people.endSession(pool, personOf(request), idOf(request.params.id));
    response.status(204).end();
  });

  router.put('/passphrase', async (request, response) => {
    const personId = personOf(request);
    const { before, passphrase } = passphraseChange.parse(request.body);
    await wrong.guard(personId, addressOf(request), () =>
      people.changePassphrase(pool, personId, request.sessionId, before, passphrase),
    );
    response.status(204).end();
  });

  router.delete('/me', async (request, response) => {
    const personId = personOf(request);
    const { passphrase } = ownPassphrase.parse(request.body);
    await wrong.guard(personId, addressOf(request), () => people.erasePerson(pool, personId, firstId, passphrase));
    clearSession(request, response);
    response.status(204).end();
  });

  router.post('/recovery-codes', async (request, response) => {
    response.json({ codes: await people.ownRecoveryCodes(pool, personOf(request)) });
  });

  router.post('/crews', async (request, response) => {
    const personId = personOf(request);
    const { id, name } = newCrew.parse(request.body);
    await people.makeCrew(pool, personId, id, name);
    response.json(await people.crewOf(pool, id, true));
  });

  router.get('/crews/:crew', async (request, response) => {
    const { crewId, role } = await roleIn(request, 'viewer');
    response.json(await people.crewOf(pool, crewId, mayAs(role, 'lead')));
  });

  router.put('/crews/:crew', async (request, response) => {
    const { crewId } = await roleIn(request, 'own');
    const { name } = crewChange.parse(request.body);
    await people.renameCrew(pool, crewId, name);
    response.json(await people.crewOf(pool, crewId, true));
  });

  router.delete('/crews/:crew', async (request, response) => {
    const { crewId } = await roleIn(request, 'own');
    const { name } = crewChange.parse(request.body);
    const { name: called } = await people.crewOf(pool, crewId, false);
    if (name !== called) {
      throw new Refusal('invalid', { fields: [{ path: '/name', code: 'otherName', message: 'Expected its name' }] });
    }
    await people.eraseCrew(pool, crewId);
    response.status(204).end();
  });

  router.put('/crews/:crew/members/:person', async (request, response) => {
    const { crewId, personId } = await roleIn(request, 'lead');
    const { role } = memberChange.parse(request.body);
    await people.changeMember(pool, crewId, personId, idOf(request.params.person), role);
    response.status(204).end();
  });

  router.delete('/crews/:crew/members/:person', async (request, response) => {
    const { crewId, personId } = await roleIn(request, 'viewer');
    await people.changeMember(pool, crewId, personId, idOf(request.params.person), null);
    response.status(204).end();
  });

  router.post('/crews/:crew/members/:person/recovery-code', async (request, response) => {
    const { crewId, personId } = await roleIn(request, 'lead');
    response.json({ codes: [await people.giveCode(pool, crewId, personId, idOf(request.params.person))] });
  });

  router.post('/crews/:crew/invitations', async (request, response) => {
    const { crewId, personId } = await roleIn(request, 'lead');
    const { role } = newInvitation.parse(request.body);
    response.json(await people.invite(pool, crewId, personId, role));
  });

  router.delete('/crews/:crew/invitations/:id', async (request, response) => {
    const { crewId } = await roleIn(request, 'lead');
    await people.withdrawInvitation(pool, crewId, idOf(request.params.id));
    response.status(204).end();
  });

  return router;
}
