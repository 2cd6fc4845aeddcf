import type { Knex } from 'knex';
import { SERVING_ROLE } from '../connection';

/**
 * The order in which entries came in, so that a phone asks only for what is new; entries of before have none and count as the oldest.
 * And what was set aside, for the supervisor to read.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    create sequence events_arrival;
    alter table events add column arrival bigint;
    alter table events alter column arrival set default nextval('events_arrival');
    grant usage on sequence events_arrival to ${SERVING_ROLE};

    create table entries_set_aside (
      id uuid primary key default gen_random_uuid(),
      organisation_id uuid not null,
      depot_id uuid not null,
      person_id uuid not null,
      -- As the device named it; perhaps no identifier at all.
      event_id text not null,
      code text not null,
      detail text not null,
      -- As it came, escaped so that whatever it holds can be kept.
      entry text not null,
      received_at timestamptz not null default now(),
      unique (organisation_id, person_id, event_id, code)
    );
    create index entries_set_aside_of_depot on entries_set_aside (depot_id, received_at desc);
    alter table entries_set_aside enable row level security;
    create policy own_organisation on entries_set_aside
      using (organisation_id = nullif(current_setting('app.organisation', true), '')::uuid)
      with check (organisation_id = nullif(current_setting('app.organisation', true), '')::uuid);
    grant select, insert, delete on entries_set_aside to ${SERVING_ROLE};
  `);
}
