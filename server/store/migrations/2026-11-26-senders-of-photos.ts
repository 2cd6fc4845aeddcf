import type { Knex } from 'knex';
import { SERVING_ROLE } from '../connection';

/** Who sent a picture: it is a photo of a walk only when they are the one whose entry names it. Of before, nobody knows. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table photos add column sent_by uuid;
    grant update on photos to ${SERVING_ROLE};
  `);
}
