import type { Knex } from 'knex';
import { SERVING_ROLE } from '../connection';

/** Tables that belong to one organisation and are walled off by row-level security. */
const WALLED = [
  'depots',
  'people',
  'units',
  'rigs',
  'events',
  'inspections',
  'inspection_units',
  'readings',
  'defects',
  'photos',
  'reports',
  'chain_heads',
  'additions',
];

export async function up(db: Knex): Promise<void> {
  await db.raw(`
    do $$ begin
      if not exists (select from pg_roles where rolname = '${SERVING_ROLE}') then
        create role ${SERVING_ROLE} nologin nosuperuser nobypassrls;
      end if;
      if not pg_has_role(current_user, '${SERVING_ROLE}', 'member') then
        execute format('grant ${SERVING_ROLE} to %I', current_user);
      end if;
    end $$;

    create table organisations (
      id uuid primary key,
      name text not null,
      units_habit text not null default 'customary'
    );
    create table depots (
      id uuid primary key,
      organisation_id uuid not null references organisations,
      name text not null,
      policy_id text not null default 'two-step'
    );
    create table people (
      id uuid primary key,
      organisation_id uuid not null references organisations,
      depot_id uuid not null references depots,
      name text not null,
      role text not null check (role in ('driver', 'mechanic', 'supervisor'))
    );
    create table sign_ins (
      name_key text primary key,
      person_id uuid not null references people,
      organisation_id uuid not null,
      pin_hash text not null,
      failed integer not null default 0,
      locked_until timestamptz
    );
    create table sessions (
      token_hash text primary key,
      person_id uuid not null,
      organisation_id uuid not null,
      expires_at timestamptz not null
    );
    create index sessions_expiry on sessions (expires_at);
    create table rate_counters (
      key text primary key,
      hits integer not null,
      reset_at timestamptz not null
    );
    create table units (
      id uuid primary key,
      organisation_id uuid not null references organisations,
      depot_id uuid not null references depots,
      number text not null,
      title text not null,
      plate text not null,
      module_id text not null,
      specification jsonb not null,
      unique (organisation_id, number)
    );
    create index units_by_depot on units (depot_id);
    create table rigs (
      id uuid primary key,
      organisation_id uuid not null references organisations,
      depot_id uuid not null references depots,
      title text not null,
      unit_ids uuid[] not null
    );
    create index rigs_by_depot on rigs (depot_id);
    create table catalogue_versions (
      version text primary key,
      hash text not null,
      body json not null
    );

    -- The log. Only inserted into; never updated.
    create table events (
      id uuid not null,
      organisation_id uuid not null,
      inspection_id uuid not null,
      device_id uuid not null,
      actor_id uuid not null,
      at timestamptz not null,
      sequence integer not null,
      type text not null,
      version smallint not null,
      payload jsonb not null,
      received_at timestamptz not null default now(),
      primary key (id, at)
    ) partition by range (at);
    create index events_by_inspection on events (inspection_id, sequence);
    create table events_other partition of events default;

    create table inspections (
      id uuid primary key,
      organisation_id uuid not null,
      depot_id uuid not null,
      driver_id uuid not null,
      phase text not null,
      begun_at timestamptz not null,
      last_at timestamptz not null,
      signed_at timestamptz,
      answered integer not null,
      total integer not null,
      headline text,
      report_id uuid
    );
    create index inspections_unsealed on inspections (signed_at)
      where signed_at is not null and report_id is null;
    create table inspection_units (
      inspection_id uuid not null,
      unit_id uuid not null,
      organisation_id uuid not null,
      begun_at timestamptz not null,
      signed_at timestamptz,
      primary key (inspection_id, unit_id)
    );
    create index inspection_units_latest on inspection_units (unit_id, signed_at desc)
      where signed_at is not null;

    create table readings (
      event_id uuid not null,
      organisation_id uuid not null,
      unit_id uuid not null,
      inspection_id uuid not null,
      key text not null,
      kind text not null,
      value double precision not null,
      unit text not null,
      typed text not null,
      instrument text not null,
      at timestamptz not null,
      primary key (event_id, at)
    ) partition by range (at);
    create index readings_of_unit on readings (unit_id, key, at desc);
    create table readings_other partition of readings default;

    create table defects (
      id uuid primary key,
      organisation_id uuid not null,
      depot_id uuid not null,
      unit_id uuid not null,
      inspection_id uuid not null,
      key text not null,
      title text not null,
      place text,
      symptom text not null,
      extent text,
      grade text not null,
      grade_rank smallint not null,
      blocks text[] not null,
      reasons jsonb not null,
      condition text,
      note text,
      fixed text,
      spot jsonb,
      photo_ids uuid[] not null,
      status text not null,
      reported_at timestamptz not null,
      reported_by uuid not null,
      confirmed_at timestamptz,
      certified_at timestamptz,
      certified_by uuid,
      outcome text,
      outcome_words text,
      until date,
      acknowledged_at timestamptz,
      acknowledged_by uuid,
      acknowledged_in uuid
    );
    create index defects_open on defects (depot_id, grade_rank desc, reported_at, id)
      where status in ('open', 'deferred');
    create index defects_of_unit_open on defects (unit_id)
      where status in ('open', 'deferred', 'repaired', 'no-repair-needed');
    create index defects_of_inspection on defects (inspection_id);

    create table photos (
      id uuid primary key,
      organisation_id uuid not null,
      inspection_id uuid not null,
      sha256 text not null,
      width integer not null,
      height integer not null,
      bytes bytea not null,
      received_at timestamptz not null default now()
    );
    create index photos_of_inspection on photos (inspection_id);

    create table reports (
      id uuid primary key,
      organisation_id uuid not null,
      inspection_id uuid not null unique,
      body json not null,
      seal json not null,
      sealed_at timestamptz not null
    );
    create table chain_heads (
      unit_id uuid primary key,
      organisation_id uuid not null,
      sequence integer not null,
      hash text not null
    );
    create table additions (
      id uuid primary key,
      organisation_id uuid not null,
      inspection_id uuid not null,
      at timestamptz not null,
      body json not null,
      seal json not null
    );
    create index additions_of_inspection on additions (inspection_id, at);
    create table seal_keys (
      public_key text primary key,
      since timestamptz not null default now()
    );
  `);
  await wallOff(db);
  await grant(db);
}

async function wallOff(db: Knex): Promise<void> {
  for (const table of WALLED) {
    await db.raw(`
      alter table ${table} enable row level security;
      create policy own_organisation on ${table}
        using (organisation_id = nullif(current_setting('app.organisation', true), '')::uuid)
        with check (organisation_id = nullif(current_setting('app.organisation', true), '')::uuid);
    `);
  }
}

/** No more than serving needs: the log, readings, reports and additions can only be added to. */
async function grant(db: Knex): Promise<void> {
  await db.raw(`
    grant usage on schema public to ${SERVING_ROLE};
    grant select on organisations, depots, people, units, rigs, catalogue_versions, seal_keys to ${SERVING_ROLE};
    grant select, insert on events, readings, photos, reports, additions to ${SERVING_ROLE};
    grant select, insert, update on inspections, inspection_units, defects, chain_heads to ${SERVING_ROLE};
    grant select, update on sign_ins to ${SERVING_ROLE};
    grant select, insert, update, delete on sessions, rate_counters to ${SERVING_ROLE};
    grant insert on seal_keys, catalogue_versions to ${SERVING_ROLE};
  `);
}
