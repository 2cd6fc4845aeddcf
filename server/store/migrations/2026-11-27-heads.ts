import type { Knex } from 'knex';
import { SERVING_ROLE } from '../connection';

/** How far the additions of a report and the reports of a unit go, signed; of before there are none. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table reports add column head json;
    grant update (head) on reports to ${SERVING_ROLE};
    alter table chain_heads add column signed json;
  `);
}
