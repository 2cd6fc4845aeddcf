import type { Knex } from 'knex';
import { SERVING_ROLE } from '../connection';

const WALLED = ['house_contents', 'rig_changes'];

/** What a depot changed of the catalogue, version by version, and when units were joined and taken apart. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    create table house_contents (
      depot_id uuid not null,
      version integer not null,
      organisation_id uuid not null,
      body jsonb not null,
      words text not null,
      made_at timestamptz not null default now(),
      made_by uuid not null,
      primary key (depot_id, version)
    );
    create table rig_changes (
      id uuid primary key,
      organisation_id uuid not null,
      unit_id uuid not null,
      at timestamptz not null default now(),
      by_id uuid not null,
      what text not null,
      title text not null,
      unit_ids uuid[] not null
    );
    create index rig_changes_of_unit on rig_changes (unit_id, at desc);
  `);
  for (const table of WALLED)
    await db.raw(`
      alter table ${table} enable row level security;
      create policy own_organisation on ${table}
        using (organisation_id = nullif(current_setting('app.organisation', true), '')::uuid)
        with check (organisation_id = nullif(current_setting('app.organisation', true), '')::uuid);
    `);
  // A version that was used is never changed: whoever serves may add, and no more.
  await db.raw(`grant select, insert on house_contents, rig_changes to ${SERVING_ROLE}`);
}
