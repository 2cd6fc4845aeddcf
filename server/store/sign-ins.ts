import { createHash } from 'node:crypto';
import type { Knex } from 'knex';

export interface SignIn {
  readonly personId: string;
  readonly organisationId: string;
  readonly pinHash: string;
}

/** Names are compared without case and with single spaces. */
export function nameKey(name: string): string {
  return name.normalize('NFC').trim().replace(/\s+/g, ' ').toLocaleLowerCase('en');
}

export async function findSignIn(db: Knex, name: string): Promise<SignIn | undefined> {
  const row = await db('sign_ins')
    .where({ name_key: nameKey(name) })
    .first();
  return (
    row && {
      personId: row.person_id,
      organisationId: row.organisation_id,
      pinHash: row.pin_hash,
    }
  );
}

/** Whether somebody of this name has signed in on the device that holds this token. */
export async function isKnownDevice(db: Knex, token: string, name: string): Promise<boolean> {
  const row = await db('known_devices')
    .where({ token_hash: hashOf(token), name_key: nameKey(name) })
    .where('expires_at', '>', db.fn.now())
    .first('name_key');
  return row !== undefined;
}

/** Remembers that somebody has signed in on this device. */
export async function rememberDevice(
  db: Knex,
  token: string,
  name: string,
  days: number,
): Promise<void> {
  await db('known_devices')
    .insert({
      token_hash: hashOf(token),
      name_key: nameKey(name),
      expires_at: db.raw('now() + make_interval(days => ?)', [days]),
    })
    .onConflict(['token_hash', 'name_key'])
    .merge(['expires_at']);
  await db('known_devices').where('expires_at', '<', db.fn.now()).delete();
}

const hashOf = (token: string) => createHash('sha256').update(token).digest('hex');
