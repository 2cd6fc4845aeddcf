import type { Knex } from 'knex';

/** Everything that a batch brings to the tables of its walk; each list is rows with the columns that {@link INSERT_WALK} names. */
export interface WalkRows {
  readonly organisation: string;
  readonly events: readonly object[];
  readonly readings: readonly object[];
  readonly steps: readonly object[];
  /** What this walk says of its defects. */
  readonly reports: readonly { readonly defect_id: string; readonly [column: string]: unknown }[];
  /** Those that nobody has named before, as they stand by this walk alone. */
  readonly defects: readonly { readonly id: string }[];
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
  ), ins_reports as (
    insert into defect_reports (organisation_id, defect_id, inspection_id, reported_at, body)
    select cast(:organisation as uuid), defect_id, inspection_id, reported_at, body
      from jsonb_to_recordset(cast(:reports as jsonb)) as t(defect_id uuid, inspection_id uuid, reported_at timestamptz,
        body jsonb)
    on conflict (defect_id, inspection_id) do update set reported_at = excluded.reported_at, body = excluded.body
  ), ins_defects as (
    insert into defects (organisation_id, id, depot_id, unit_id, inspection_id, key, title, place, symptom, extent, grade, grade_rank, blocks, reasons,
        condition, note, fixed, spot, photo_ids, status, reported_at, reported_by, confirmed_at, symptom_id, system,
        bars, most_kmh, further, policy_ids, due_at, reported_metres)
    select cast(:organisation as uuid), id, depot_id, unit_id, inspection_id, key, title, place, symptom, extent, grade, grade_rank, blocks, reasons,
        condition, note, fixed, spot, photo_ids, status, reported_at, reported_by, confirmed_at, symptom_id, system,
        bars, most_kmh, further, policy_ids, due_at, reported_metres
      from jsonb_to_recordset(cast(:defects as jsonb)) as t(id uuid, depot_id uuid, unit_id uuid, inspection_id uuid, key text, title text, place text, symptom text,
        extent text, grade text, grade_rank smallint, blocks text[], reasons jsonb, condition text, note text,
        fixed text, spot jsonb, photo_ids uuid[], status text, reported_at timestamptz, reported_by uuid,
        confirmed_at timestamptz, symptom_id text, system text, bars text, most_kmh real, further jsonb,
        policy_ids text[], due_at timestamptz, reported_metres double precision)
    on conflict (id) do nothing returning id
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
  returning (select count(*) from ins_events) as stored, (select array_agg(id) from ins_defects) as written`;

/** The parameters of {@link INSERT_WALK}. */
export function walkBindings({ organisation, ...rows }: WalkRows): Record<string, string> {
  return {
    organisation,
    ...Object.fromEntries(Object.entries(rows).map(([name, of]) => [name, JSON.stringify(of)])),
  };
}

/** What is in the tables now. */
export interface Written {
  /** How many of the events were not there yet. */
  readonly stored: number;
  /** Defects that were not there yet: another walk may have named one of them in the same moment. */
  readonly written: ReadonlySet<string>;
}

export async function insertWalk(trx: Knex, rows: WalkRows): Promise<Written> {
  const { rows: answers } = await trx
    .raw<{ rows: { stored: string; written: string[] | null }[] }>(INSERT_WALK, walkBindings(rows))
    .options({ name: 'insert-walk' });
  const [{ stored, written }] = answers;
  return { stored: Number(stored), written: new Set(written ?? []) };
}
