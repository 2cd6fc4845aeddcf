import type { Knex } from 'knex';
import { SERVING_ROLE } from '../connection';

/** Tables of this step that belong to one organisation. */
const WALLED = [
  'defect_steps',
  'outings',
  'own_policies',
  'rule_changes',
  'planned_jobs',
  'services_done',
  'calendar_feeds',
  'holds',
  'removals',
];

/**
 * The loop from defect to acknowledgement: steps of a defect's life, policies of a depot, jobs, sign-out,
 * one report a unit, services, retention.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table depots add column policies_by_class jsonb not null default '{}';
    -- What is fitted to a unit for good: a liftgate, a crane.
    alter table units add column fitted text[] not null default '{}';

    alter table defects
      add column symptom_id text,
      add column system text,
      add column bars text,
      add column most_kmh real,
      add column policy_ids text[] not null default '{}',
      add column revision integer not null default 0,
      add column due_at timestamptz,
      add column assigned_to uuid,
      add column confirmations integer not null default 0,
      add column reported_metres double precision,
      add column certified_metres double precision,
      add column return_of uuid,
      add column held boolean not null default true;
    drop index defects_open;
    create index defects_open on defects (depot_id, grade_rank desc, reported_at, id)
      where status in ('open', 'deferred', 'awaiting-agent');
    drop index defects_of_unit_open;
    create index defects_of_unit_open on defects (unit_id)
      where status in ('open', 'deferred', 'awaiting-agent', 'repaired', 'no-repair-needed');
    create index defects_of_part on defects (unit_id, key);
    create index defects_of_unit on defects (unit_id, reported_at desc);

    create table defect_steps (
      id uuid primary key,
      organisation_id uuid not null,
      defect_id uuid not null,
      inspection_id uuid not null,
      at timestamptz not null,
      kind text not null,
      by_id uuid not null,
      words text,
      outcome text,
      grade text,
      minutes integer,
      parts jsonb not null default '[]',
      photos jsonb not null default '[]',
      -- Two steps of one moment stay in the order in which they came.
      stored_at timestamptz not null default clock_timestamp()
    );
    create index defect_steps_of_defect on defect_steps (defect_id, at);
    create index defect_steps_of_inspection on defect_steps (inspection_id);
    insert into defect_steps (id, organisation_id, defect_id, inspection_id, at, kind, by_id, grade)
      select gen_random_uuid(), organisation_id, id, inspection_id, reported_at, 'reported', reported_by, grade
        from defects;

    alter table inspections add column job jsonb, add column keep_until timestamptz;
    -- Walks of before are kept as long as the longest usual rule says.
    update inspections set keep_until = coalesce(signed_at, last_at) + interval '457 days';
    create index inspections_kept on inspections (keep_until);
    create index inspections_of_depot on inspections (depot_id, signed_at desc) where signed_at is not null;
    alter table inspection_units
      add column report_id uuid,
      add column metres double precision;
    update inspection_units iu set report_id = i.report_id
      from inspections i where i.id = iu.inspection_id and i.report_id is not null;
    create index inspection_units_of_unit on inspection_units (unit_id, begun_at desc);

    -- One report a unit; reports of before, one a walk, keep their rows.
    alter table reports add column unit_id uuid;
    alter table reports drop constraint reports_inspection_id_key;
    create unique index reports_of_unit on reports (inspection_id, unit_id);

    create table outings (
      inspection_id uuid primary key,
      organisation_id uuid not null,
      depot_id uuid not null,
      unit_ids uuid[] not null,
      purpose text not null,
      needs text[] not null,
      title text,
      out_at timestamptz not null,
      out_by uuid not null,
      returned_at timestamptz,
      returned_by uuid
    );
    create index outings_now on outings using gin (unit_ids) where returned_at is null;

    create table own_policies (
      organisation_id uuid not null,
      id text not null,
      body json not null,
      brought_at timestamptz not null default now(),
      brought_by uuid not null,
      primary key (organisation_id, id)
    );
    create table rule_changes (
      id uuid primary key,
      organisation_id uuid not null,
      depot_id uuid not null,
      at timestamptz not null default now(),
      by_id uuid not null,
      what text not null,
      before jsonb,
      after jsonb
    );
    create index rule_changes_of_depot on rule_changes (depot_id, at desc);
    create table planned_jobs (
      id uuid primary key,
      organisation_id uuid not null,
      depot_id uuid not null,
      title text not null,
      needs text[] not null,
      unit_ids uuid[] not null,
      starts_at timestamptz not null,
      planned_by uuid not null,
      cancelled_at timestamptz
    );
    create index planned_jobs_next on planned_jobs (depot_id, starts_at) where cancelled_at is null;
    create table services_done (
      id uuid primary key,
      organisation_id uuid not null,
      unit_id uuid not null,
      service_id text not null,
      at timestamptz not null,
      metres double precision,
      hours double precision,
      words text not null,
      by_id uuid not null
    );
    create index services_done_of_unit on services_done (unit_id, service_id, at desc);
    create table calendar_feeds (
      secret_hash text primary key,
      organisation_id uuid not null,
      depot_id uuid not null unique,
      made_at timestamptz not null default now(),
      made_by uuid not null
    );
    create table holds (
      id uuid primary key,
      organisation_id uuid not null,
      unit_id uuid not null,
      words text not null,
      at timestamptz not null default now(),
      by_id uuid not null,
      lifted_at timestamptz,
      lifted_by uuid
    );
    create index holds_of_unit on holds (unit_id) where lifted_at is null;
    create table removals (
      report_id uuid not null,
      organisation_id uuid not null,
      unit_id uuid not null,
      sequence integer not null,
      previous text not null,
      hash text not null,
      removed_at timestamptz not null,
      primary key (unit_id, sequence)
    );
  `);
  for (const table of WALLED)
    await db.raw(`
      alter table ${table} enable row level security;
      create policy own_organisation on ${table}
        using (organisation_id = nullif(current_setting('app.organisation', true), '')::uuid)
        with check (organisation_id = nullif(current_setting('app.organisation', true), '')::uuid);
    `);
  await db.raw(`
    grant select, insert on defect_steps, own_policies, rule_changes, services_done to ${SERVING_ROLE};
    grant select on removals to ${SERVING_ROLE};
    grant select, insert, update on outings, planned_jobs, holds to ${SERVING_ROLE};
    grant insert, delete on rigs to ${SERVING_ROLE};
    grant select, insert, update, delete on calendar_feeds to ${SERVING_ROLE};
    grant update (policy_id, policies_by_class) on depots to ${SERVING_ROLE};
  `);
  await createOpenInspection(db);
  await createFeedOwner(db);
  await createRemoveExpired(db);
}

/** As before, with what grading needs to know of the depot: its choice of policies and the organisation's own. */
async function createOpenInspection(db: Knex): Promise<void> {
  await db.raw(`
    drop function open_inspection(uuid, uuid, uuid[]);
    create function open_inspection(organisation uuid, inspection uuid, asked uuid[], faulted text[]) returns jsonb
    language plpgsql volatile security invoker as $$
    declare
      log jsonb;
      rig uuid[];
    begin
      perform set_config('app.organisation', organisation::text, true);
      perform pg_advisory_xact_lock(hashtextextended(inspection::text, 0));
      select coalesce(jsonb_agg(jsonb_build_object(
               'id', id, 'inspectionId', inspection_id, 'deviceId', device_id, 'actorId', actor_id,
               'at', round(extract(epoch from at) * 1000), 'sequence', sequence, 'version', version,
               'type', type, 'payload', payload)), '[]')
        into log from events where inspection_id = inspection;
      rig := coalesce(
        (select array_agg(u::uuid) from jsonb_array_elements(log) e,
                jsonb_array_elements_text(e->'payload'->'unitIds') u where e->>'type' = 'begun'),
        asked);
      return jsonb_build_object(
        'log', log,
        'units', (select coalesce(jsonb_agg(jsonb_build_object(
            'id', id, 'depotId', depot_id, 'number', number, 'title', title, 'plate', plate,
            'moduleId', module_id, 'fitted', fitted, 'specification', specification)
            order by array_position(rig, id)), '[]') from units where id = any(rig)),
        'choice', (select jsonb_build_object('usual', d.policy_id, 'byClass', d.policies_by_class)
            from depots d join units u on u.depot_id = d.id where u.id = rig[1]),
        'own', (select coalesce(jsonb_agg(body::jsonb), '[]') from own_policies),
        'repairs', (select coalesce(jsonb_agg(jsonb_build_object(
            'defectId', id, 'key', key, 'certifiedAt', round(extract(epoch from certified_at) * 1000),
            'odometer', certified_metres)), '[]')
            from defects
           where cardinality(faulted) > 0 and unit_id = any(rig) and key = any(faulted)
             and certified_at is not null and status in ('repaired', 'no-repair-needed', 'closed')),
        'open', (select coalesce(jsonb_agg(jsonb_build_object(
            'id', id, 'unitId', unit_id, 'key', key, 'title', title, 'place', place, 'grade', grade,
            'blocks', blocks, 'symptom', symptom, 'symptomId', symptom_id, 'system', system,
            'condition', condition, 'bars', bars, 'mostKmh', most_kmh,
            'reportedAt', round(extract(epoch from reported_at) * 1000),
            'until', case when status = 'deferred' then until end,
            'status', status, 'outcomeWords', outcome_words)), '[]')
            from defects
           where unit_id = any(rig) and inspection_id <> inspection
             and status in ('open', 'deferred', 'awaiting-agent', 'repaired', 'no-repair-needed')));
    end $$;
    revoke all on function open_inspection from public;
    grant execute on function open_inspection to ${SERVING_ROLE};
  `);
}

/** A calendar is asked for with nothing but its secret, so its owner must be found before any wall is up. */
async function createFeedOwner(db: Knex): Promise<void> {
  await db.raw(`
    create function feed_owner(secret text) returns table (organisation_id uuid, depot_id uuid)
    language sql stable security definer set search_path = public as $$
      select organisation_id, depot_id from calendar_feeds where secret_hash = secret
    $$;
    revoke all on function feed_owner from public;
    grant execute on function feed_owner to ${SERVING_ROLE};
  `);
}

/**
 * The one way in which anything of the record is ever removed. It checks for itself: the time has passed, no
 * hold lies on any unit of the walk, and no defect that the walk reported or found again is open or unread. What
 * is left is the link of each report, so that the chain of the unit can still be followed.
 */
async function createRemoveExpired(db: Knex): Promise<void> {
  await db.raw(`
    create function remove_expired(at_time timestamptz, most integer) returns integer
    language plpgsql volatile security definer set search_path = public as $$
    declare
      own uuid := nullif(current_setting('app.organisation', true), '')::uuid;
      walks uuid[];
    begin
      -- The clock of a server may run a little ahead of the database's.
      if at_time > now() + interval '5 minutes' then raise exception 'Nothing is removed before its time.'; end if;
      select array_agg(id) into walks from (
        select i.id from inspections i
         where i.organisation_id = own and i.keep_until < at_time
           and not exists (select from holds h join inspection_units iu on iu.unit_id = h.unit_id
                            where iu.inspection_id = i.id and h.lifted_at is null)
           and not exists (select from defects d
                            where d.inspection_id = i.id
                              and d.status in ('open', 'deferred', 'awaiting-agent', 'repaired', 'no-repair-needed'))
           and not exists (select from defect_steps s join defects d on d.id = s.defect_id
                            where s.inspection_id = i.id
                              and d.status in ('open', 'deferred', 'awaiting-agent', 'repaired', 'no-repair-needed'))
           and not exists (select from outings o where o.inspection_id = i.id and o.returned_at is null)
         order by i.keep_until limit most for update skip locked) as due;
      if walks is null then return 0; end if;
      insert into removals (report_id, organisation_id, unit_id, sequence, previous, hash, removed_at)
        select r.id, own, (link->>'unit')::uuid, (link->>'sequence')::integer, link->>'previous', r.seal->>'hash', at_time
          from reports r, json_array_elements(r.seal->'chain') link
         where r.inspection_id = any(walks)
        on conflict do nothing;
      delete from additions where inspection_id = any(walks) and organisation_id = own;
      delete from reports where inspection_id = any(walks) and organisation_id = own;
      delete from photos where inspection_id = any(walks) and organisation_id = own;
      delete from readings r using events e
       where e.inspection_id = any(walks) and e.organisation_id = own and r.event_id = e.id and r.at = e.at;
      delete from events where inspection_id = any(walks) and organisation_id = own;
      delete from defect_steps where organisation_id = own
        and (inspection_id = any(walks) or defect_id in (select id from defects where inspection_id = any(walks)));
      delete from defects where inspection_id = any(walks) and organisation_id = own;
      delete from outings where inspection_id = any(walks) and organisation_id = own;
      delete from inspection_units where inspection_id = any(walks) and organisation_id = own;
      delete from inspections where id = any(walks) and organisation_id = own;
      return cardinality(walks);
    end $$;
    revoke all on function remove_expired from public;
    grant execute on function remove_expired to ${SERVING_ROLE};
  `);
}
