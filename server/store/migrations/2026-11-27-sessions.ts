import type { Knex } from 'knex';

/** Where somebody is signed in, so that they can see it and end what they do not know or have lost. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table sessions
      add column id uuid not null default gen_random_uuid(),
      add column opened_at timestamptz not null default now(),
      add column device text not null default '';
    create index sessions_of_person on sessions (person_id);
  `);
}
