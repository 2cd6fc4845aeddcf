import type { Knex } from 'knex';
import { SERVING_ROLE } from '../connection';

/** A policy that was taken away is chosen no more; walks and reports that name it are read by it for ever. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table own_policies add column retired_at timestamptz;
    grant update (retired_at) on own_policies to ${SERVING_ROLE};
  `);
}
