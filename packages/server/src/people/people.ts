import type { Crew, Me, Role, SessionList } from '@dunlinmoss/contract';
import { nameKey } from '@dunlinmoss/contract/api';
import { randomUUID } from 'node:crypto';
import type { Pool, RowDataPacket } from 'mysql2/promise';

import { inTransaction, isDuplicate, type Connection } from '../db/pool';
import { Refusal } from '../problems';
import { eraseSpace } from '../repositories/erase';
import { SESSION_DAYS } from './cookie';
import { hashCode, hashPassphrase, hashToken, isPassphrase, newRecoveryCode, newToken } from './secrets';

/** What an invitation is good for, h: long enough for the other side of the marsh, too short to be found in a drawer. */
const INVITATION_H = 48;
/** A code that a lead gives is for today, h. */
const GIVEN_CODE_H = 24;
const OWN_CODES = 8;
/** Bounds of what one person or crew can make. Assumption. */
const MOST_CREWS = 50;
const MOST_INVITATIONS = 50;
const MOST_SESSIONS = 50;

interface NewPerson {
  readonly name: string;
  readonly passphrase: string;
  readonly device: string;
}

const asText = (date: Date): string => date.toISOString();

export interface Begun {
  readonly personId: string;
  /** The secret for the cookie. */
  readonly token: string;
}

/** Begins a session. The oldest end where there are very many. */
export async function beginSession(connection: Connection, personId: string, device: string): Promise<Begun> {
  const token = newToken();
  await connection.query(
    `INSERT INTO sessions (id, public_id, person_id, device, expires_at)
     VALUES (?, ?, ?, ?, CURRENT_TIMESTAMP(3) + INTERVAL ${SESSION_DAYS} DAY)`,
    [hashToken(token), randomUUID(), personId, device],
  );
  await connection.query(
    `DELETE FROM sessions WHERE person_id = ? AND (expires_at < CURRENT_TIMESTAMP(3) OR id NOT IN
       (SELECT id FROM (SELECT id FROM sessions WHERE person_id = ? ORDER BY seen_at DESC, id LIMIT ${MOST_SESSIONS}) newest))`,
    [personId, personId],
  );
  return { personId, token };
}

/** Makes a person, with a space of their own. The hash is made before: it takes too long for a transaction. */
async function addPerson(connection: Connection, id: string, name: string, passHash: string): Promise<void> {
  await connection.query('INSERT INTO owners (id) VALUES (?) ON DUPLICATE KEY UPDATE id = id', [id]);
  try {
    await connection.query('INSERT INTO people (id, name, name_key, pass_hash) VALUES (?)', [
      [id, name, nameKey(name), passHash],
    ]);
  } catch (error) {
    if (isDuplicate(error)) throw new Refusal('nameTaken');
    throw error;
  }
}

/** Who is asking, and where their rows can be. */
export async function meOf(pool: Pool, signIn: boolean, personId: string | null, firstId: string): Promise<Me> {
  if (!signIn) {
    const space = { id: firstId, name: '', role: 'own', personal: true } as const;
    return { signIn, person: { id: firstId, name: '', first: true }, spaces: [space] };
  }
  if (personId === null) return { signIn, person: null, spaces: [] };
  const [[person]] = await pool.query<RowDataPacket[]>('SELECT name FROM people WHERE id = ?', [personId]);
  const [crews] = await pool.query<RowDataPacket[]>(
    `SELECT c.id, c.name, m.role FROM crew_members m JOIN crews c ON c.id = m.crew_id
      WHERE m.person_id = ? ORDER BY c.name, c.id`,
    [personId],
  );
  return {
    signIn,
    person: { id: personId, name: person!.name, first: personId === firstId },
    spaces: [
      { id: personId, name: person!.name, role: 'own', personal: true },
      ...crews.map(({ id, name, role }) => ({ id, name, role, personal: false })),
    ],
  };
}

/** The first person takes a name and a pass-phrase: from now on people sign in. */
export async function letOthersIn(
  pool: Pool,
  firstId: string,
  { name, passphrase, device }: NewPerson,
): Promise<Begun> {
  const passHash = await hashPassphrase(passphrase);
  return inTransaction(pool, async (connection) => {
    const [made] = await connection.query('INSERT IGNORE INTO sign_in (first_id) VALUES (?)', [firstId]);
    // Somebody else was quicker: then it takes an invitation.
    if ((made as { affectedRows: number }).affectedRows === 0) throw new Refusal('byInvitation');
    await addPerson(connection, firstId, name, passHash);
    return beginSession(connection, firstId, device);
  });
}

/** Signs in. Throws `wrongPassphrase`, which says no more than that. */
export async function signIn(pool: Pool, name: string, passphrase: string, device: string): Promise<Begun> {
  const [[person]] = await pool.query<RowDataPacket[]>('SELECT id, pass_hash FROM people WHERE name_key = ?', [
    nameKey(name),
  ]);
  if (!(await isPassphrase(person?.pass_hash ?? null, passphrase))) throw new Refusal('wrongPassphrase');
  return inTransaction(pool, (connection) => beginSession(connection, person!.id, device));
}

/** Sets a new pass-phrase with a one-time code. Every other session ends. */
export async function recover(
  pool: Pool,
  { name, code, passphrase, device }: NewPerson & { readonly code: string },
): Promise<Begun> {
  const passHash = await hashPassphrase(passphrase);
  return inTransaction(pool, async (connection) => {
    const [[person]] = await connection.query<RowDataPacket[]>(
      `SELECT p.id, r.given_by FROM people p JOIN recovery_codes r ON r.person_id = p.id
        WHERE p.name_key = ? AND r.code_hash = ? AND (r.expires_at IS NULL OR r.expires_at > CURRENT_TIMESTAMP(3)) FOR UPDATE`,
      [nameKey(name), hashCode(code)],
    );
    if (!person) throw new Refusal('wrongCode');
    if (person.given_by !== null && !(await mayStillGive(connection, person.given_by, person.id))) {
      throw new Refusal('wrongCode');
    }
    await connection.query('DELETE FROM recovery_codes WHERE code_hash = ?', [hashCode(code)]);
    await forgetGivenCodes(connection, person.id);
    await connection.query('UPDATE people SET pass_hash = ? WHERE id = ?', [passHash, person.id]);
    await connection.query('DELETE FROM sessions WHERE person_id = ?', [person.id]);
    return beginSession(connection, person.id, device);
  });
}

/** With a code one becomes that person: nobody gets further by that than they are. */
const mayGiveCode = (mine: Role | undefined, theirs: Role | undefined): boolean =>
  (mine === 'own' && theirs !== undefined && theirs !== 'own') ||
  (mine === 'lead' && (theirs === 'member' || theirs === 'viewer'));

/** Whether who gave somebody a code may still do so: asked again when it is used. */
async function mayStillGive(connection: Connection, givenBy: string, personId: string): Promise<boolean> {
  const [crews] = await connection.query<RowDataPacket[]>(
    `SELECT theirs.role AS theirs, mine.role AS mine
       FROM crew_members theirs LEFT JOIN crew_members mine ON mine.crew_id = theirs.crew_id AND mine.person_id = ?
      WHERE theirs.person_id = ? FOR UPDATE`,
    [givenBy, personId],
  );
  return crews.length === 1 && mayGiveCode(crews[0]!.mine ?? undefined, crews[0]!.theirs);
}

/** What others gave somebody is void: they came back, or are in more crews than the giver knew. */
const forgetGivenCodes = (connection: Connection, personId: string): Promise<unknown> =>
  connection.query('DELETE FROM recovery_codes WHERE person_id = ? AND given_by IS NOT NULL', [personId]);

export async function changePassphrase(
  pool: Pool,
  personId: string,
  session: Buffer | null,
  before: string,
  passphrase: string,
): Promise<void> {
  const [[person]] = await pool.query<RowDataPacket[]>('SELECT pass_hash FROM people WHERE id = ?', [personId]);
  if (!(await isPassphrase(person?.pass_hash ?? null, before))) throw new Refusal('wrongPassphrase');
  const passHash = await hashPassphrase(passphrase);
  await inTransaction(pool, async (connection) => {
    await connection.query('UPDATE people SET pass_hash = ? WHERE id = ?', [passHash, personId]);
    await forgetGivenCodes(connection, personId);
    await connection.query('DELETE FROM sessions WHERE person_id = ? AND id <> ?', [personId, session]);
  });
}

/** New codes to print; those before are good for nothing any more. */
export async function ownRecoveryCodes(pool: Pool, personId: string): Promise<string[]> {
  const codes = Array.from({ length: OWN_CODES }, newRecoveryCode);
  await inTransaction(pool, async (connection) => {
    await connection.query('DELETE FROM recovery_codes WHERE person_id = ? AND given_by IS NULL', [personId]);
    await connection.query('INSERT INTO recovery_codes (code_hash, person_id) VALUES ?', [
      codes.map((code) => [hashCode(code), personId]),
    ]);
  });
  return codes;
}

export async function sessionsOf(pool: Pool, personId: string, current: Buffer | null): Promise<SessionList> {
  const [found] = await pool.query<RowDataPacket[]>(
    `SELECT id, public_id, device, created_at, seen_at FROM sessions
      WHERE person_id = ? AND expires_at > CURRENT_TIMESTAMP(3) ORDER BY seen_at DESC, public_id`,
    [personId],
  );
  return {
    items: found.map(({ id, public_id, device, created_at, seen_at }) => ({
      id: public_id,
      device,
      createdAt: asText(created_at),
      seenAt: asText(seen_at),
      current: current !== null && current.equals(id),
    })),
  };
}

export async function endSession(pool: Pool, personId: string, publicId: string): Promise<void> {
  const [ended] = await pool.query('DELETE FROM sessions WHERE person_id = ? AND public_id = ?', [personId, publicId]);
  if ((ended as { affectedRows: number }).affectedRows === 0) throw new Refusal('notFound');
}

export const signOut = (pool: Pool, session: Buffer | null) =>
  pool.query('DELETE FROM sessions WHERE id = ?', [session]);

/** Makes a crew with whoever makes it as its owner. The same id again is the same crew. */
export async function makeCrew(pool: Pool, personId: string, id: string, name: string): Promise<void> {
  await inTransaction(pool, async (connection) => {
    const [[found]] = await connection.query<RowDataPacket[]>(
      'SELECT o.id, m.role FROM owners o LEFT JOIN crew_members m ON m.crew_id = o.id AND m.person_id = ? WHERE o.id = ?',
      [personId, id],
    );
    if (found?.role === 'own') return;
    if (found) throw new Refusal('notMember');
    const [[{ many }]] = (await connection.query<RowDataPacket[]>(
      `SELECT COUNT(*) AS many FROM crew_members WHERE person_id = ? AND role = 'own'`,
      [personId],
    )) as unknown as [[{ many: number }]];
    if (many >= MOST_CREWS) throw new Refusal('tooMany');
    await connection.query('INSERT INTO owners (id) VALUES (?)', [id]);
    await connection.query('INSERT INTO crews (id, name) VALUES (?)', [[id, name]]);
    await connection.query(`INSERT INTO crew_members (crew_id, person_id, role) VALUES (?, ?, 'own')`, [id, personId]);
    await forgetGivenCodes(connection, personId);
  });
}

export const renameCrew = (pool: Pool, crewId: string, name: string) =>
  pool.query('UPDATE crews SET name = ? WHERE id = ?', [name, crewId]);

export async function crewOf(pool: Pool, crewId: string, mayInvite: boolean): Promise<Crew> {
  const [[crew]] = await pool.query<RowDataPacket[]>('SELECT name FROM crews WHERE id = ?', [crewId]);
  if (!crew) throw new Refusal('notFound');
  const [members] = await pool.query<RowDataPacket[]>(
    `SELECT p.id, p.name, m.role, m.joined_at FROM crew_members m JOIN people p ON p.id = m.person_id
      WHERE m.crew_id = ? ORDER BY p.name, p.id`,
    [crewId],
  );
  const [invitations] = mayInvite
    ? await pool.query<RowDataPacket[]>(
        `SELECT id, role, made_by, expires_at FROM invitations
          WHERE crew_id = ? AND used_at IS NULL AND expires_at > CURRENT_TIMESTAMP(3) ORDER BY expires_at, id`,
        [crewId],
      )
    : [[]];
  return {
    id: crewId,
    name: crew.name,
    members: members.map(({ id, name, role, joined_at }) => ({ id, name, role, joinedAt: asText(joined_at) })),
    invitations: invitations.map(({ id, role, made_by, expires_at }) => ({
      id,
      role,
      madeBy: made_by,
      expiresAt: asText(expires_at),
    })),
  };
}

/** What everybody of a crew is, locked until the transaction ends: two who leave at once do so one after the other. */
async function rolesWithin(connection: Connection, crewId: string): Promise<Map<string, Role>> {
  const [found] = await connection.query<RowDataPacket[]>(
    'SELECT person_id, role FROM crew_members WHERE crew_id = ? FOR UPDATE',
    [crewId],
  );
  return new Map(found.map(({ person_id, role }) => [person_id, role]));
}

/** Gives somebody another role, or null to let them go. An owner can make owners; a lead can't touch one. */
export async function changeMember(
  pool: Pool,
  crewId: string,
  by: string,
  personId: string,
  role: Role | null,
): Promise<void> {
  await inTransaction(pool, async (connection) => {
    const roles = await rolesWithin(connection, crewId);
    const mine = roles.get(by);
    const theirs = roles.get(personId);
    if (mine === undefined) throw new Refusal('notMember');
    if (theirs === undefined) throw new Refusal('notFound');
    const leaves = by === personId && role === null;
    const may = leaves || mine === 'own' || (mine === 'lead' && theirs !== 'own' && role !== 'own');
    if (!may) throw new Refusal('notAllowed');
    const owners = [...roles.values()].filter((each) => each === 'own').length;
    if (theirs === 'own' && role !== 'own' && owners === 1) throw new Refusal('lastOwner');
    const key = [crewId, personId];
    if (role === null) await connection.query('DELETE FROM crew_members WHERE crew_id = ? AND person_id = ?', key);
    else await connection.query('UPDATE crew_members SET role = ? WHERE crew_id = ? AND person_id = ?', [role, ...key]);
  });
}

/** A code for somebody of a crew who has forgotten the pass-phrase; who gave it is kept. */
export async function giveCode(pool: Pool, crewId: string, by: string, personId: string): Promise<string> {
  const code = newRecoveryCode();
  await inTransaction(pool, async (connection) => {
    const roles = await rolesWithin(connection, crewId);
    const mine = roles.get(by);
    const theirs = roles.get(personId);
    if (theirs === undefined) throw new Refusal('notFound');
    // An owner is refused below, with the reason.
    const may = mine === 'own' || mayGiveCode(mine, theirs);
    if (!may || by === personId) throw new Refusal('notAllowed');
    const [[elsewhere]] = await connection.query<RowDataPacket[]>(
      'SELECT COUNT(*) AS many FROM crew_members WHERE person_id = ? AND crew_id <> ?',
      [personId, crewId],
    );
    const [[first]] = await connection.query<RowDataPacket[]>(
      'SELECT COUNT(*) AS many FROM crew_members WHERE person_id = ? AND crew_id = ? AND role = ?',
      [personId, crewId, 'own'],
    );
    // Who is in other crews too would let a stranger into those.
    if (elsewhere!.many > 0 || first!.many > 0) throw new Refusal('codeNotGiven');
    await connection.query(
      `INSERT INTO recovery_codes (code_hash, person_id, given_by, expires_at)
       VALUES (?, ?, ?, CURRENT_TIMESTAMP(3) + INTERVAL ${GIVEN_CODE_H} HOUR)`,
      [hashCode(code), personId, by],
    );
  });
  return code;
}

export async function invite(
  pool: Pool,
  crewId: string,
  by: string,
  role: Role,
): Promise<{ readonly id: string; readonly token: string; readonly expiresAt: string }> {
  const token = newToken();
  const id = randomUUID();
  await pool.query(
    'DELETE FROM invitations WHERE crew_id = ? AND expires_at < CURRENT_TIMESTAMP(3) - INTERVAL 30 DAY',
    [crewId],
  );
  const [[{ many }]] = (await pool.query<RowDataPacket[]>(
    'SELECT COUNT(*) AS many FROM invitations WHERE crew_id = ? AND used_at IS NULL AND expires_at > CURRENT_TIMESTAMP(3)',
    [crewId],
  )) as unknown as [[{ many: number }]];
  if (many >= MOST_INVITATIONS) throw new Refusal('tooMany');
  await pool.query(
    `INSERT INTO invitations (token_hash, id, crew_id, role, made_by, expires_at)
     VALUES (?, ?, ?, ?, ?, CURRENT_TIMESTAMP(3) + INTERVAL ${INVITATION_H} HOUR)`,
    [hashToken(token), id, crewId, role, by],
  );
  const [[made]] = await pool.query<RowDataPacket[]>('SELECT expires_at FROM invitations WHERE id = ?', [id]);
  return { id, token, expiresAt: asText(made!.expires_at) };
}

export async function withdrawInvitation(pool: Pool, crewId: string, id: string): Promise<void> {
  const [gone] = await pool.query('DELETE FROM invitations WHERE crew_id = ? AND id = ? AND used_at IS NULL', [
    crewId,
    id,
  ]);
  if ((gone as { affectedRows: number }).affectedRows === 0) throw new Refusal('notFound');
}

/** Deletes a crew with everything in it, for good. */
export async function eraseCrew(pool: Pool, crewId: string): Promise<void> {
  await inTransaction(pool, (connection) => eraseCrewWithin(connection, crewId));
}

export async function eraseCrewWithin(connection: Connection, crewId: string): Promise<void> {
  await rolesWithin(connection, crewId);
  await connection.query('DELETE FROM crew_members WHERE crew_id = ?', [crewId]);
  // Its invitations go with it.
  await connection.query('DELETE FROM crews WHERE id = ?', [crewId]);
  await eraseSpace(connection, crewId);
}

/**
 * Deletes a person with everything of their own, for good. What they saved in a crew is the crew's, without their name.
 * Throws `lastOwner` where a crew would be left without one, `firstPerson` for whoever let the others in.
 */
export async function erasePerson(pool: Pool, personId: string, firstId: string, passphrase: string): Promise<void> {
  const [[person]] = await pool.query<RowDataPacket[]>('SELECT pass_hash FROM people WHERE id = ?', [personId]);
  if (!(await isPassphrase(person?.pass_hash ?? null, passphrase))) throw new Refusal('wrongPassphrase');
  if (personId === firstId) throw new Refusal('firstPerson');
  await inTransaction(pool, async (connection) => {
    const [crews] = await connection.query<RowDataPacket[]>('SELECT crew_id FROM crew_members WHERE person_id = ?', [
      personId,
    ]);
    for (const { crew_id } of crews) {
      const roles = await rolesWithin(connection, crew_id);
      const others = [...roles].filter(([id, role]) => id !== personId && role === 'own');
      if (roles.get(personId) === 'own' && others.length === 0) throw new Refusal('lastOwner');
    }
    await connection.query('DELETE FROM crew_members WHERE person_id = ?', [personId]);
    // Sessions and codes go with them.
    await connection.query('DELETE FROM people WHERE id = ?', [personId]);
    await eraseSpace(connection, personId);
  });
}

interface Invitation {
  readonly crewId: string;
  readonly role: Role;
  readonly crew: string;
  readonly by: string;
  readonly expiresAt: Date;
  readonly usedBy: string | null;
  readonly late: boolean;
  /** Who invited still may. */
  readonly stands: boolean;
}

async function findInvitation(connection: Pool | Connection, token: string, lock = false): Promise<Invitation> {
  const [[found]] = await connection.query<RowDataPacket[]>(
    `SELECT i.crew_id, i.role, i.expires_at, i.used_by, i.expires_at <= CURRENT_TIMESTAMP(3) AS late, c.name AS crew,
            p.name AS by_name, m.role AS by_role
       FROM invitations i JOIN crews c ON c.id = i.crew_id LEFT JOIN people p ON p.id = i.made_by
       LEFT JOIN crew_members m ON m.crew_id = i.crew_id AND m.person_id = i.made_by
      WHERE i.token_hash = ?${lock ? ' FOR UPDATE' : ''}`,
    [hashToken(token)],
  );
  if (!found) throw new Refusal('invitationUnknown');
  return {
    crewId: found.crew_id,
    role: found.role,
    crew: found.crew,
    by: found.by_name,
    expiresAt: found.expires_at,
    usedBy: found.used_by,
    late: found.late === 1,
    stands: found.by_role === 'own' || found.by_role === 'lead',
  };
}

/** Throws in words why an invitation can't be used. */
function mustBeOpen({ usedBy, late, stands }: Invitation): void {
  if (usedBy !== null) throw new Refusal('invitationUsed');
  if (late) throw new Refusal('invitationExpired');
  if (!stands) throw new Refusal('invitationUnknown');
}

export async function lookAtInvitation(pool: Pool, token: string) {
  const found = await findInvitation(pool, token);
  mustBeOpen(found);
  const { crew, role, by, expiresAt } = found;
  return { crew, role, by, expiresAt: asText(expiresAt) };
}

/**
 * Takes an invitation, once: by somebody who is signed in, or by a new person. Who is in already stays what they are, and
 * the invitation stays good. Gives back the session of a new person.
 */
export async function takeInvitation(
  pool: Pool,
  token: string,
  personId: string | null,
  newcomer: NewPerson | null,
): Promise<Begun | null> {
  const seen = await findInvitation(pool, token);
  // The answer was lost, and the same person asks once more.
  if (personId !== null && seen.usedBy === personId) return null;
  // Before the slow part, and again within the transaction: two may take it at once.
  mustBeOpen(seen);
  if (personId === null && newcomer === null) throw new Refusal('signIn');
  const passHash = personId === null ? await hashPassphrase(newcomer!.passphrase) : null;
  return inTransaction(pool, async (connection) => {
    const found = await findInvitation(connection, token, true);
    mustBeOpen(found);
    const { crewId, role } = found;
    const id = personId ?? randomUUID();
    if (passHash !== null) await addPerson(connection, id, newcomer!.name, passHash);
    const [joined] = await connection.query('INSERT IGNORE INTO crew_members (crew_id, person_id, role) VALUES (?)', [
      [crewId, id, role],
    ]);
    if ((joined as { affectedRows: number }).affectedRows > 0) {
      await connection.query(
        'UPDATE invitations SET used_by = ?, used_at = CURRENT_TIMESTAMP(3) WHERE token_hash = ?',
        [id, hashToken(token)],
      );
      await forgetGivenCodes(connection, id);
    }
    return passHash === null ? null : beginSession(connection, id, newcomer!.device);
  });
}
