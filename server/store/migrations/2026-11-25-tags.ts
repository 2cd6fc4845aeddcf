import type { Knex } from 'knex';
import { SERVING_ROLE } from '../connection';

/** A printed tag for each stop of each unit, and which of them must be read. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    create table tags (
      unit_id uuid not null,
      zone_id text not null,
      organisation_id uuid not null,
      code text not null,
      required boolean not null default false,
      made_at timestamptz not null default now(),
      primary key (unit_id, zone_id),
      unique (organisation_id, code)
    );
    alter table tags enable row level security;
    create policy own_organisation on tags
      using (organisation_id = nullif(current_setting('app.organisation', true), '')::uuid)
      with check (organisation_id = nullif(current_setting('app.organisation', true), '')::uuid);
    grant select, insert, update on tags to ${SERVING_ROLE};
  `);
}
