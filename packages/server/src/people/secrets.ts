import { createHash, randomBytes, randomInt } from 'node:crypto';

import { hash, verify } from '@node-rs/argon2';

import { Places } from '../places';

/*
 * What is secret is kept as a hash alone: pass-phrases by argon2id, which is slow on purpose; tokens, which are long and
 * random already, by SHA-256.
 */

/** Least that is advised for argon2id: 19 MiB, two passes (published: OWASP, from memory). */
const ARGON2ID = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };
/** So many are worked out at once: each keeps a core busy for an eighth of a second. */
const AT_ONCE = 2;
const MOST_WAITING = 100;
const places = new Places(AT_ONCE, MOST_WAITING);

async function inTurn<T>(work: () => Promise<T>): Promise<T> {
  await places.take();
  try {
    return await work();
  } finally {
    places.give();
  }
}

export const hashPassphrase = (passphrase: string): Promise<string> =>
  inTurn(() => hash(passphrase.normalize('NFKC'), ARGON2ID));

let nobody: Promise<string> | undefined;

/**
 * Whether a pass-phrase is the one of a hash.
 *
 * @param passHash null where nobody has that name: it takes as long, so that names can't be found out by the clock
 */
export async function isPassphrase(passHash: string | null, passphrase: string): Promise<boolean> {
  nobody ??= hashPassphrase(randomBytes(16).toString('hex'));
  const known = passHash ?? (await nobody);
  const fits = await inTurn(() => verify(known, passphrase.normalize('NFKC')));
  return fits && passHash !== null;
}

/** A secret for a cookie or a link: 256 bits. */
export const newToken = (): string => randomBytes(32).toString('base64url');

export const hashToken = (token: string): Buffer => createHash('sha256').update(token).digest();

/** Letters and figures that are not taken for one another when they are written down. */
const CODE_LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789';
const CODE_LENGTH = 16;

/** A code to print: 79 bits, in groups of four. */
export function newRecoveryCode(): string {
  const letters = Array.from({ length: CODE_LENGTH }, () => CODE_LETTERS[randomInt(CODE_LETTERS.length)]).join('');
  return letters.match(/.{4}/g)!.join('-');
}

/** A code is the same however it is typed. */
export const hashCode = (code: string): Buffer => hashToken(code.toLowerCase().replace(/[^a-z0-9]/g, ''));
