import type { Knex } from 'knex';

/** Everything that a batch brings to the tables of its walk; each list is rows with the columns that {@link INSERT_WALK} names. */
export interface WalkRows {
  readonly organisation: string;
  readonly events: readonly object[];
  readonly readings: readonly object[];
  readonly steps: readonly object[];
  readonly inspection: object;
  readonly units: readonly object[];
}

/**
 * One statement carries everything that a walk brings, so that a whole walk is one trip to the database. Each parameter is a list of rows
 * as JSON.
 */
export const INSERT_WALK = `
  with ins_events as (
    insert into events (id, organisation_id, inspection_id, device_id, actor_id, at, sequence, type, version, payload)
    select id, cast(:organisation as uuid), "inspectionId", "deviceId", "actorId", to_timestamp(at / 1000.0), sequence, type, 1, payload
      from jsonb_to_recordset(cast(:events as jsonb)) as t(id uuid, "inspectionId" uuid, "deviceId" uuid,
        "actorId" uuid, at bigint, sequence int, type text, payload jsonb)
    on conflict do nothing returning id
  ), ins_readings as (
    insert into readings (event_id, organisation_id, unit_id, inspection_id, key, kind, value, unit, typed, instrument, at)
    select event_id, cast(:organisation as uuid), unit_id, inspection_id, key, kind, value, unit, typed, instrument, at
      from jsonb_to_recordset(cast(:readings as jsonb)) as t(event_id uuid, unit_id uuid, inspection_id uuid, key text,
        kind text, value double precision, unit text, typed text, instrument text, at timestamptz)
    on conflict do nothing
  ), ins_steps as (
    insert into defect_steps (id, organisation_id, defect_id, inspection_id, at, kind, by_id, words, grade)
    select id, cast(:organisation as uuid), "defectId", "inspectionId", at, kind, "byId", words, grade
      from jsonb_to_recordset(cast(:steps as jsonb)) as t(id uuid, "defectId" uuid, "inspectionId" uuid,
        at timestamptz, kind text, "byId" uuid, words text, grade text)
    on conflict (id) do nothing
  ), ins_units as (
    insert into inspection_units (inspection_id, unit_id, organisation_id, begun_at, signed_at, metres)
    select inspection_id, unit_id, cast(:organisation as uuid), begun_at, signed_at, metres
      from jsonb_to_recordset(cast(:units as jsonb)) as t(inspection_id uuid, unit_id uuid, begun_at timestamptz,
        signed_at timestamptz, metres double precision)
    on conflict do nothing
  )
  insert into inspections (id, organisation_id, depot_id, driver_id, phase, begun_at, last_at, signed_at, answered, total, headline,
      job, keep_until)
  select id, cast(:organisation as uuid), depot_id, driver_id, phase, begun_at, last_at, signed_at, answered, total, headline,
      job, keep_until
    from jsonb_to_record(cast(:inspection as jsonb)) as t(id uuid, depot_id uuid, driver_id uuid, phase text,
      begun_at timestamptz, last_at timestamptz, signed_at timestamptz, answered int, total int, headline text,
      job jsonb, keep_until timestamptz)
  on conflict (id) do update set last_at = excluded.last_at, signed_at = excluded.signed_at,
    keep_until = greatest(excluded.keep_until, inspections.keep_until),
    answered = excluded.answered, total = excluded.total, headline = excluded.headline
  returning (select count(*) from ins_events) as stored`;

/** The parameters of {@link INSERT_WALK}. */
export function walkBindings({ organisation, ...rows }: WalkRows): Record<string, string> {
  return {
    organisation,
    ...Object.fromEntries(Object.entries(rows).map(([name, of]) => [name, JSON.stringify(of)])),
  };
}

/** @returns how many of the events were not there yet */
export async function insertWalk(trx: Knex, rows: WalkRows): Promise<number> {
  const { rows: answers } = await trx
    .raw<{ rows: { stored: string }[] }>(INSERT_WALK, walkBindings(rows))
    .options({ name: 'insert-walk' });
  return Number(answers[0].stored);
}
