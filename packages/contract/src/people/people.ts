import { z } from 'zod';

import { id, timestamp } from '../quantities';
import { NAME_LENGTH, PASSPHRASE_LENGTH } from './lengths';
import { mixesAlphabets, nameKey, tidyName } from './names';
import { INVITED_ROLES, ROLES } from './roles';

const shownName = (most: number) =>
  z
    .string()
    .max(4 * most)
    .transform(tidyName)
    .pipe(z.string().min(NAME_LENGTH.least).max(most));

export const personName = shownName(NAME_LENGTH.most).superRefine((name, context) => {
  const refuse = (code: string, message: string) =>
    context.addIssue({ code: 'custom', message, params: { code }, input: name });
  if (nameKey(name).length < NAME_LENGTH.least) refuse('nameUnreadable', 'Expected letters or figures');
  else if (mixesAlphabets(name)) refuse('nameMixed', 'Expected letters of one alphabet');
});
export const crewName = shownName(60);

export const passphrase = z.string().min(PASSPHRASE_LENGTH.least).max(PASSPHRASE_LENGTH.most);
/** One that was given earlier, whatever was asked of it then. */
const givenPassphrase = z.string().min(1).max(PASSPHRASE_LENGTH.most);
/** What the browser it is signed in on is called in the list. */
const device = z.string().min(1).max(60).default('A browser');
const token = z.string().regex(/^[A-Za-z0-9_-]{43}$/);
export const recoveryCode = z.string().min(1).max(40);

export const newPerson = z.strictObject({ name: personName, passphrase, device });
export const signingIn = z.strictObject({ name: z.string().min(1).max(160), passphrase: givenPassphrase, device });
export const recovering = z.strictObject({
  name: z.string().min(1).max(160),
  code: recoveryCode,
  passphrase,
  device,
});
export const passphraseChange = z.strictObject({ before: givenPassphrase, passphrase });
/** To be sure that it is the person. */
export const ownPassphrase = z.strictObject({ passphrase: givenPassphrase });
/** What a device has signed or made, as browsers give it; the server's library checks it. */
const signedByDevice = z.looseObject({
  id: z.string().min(1).max(1_400),
  type: z.literal('public-key'),
  response: z.looseObject({}),
});
export const newPasskey = z.strictObject({ name: z.string().trim().min(1).max(60), response: signedByDevice });
export const signingInByPasskey = z.strictObject({ device, response: signedByDevice });
/** What a device is asked to sign or make, as browsers take it. */
export const passkeyOptions = z.looseObject({ challenge: z.string() });
export const passkeyList = z.strictObject({
  items: z.array(z.strictObject({ id, name: z.string(), createdAt: timestamp, usedAt: timestamp.nullable() })),
});
export type PasskeyList = z.infer<typeof passkeyList>;
export const newCrew = z.strictObject({ id, name: crewName });
export const crewChange = z.strictObject({ name: crewName });
export const memberChange = z.strictObject({ role: z.enum(ROLES) });
export const newInvitation = z.strictObject({ role: z.enum(INVITED_ROLES) });
/** Taken by somebody who is signed in, or by a new person who says who they are. */
export const takenInvitation = z.strictObject({ token, person: newPerson.nullable().default(null) });
export const askedInvitation = z.strictObject({ token });

/** Where rows can be: one's own, or those of a crew. */
export const space = z.strictObject({ id, name: z.string(), role: z.enum(ROLES), personal: z.boolean() });
export type Space = z.infer<typeof space>;

/** Who is asking. */
export const me = z.strictObject({
  /** People sign in here; else this machine has one person, who is asked nothing. */
  signIn: z.boolean(),
  /** Null where nobody is signed in. */
  person: z.strictObject({ id, name: z.string(), first: z.boolean() }).nullable(),
  spaces: z.array(space),
});
export type Me = z.infer<typeof me>;

export const sessionList = z.strictObject({
  items: z.array(
    z.strictObject({ id, device: z.string(), createdAt: timestamp, seenAt: timestamp, current: z.boolean() }),
  ),
});
export type SessionList = z.infer<typeof sessionList>;

export const crew = z.strictObject({
  id,
  name: z.string(),
  members: z.array(z.strictObject({ id, name: z.string(), role: z.enum(ROLES), joinedAt: timestamp })),
  /** Those that can still be used. Told to those who may invite; else empty. */
  invitations: z.array(z.strictObject({ id, role: z.enum(INVITED_ROLES), madeBy: id, expiresAt: timestamp })),
});
export type Crew = z.infer<typeof crew>;

/** Told once: only its hash is kept. */
export const madeInvitation = z.strictObject({ id, token, expiresAt: timestamp });
/** What somebody sees who was sent one, before taking it. */
export const shownInvitation = z.strictObject({
  crew: z.string(),
  role: z.enum(INVITED_ROLES),
  by: z.string(),
  expiresAt: timestamp,
});
export type ShownInvitation = z.infer<typeof shownInvitation>;

/** Told once. */
export const recoveryCodes = z.strictObject({ codes: z.array(recoveryCode) });
