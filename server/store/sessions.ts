import { createHash, randomBytes } from 'node:crypto';
import type { Knex } from 'knex';
import { inOrganisation } from './connection';

export interface Person {
  readonly id: string;
  readonly organisationId: string;
  readonly depotId: string;
  readonly name: string;
  readonly role: 'driver' | 'mechanic' | 'supervisor';
}

function hashToken(token: string): string {
  return createHash('sha256').update(token).digest('hex');
}

/**
 * Opens a session and returns its token, of which only the hash is kept.
 * @param device what kind of device it is, in a word
 */
export async function openSession(
  db: Knex,
  person: Pick<Person, 'id' | 'organisationId'>,
  hours: number,
  device = '',
): Promise<string> {
  const token = randomBytes(32).toString('base64url');
  await db('sessions').where('expires_at', '<', db.fn.now()).delete();
  await db('sessions').insert({
    token_hash: hashToken(token),
    person_id: person.id,
    organisation_id: person.organisationId,
    expires_at: new Date(Date.now() + hours * 3_600_000),
    device,
  });
  return token;
}

/** The person of a live session; undefined when it is unknown or has run out. */
export async function findSession(db: Knex, token: string): Promise<Person | undefined> {
  const { rows } = await db
    .raw('select * from person_of_session(?)', [hashToken(token)])
    .options({ name: 'person-of-session' });
  return rows[0] as Person | undefined;
}

export async function closeSession(db: Knex, token: string): Promise<void> {
  await db('sessions')
    .where({ token_hash: hashToken(token) })
    .delete();
}

/** Where a person is signed in. */
export interface OpenSession {
  readonly id: string;
  readonly device: string;
  readonly openedAt: string;
  /** The one that asks. */
  readonly here: boolean;
}

/** Live sessions of a person, the newest first. */
export async function listSessions(
  db: Knex,
  personId: string,
  token: string,
): Promise<OpenSession[]> {
  const rows = await db('sessions')
    .where({ person_id: personId })
    .where('expires_at', '>', db.fn.now())
    .orderBy('opened_at', 'desc')
    .select('id', 'device', 'opened_at', 'token_hash');
  return rows.map((row) => ({
    id: row.id,
    device: row.device,
    openedAt: (row.opened_at as Date).toISOString(),
    here: row.token_hash === hashToken(token),
  }));
}

/** Ends one session of a person. Returns whether there was one. */
export async function endSession(db: Knex, personId: string, id: string): Promise<boolean> {
  return (await db('sessions').where({ id, person_id: personId }).delete()) > 0;
}

export async function findPerson(
  db: Knex,
  organisationId: string,
  personId: string,
): Promise<Person | undefined> {
  return inOrganisation(db, organisationId, async (trx) => {
    const row = await trx('people').where({ id: personId }).first();
    return (
      row && {
        id: row.id,
        organisationId: row.organisation_id,
        depotId: row.depot_id,
        name: row.name,
        role: row.role,
      }
    );
  });
}
