import { z } from 'zod';

import {
  askedInvitation,
  crew,
  crewChange,
  madeInvitation,
  me,
  memberChange,
  newCrew,
  newInvitation,
  newPasskey,
  newPerson,
  ownPassphrase,
  passkeyList,
  passkeyOptions,
  passphraseChange,
  recovering,
  recoveryCodes,
  sessionList,
  shownInvitation,
  signingIn,
  signingInByPasskey,
  takenInvitation,
} from './people';

interface Way {
  readonly method: 'get' | 'post' | 'put' | 'delete';
  readonly path: string;
  readonly summary: string;
  readonly input?: z.ZodType;
  /** Null where the answer has no body. */
  readonly output: z.ZodType | null;
}

/** Every route that is about people, their sessions and crews. */
export const PEOPLE_PATHS: readonly Way[] = [
  { method: 'get', path: '/me', summary: 'Who is asking, and which spaces they have', output: me },
  {
    method: 'post',
    path: '/people',
    summary: 'Lets others in: the one person of this machine takes a name and a pass-phrase. Sets the session’s cookie',
    input: newPerson,
    output: me,
  },
  { method: 'post', path: '/session', summary: 'Signs in. Sets the session’s cookie', input: signingIn, output: me },
  {
    method: 'post',
    path: '/session/passkey-options',
    summary: 'What a device signs to sign in with a passkey. Under a name, not an address in digits',
    output: passkeyOptions,
  },
  {
    method: 'post',
    path: '/session/passkey',
    summary: 'Signs in with a passkey. Sets the session’s cookie',
    input: signingInByPasskey,
    output: me,
  },
  { method: 'get', path: '/passkeys', summary: 'One’s own passkeys', output: passkeyList },
  { method: 'post', path: '/passkeys/options', summary: 'What a device makes a passkey from', output: passkeyOptions },
  { method: 'post', path: '/passkeys', summary: 'Keeps a passkey', input: newPasskey, output: passkeyList },
  { method: 'delete', path: '/passkeys/{id}', summary: 'Takes a passkey away', output: null },
  { method: 'delete', path: '/session', summary: 'Signs out', output: null },
  {
    method: 'post',
    path: '/recovery',
    summary: 'Sets a new pass-phrase with a one-time code; all other sessions end. Sets the session’s cookie',
    input: recovering,
    output: me,
  },
  { method: 'get', path: '/sessions', summary: 'Where one is signed in', output: sessionList },
  { method: 'delete', path: '/sessions/{id}', summary: 'Ends one of one’s own sessions', output: null },
  {
    method: 'put',
    path: '/passphrase',
    summary: 'Changes the pass-phrase; all other sessions end',
    input: passphraseChange,
    output: null,
  },
  {
    method: 'post',
    path: '/recovery-codes',
    summary: 'New codes to print; those before are good for nothing any more',
    output: recoveryCodes,
  },
  {
    method: 'post',
    path: '/invitations/look',
    summary: 'What an invitation is to, before it is taken',
    input: askedInvitation,
    output: shownInvitation,
  },
  {
    method: 'post',
    path: '/invitations/take',
    summary: 'Takes an invitation, once: as who is signed in, or as a new person, whose cookie it sets',
    input: takenInvitation,
    output: me,
  },
  {
    method: 'post',
    path: '/crews',
    summary: 'Makes a crew; the same id again is the same crew',
    input: newCrew,
    output: crew,
  },
  {
    method: 'delete',
    path: '/me',
    summary: 'Deletes the person with everything of their own, for good; what they saved in crews stays there',
    input: ownPassphrase,
    output: null,
  },
  {
    method: 'delete',
    path: '/crews/{crew}',
    summary: 'Deletes a crew with everything in it, for good; its name says that it is meant',
    input: crewChange,
    output: null,
  },
  { method: 'get', path: '/crews/{crew}', summary: 'A crew and who is in it', output: crew },
  { method: 'put', path: '/crews/{crew}', summary: 'Renames a crew', input: crewChange, output: crew },
  {
    method: 'put',
    path: '/crews/{crew}/members/{person}',
    summary: 'Gives somebody another role',
    input: memberChange,
    output: null,
  },
  { method: 'delete', path: '/crews/{crew}/members/{person}', summary: 'Lets somebody go, or leaves', output: null },
  {
    method: 'post',
    path: '/crews/{crew}/members/{person}/recovery-code',
    summary: 'A one-time code for somebody who has forgotten the pass-phrase',
    output: recoveryCodes,
  },
  {
    method: 'post',
    path: '/crews/{crew}/invitations',
    summary: 'Makes an invitation; its token is told this once',
    input: newInvitation,
    output: madeInvitation,
  },
  { method: 'delete', path: '/crews/{crew}/invitations/{id}', summary: 'Takes an invitation back', output: null },
];
