import type { Knex } from 'knex';
import { SERVING_ROLE } from '../connection';

/**
 * A device on which somebody has signed in before counts its own wrong PINs; whoever guesses elsewhere cannot lock it out. The counters
 * are those of the other limits, so the columns of before are not needed any more.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    create table known_devices (
      token_hash text not null,
      name_key text not null references sign_ins on delete cascade,
      expires_at timestamptz not null,
      primary key (token_hash, name_key)
    );
    grant select, insert, update, delete on known_devices to ${SERVING_ROLE};
    alter table sign_ins drop column failed, drop column locked_until;
  `);
}
