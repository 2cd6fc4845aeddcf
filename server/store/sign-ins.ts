import type { Knex } from 'knex';

export interface SignIn {
  readonly personId: string;
  readonly organisationId: string;
  readonly pinHash: string;
  readonly failed: number;
  readonly lockedUntil: Date | null;
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
      failed: row.failed,
      lockedUntil: row.locked_until,
    }
  );
}

/** Counts a wrong try in one statement, so that tries side by side all count; locks from `most` on. */
export async function countWrongTry(
  db: Knex,
  name: string,
  most: number,
  lockMinutes: number,
): Promise<{ failed: number; lockedUntil: Date | null }> {
  const { rows } = await db.raw(
    `update sign_ins
        set failed = failed + 1,
            locked_until = case when failed + 1 >= ? then now() + make_interval(mins => ?) else locked_until end
      where name_key = ?
      returning failed, locked_until`,
    [most, lockMinutes, nameKey(name)],
  );
  return { failed: rows[0].failed, lockedUntil: rows[0].locked_until };
}

export async function clearWrongTries(db: Knex, name: string): Promise<void> {
  await db('sign_ins')
    .where({ name_key: nameKey(name) })
    .update({ failed: 0, locked_until: null });
}
