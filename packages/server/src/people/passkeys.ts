import { randomUUID } from 'node:crypto';
import { isIP } from 'node:net';

import type { PasskeyList } from '@dunlinmoss/contract';
import {
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
  type AuthenticationResponseJSON,
  type RegistrationResponseJSON,
} from '@simplewebauthn/server';
import type { Request } from 'express';
import type { Pool, RowDataPacket } from 'mysql2/promise';

import { inTransaction, isDuplicate } from '../db/pool';
import { Refusal } from '../problems';
import { beginSession, type Begun } from './people';

const NAME = 'Dunlinmoss';
/** A person looks for their finger or their code meanwhile, min. */
const CHALLENGE_MIN = 5;
const MOST_PASSKEYS = 20;

/** The name that a passkey is bound to. Browsers make none for an address in digits. */
function partyOf(request: Request): { readonly rpID: string; readonly origin: string } {
  const { hostname } = request;
  if (isIP(hostname.replace(/^\[|\]$/g, ''))) throw new Refusal('needsName');
  return { rpID: hostname, origin: `${request.protocol}://${request.headers.host}` };
}

async function keepChallenge(pool: Pool, challenge: string, personId: string | null): Promise<void> {
  await pool.query('DELETE FROM passkey_challenges WHERE expires_at < CURRENT_TIMESTAMP(3)');
  await pool.query(
    `INSERT INTO passkey_challenges (challenge, person_id, expires_at)
     VALUES (?, ?, CURRENT_TIMESTAMP(3) + INTERVAL ${CHALLENGE_MIN} MINUTE)`,
    [challenge, personId],
  );
}

/** Whether something was asked to be signed, by whom it should be; it can't be answered twice. */
async function takeChallenge(pool: Pool, challenge: string, personId: string | null): Promise<boolean> {
  const [taken] = await pool.query(
    'DELETE FROM passkey_challenges WHERE challenge = ? AND person_id <=> ? AND expires_at > CURRENT_TIMESTAMP(3)',
    [challenge, personId],
  );
  return (taken as { affectedRows: number }).affectedRows === 1;
}

const ofPerson = (pool: Pool, personId: string) =>
  pool.query<RowDataPacket[]>(
    `SELECT k.id, k.credential_id, k.name, k.created_at, k.used_at, p.name AS person
       FROM people p LEFT JOIN passkeys k ON k.person_id = p.id WHERE p.id = ? ORDER BY k.created_at, k.id`,
    [personId],
  );

/** What a device needs to make a passkey for somebody who is signed in. */
export async function passkeyToMake(pool: Pool, request: Request, personId: string) {
  const { rpID } = partyOf(request);
  const [rows] = await ofPerson(pool, personId);
  const known = rows.filter(({ id }) => id !== null);
  if (known.length >= MOST_PASSKEYS) throw new Refusal('tooMany');
  const options = await generateRegistrationOptions({
    rpName: NAME,
    rpID,
    userID: Uint8Array.from(Buffer.from(personId)),
    userName: rows[0]!.person,
    excludeCredentials: known.map(({ credential_id }) => ({ id: credential_id })),
    // It says itself whose it is, so that no name has to be typed.
    authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
  });
  await keepChallenge(pool, options.challenge, personId);
  return options;
}

/** Keeps a passkey that a device has made. */
export async function addPasskey(
  pool: Pool,
  request: Request,
  personId: string,
  name: string,
  response: RegistrationResponseJSON,
): Promise<void> {
  const { rpID, origin } = partyOf(request);
  const verified = await verifyRegistrationResponse({
    response,
    expectedChallenge: (challenge) => takeChallenge(pool, challenge, personId),
    expectedOrigin: origin,
    expectedRPID: rpID,
    requireUserVerification: true,
  }).catch(() => null);
  if (!verified?.verified) throw new Refusal('wrongPasskey');
  const { credential } = verified.registrationInfo;
  await pool
    .query('INSERT INTO passkeys (credential_id, id, person_id, public_key, counter, name) VALUES (?)', [
      [credential.id, randomUUID(), personId, Buffer.from(credential.publicKey), credential.counter, name],
    ])
    .catch((error: unknown) => {
      if (isDuplicate(error)) throw new Refusal('wrongPasskey');
      throw error;
    });
}

/** What a device needs to sign in with a passkey, whoever's it turns out to be. */
export async function passkeyToUse(pool: Pool, request: Request) {
  const { rpID } = partyOf(request);
  const options = await generateAuthenticationOptions({ rpID, userVerification: 'required' });
  await keepChallenge(pool, options.challenge, null);
  return options;
}

/** Signs in with a passkey. Throws `wrongPasskey`. */
export async function signInByPasskey(
  pool: Pool,
  request: Request,
  device: string,
  response: AuthenticationResponseJSON,
): Promise<Begun> {
  const { rpID, origin } = partyOf(request);
  const [[key]] = await pool.query<RowDataPacket[]>(
    'SELECT id, credential_id, person_id, public_key, counter FROM passkeys WHERE credential_id = ?',
    [response.id],
  );
  if (!key) throw new Refusal('wrongPasskey');
  const verified = await verifyAuthenticationResponse({
    response,
    expectedChallenge: (challenge) => takeChallenge(pool, challenge, null),
    expectedOrigin: origin,
    expectedRPID: rpID,
    requireUserVerification: true,
    credential: { id: key.credential_id, publicKey: Uint8Array.from(key.public_key), counter: key.counter },
  }).catch(() => null);
  if (!verified?.verified) throw new Refusal('wrongPasskey');
  return inTransaction(pool, async (connection) => {
    await connection.query('UPDATE passkeys SET counter = ?, used_at = CURRENT_TIMESTAMP(3) WHERE id = ?', [
      verified.authenticationInfo.newCounter,
      key.id,
    ]);
    return beginSession(connection, key.person_id, device);
  });
}

export async function passkeysOf(pool: Pool, personId: string): Promise<PasskeyList> {
  const [rows] = await ofPerson(pool, personId);
  return {
    items: rows
      .filter(({ id }) => id !== null)
      .map(({ id, name, created_at, used_at }) => ({
        id,
        name,
        createdAt: created_at.toISOString(),
        usedAt: used_at?.toISOString() ?? null,
      })),
  };
}

export async function removePasskey(pool: Pool, personId: string, id: string): Promise<void> {
  const [gone] = await pool.query('DELETE FROM passkeys WHERE person_id = ? AND id = ?', [personId, id]);
  if ((gone as { affectedRows: number }).affectedRows === 0) throw new Refusal('notFound');
}
