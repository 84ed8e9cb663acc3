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
import type { Request, Response } from 'express';
import type { Pool } from 'mysql2/promise';

import { clearSession, sessionToken, setSession } from '../people/cookie';
import * as passkeys from '../people/passkeys';
import * as people from '../people/people';
import type { KnownSessions } from '../people/whose';
import { throttle } from '../people/throttle';
import { Refusal } from '../problems';
import { idOf } from './idOf';
import { personOf, Routes } from './declared';

const addressOf = (request: Request): string => request.ip ?? 'unknown';

/** Signing in, crews, invitations. These are about who somebody is, so they look for themselves at what they may. */
export function peopleRoutes(pool: Pool, firstId: string, sessions: KnownSessions): Routes {
  const router = new Routes();
  router.use(sessions.forgetWith);
  const wrong = throttle(pool);

  const begun = async (request: Request, response: Response, { token, personId }: people.Begun): Promise<void> => {
    setSession(request, response, token);
    response.json(await people.meOf(pool, true, personId, firstId));
  };
  router.get('/me', 'nobody', async (request, response) => {
    // Asked by every open page: a device that is in use stays signed in.
    if (request.sessionId) setSession(request, response, sessionToken(request)!);
    response.json(await people.meOf(pool, request.signIn, request.personId, firstId));
  });

  router.post('/people', 'nobody', async (request, response) => {
    const person = newPerson.parse(request.body);
    if (request.signIn) throw new Refusal('byInvitation');
    await begun(request, response, await people.letOthersIn(pool, firstId, person));
  });

  router.post('/session', 'nobody', async (request, response) => {
    const { name, passphrase, device } = signingIn.parse(request.body);
    if (!request.signIn) throw new Refusal('aloneHere');
    const session = await wrong.guard(name, addressOf(request), () => people.signIn(pool, name, passphrase, device));
    await begun(request, response, session);
  });

  router.post('/session/passkey-options', 'nobody', async (request, response) => {
    if (!request.signIn) throw new Refusal('aloneHere');
    response.json(await passkeys.passkeyToUse(pool, request));
  });

  router.post('/session/passkey', 'nobody', async (request, response) => {
    const { device, response: signed } = signingInByPasskey.parse(request.body);
    if (!request.signIn) throw new Refusal('aloneHere');
    const session = await wrong.guard('', addressOf(request), () =>
      passkeys.signInByPasskey(pool, request, device, signed as never),
    );
    await begun(request, response, session);
  });

  router.get('/passkeys', 'person', async (request, response) => {
    response.json(await passkeys.passkeysOf(pool, personOf(request)));
  });

  router.post('/passkeys/options', 'person', async (request, response) => {
    response.json(await passkeys.passkeyToMake(pool, request, personOf(request)));
  });

  router.post('/passkeys', 'person', async (request, response) => {
    const personId = personOf(request);
    const { name, response: made } = newPasskey.parse(request.body);
    await passkeys.addPasskey(pool, request, personId, name, made as never);
    response.json(await passkeys.passkeysOf(pool, personId));
  });

  router.delete('/passkeys/:id', 'person', async (request, response) => {
    await passkeys.removePasskey(pool, personOf(request), idOf(request.params.id));
    response.status(204).end();
  });

  router.delete('/session', 'nobody', async (request, response) => {
    await people.signOut(pool, request.sessionId);
    clearSession(request, response);
    response.status(204).end();
  });

  router.post('/recovery', 'nobody', async (request, response) => {
    const asked = recovering.parse(request.body);
    if (!request.signIn) throw new Refusal('aloneHere');
    await begun(
      request,
      response,
      await wrong.guard(asked.name, addressOf(request), () => people.recover(pool, asked)),
    );
  });

  router.post('/invitations/look', 'nobody', async (request, response) => {
    const { token } = askedInvitation.parse(request.body);
    response.json(await wrong.guard('', addressOf(request), () => people.lookAtInvitation(pool, token)));
  });

  router.post('/invitations/take', 'nobody', async (request, response) => {
    const { token, person } = takenInvitation.parse(request.body);
    if (!request.signIn) throw new Refusal('aloneHere');
    const taken = await wrong.guard('', addressOf(request), () =>
      people.takeInvitation(pool, token, request.personId, person),
    );
    if (taken) await begun(request, response, taken);
    else response.json(await people.meOf(pool, true, request.personId, firstId));
  });

  router.get('/sessions', 'person', async (request, response) => {
    response.json(await people.sessionsOf(pool, personOf(request), request.sessionId));
  });

  router.delete('/sessions/:id', 'person', async (request, response) => {
    await people.endSession(pool, personOf(request), idOf(request.params.id));
    response.status(204).end();
  });

  router.put('/passphrase', 'person', async (request, response) => {
    const personId = personOf(request);
    const { before, passphrase } = passphraseChange.parse(request.body);
    await wrong.guard(personId, addressOf(request), () =>
      people.changePassphrase(pool, personId, request.sessionId, before, passphrase),
    );
    response.status(204).end();
  });

  router.delete('/me', 'person', async (request, response) => {
    const personId = personOf(request);
    const { passphrase } = ownPassphrase.parse(request.body);
    await wrong.guard(personId, addressOf(request), () => people.erasePerson(pool, personId, firstId, passphrase));
    clearSession(request, response);
    response.status(204).end();
  });

  router.post('/recovery-codes', 'person', async (request, response) => {
    response.json({ codes: await people.ownRecoveryCodes(pool, personOf(request)) });
  });

  router.post('/crews', 'person', async (request, response) => {
    const personId = personOf(request);
    const { id, name } = newCrew.parse(request.body);
    await people.makeCrew(pool, personId, id, name);
    response.json(await people.crewOf(pool, id, true));
  });

  router.get('/crews/:crew', { crew: 'viewer' }, async (request, response) => {
    const { role } = request;
    const crewId = idOf(request.params.crew);
    response.json(await people.crewOf(pool, crewId, mayAs(role, 'lead')));
  });

  router.put('/crews/:crew', { crew: 'own' }, async (request, response) => {
    const crewId = idOf(request.params.crew);
    const { name } = crewChange.parse(request.body);
    await people.renameCrew(pool, crewId, name);
    response.json(await people.crewOf(pool, crewId, true));
  });

  router.delete('/crews/:crew', { crew: 'own' }, async (request, response) => {
    const crewId = idOf(request.params.crew);
    const { name } = crewChange.parse(request.body);
    const { name: called } = await people.crewOf(pool, crewId, false);
    if (name !== called) {
      throw new Refusal('invalid', { fields: [{ path: '/name', code: 'otherName', message: 'Expected its name' }] });
    }
    await people.eraseCrew(pool, crewId);
    response.status(204).end();
  });

  router.put('/crews/:crew/members/:person', { crew: 'lead' }, async (request, response) => {
    const personId = personOf(request);
    const crewId = idOf(request.params.crew);
    const { role } = memberChange.parse(request.body);
    await people.changeMember(pool, crewId, personId, idOf(request.params.person), role);
    response.status(204).end();
  });

  router.delete('/crews/:crew/members/:person', { crew: 'viewer' }, async (request, response) => {
    const personId = personOf(request);
    const crewId = idOf(request.params.crew);
    await people.changeMember(pool, crewId, personId, idOf(request.params.person), null);
    response.status(204).end();
  });

  router.post('/crews/:crew/members/:person/recovery-code', { crew: 'lead' }, async (request, response) => {
    const personId = personOf(request);
    const crewId = idOf(request.params.crew);
    response.json({ codes: [await people.giveCode(pool, crewId, personId, idOf(request.params.person))] });
  });

  router.post('/crews/:crew/invitations', { crew: 'lead' }, async (request, response) => {
    const personId = personOf(request);
    const crewId = idOf(request.params.crew);
    const { role } = newInvitation.parse(request.body);
    response.json(await people.invite(pool, crewId, personId, role));
  });

  router.delete('/crews/:crew/invitations/:id', { crew: 'lead' }, async (request, response) => {
    const crewId = idOf(request.params.crew);
    await people.withdrawInvitation(pool, crewId, idOf(request.params.id));
    response.status(204).end();
  });

  return router;
}
