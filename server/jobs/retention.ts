import type { Knex } from 'knex';
import { inOrganisation } from '../store/connection';
import { removeExpired } from '../store/retention';
import { removeOldSetAside } from '../store/set-aside';

const AT_ONCE = 200;

/**
 * Removes, in every organisation, walks whose time to be kept has passed. What an open defect hangs on or a
 * hold lies on stays; the database checks that for itself. Several processes may run it: none waits for another.
 * @returns how many walks were removed
 */
export async function runRetention(db: Knex, now: Date): Promise<number> {
  let removed = 0;
  for (const { id } of await db('organisations').select('id')) {
    await inOrganisation(db, id as string, (trx) => removeOldSetAside(trx, now));
    let last: number;
    do {
      last = await inOrganisation(db, id as string, (trx) => removeExpired(trx, now, AT_ONCE));
      removed += last;
    } while (last === AT_ONCE);
  }
  return removed;
}
