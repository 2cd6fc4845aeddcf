import type { Check } from '@nazar/core/catalogue';
import type { InspectionEvent } from '@nazar/core/inspection';
import type { Standing } from '../intake/stand';
import { defectRows, odometerOf } from './defect-rows';
import { findingSteps } from './finding-steps';
import type { ProjectRequest } from './project';

const iso = (milliseconds: number) => new Date(milliseconds).toISOString();

/**
 * One statement carries everything that a walk brings, so that a whole walk is one trip to
 * the database. Each parameter is a list of rows as JSON; see {@link walkBindings}.
 */
export const INSERT_WALK = `
  with ins_events as (
    insert into events (id, organisation_id, inspection_id, device_id, actor_id, at, sequence, type, version, payload)
    select id, cast(:organisation as uuid), "inspectionId", "deviceId", "actorId", to_timestamp(at / 1000.0), sequence, type, 1, payload
      from jsonb_to_recordset(cast(:events as jsonb)) as t(id uuid, "inspectionId" uuid, "deviceId" uuid,
        "actorId" uuid, at bigint, sequence int, type text, payload jsonb)
    on conflict do nothing
  ), ins_readings as (
    insert into readings (event_id, organisation_id, unit_id, inspection_id, key, kind, value, unit, typed, instrument, at)
    select event_id, cast(:organisation as uuid), unit_id, inspection_id, key, kind, value, unit, typed, instrument, at
      from jsonb_to_recordset(cast(:readings as jsonb)) as t(event_id uuid, unit_id uuid, inspection_id uuid, key text,
        kind text, value double precision, unit text, typed text, instrument text, at timestamptz)
    on conflict do nothing
  ), ins_defects as (
    insert into defects (id, organisation_id, depot_id, unit_id, inspection_id, key, title, place, symptom, extent,
        grade, grade_rank, blocks, reasons, condition, note, fixed, spot, photo_ids, status, reported_at, reported_by,
        symptom_id, system, bars, most_kmh, policy_ids, due_at, reported_metres)
    select id, cast(:organisation as uuid), depot_id, unit_id, inspection_id, key, title, place, symptom, extent, grade, grade_rank,
        blocks, reasons, condition, note, fixed, spot, photo_ids, status, reported_at, reported_by,
        symptom_id, system, bars, most_kmh, policy_ids, due_at, reported_metres
      from jsonb_to_recordset(cast(:defects as jsonb)) as t(id uuid, depot_id uuid, unit_id uuid, inspection_id uuid,
        key text, title text, place text, symptom text, extent text, grade text, grade_rank smallint, blocks text[],
        reasons jsonb, condition text, note text, fixed text, spot jsonb, photo_ids uuid[], status text,
        reported_at timestamptz, reported_by uuid, symptom_id text, system text, bars text, most_kmh real,
        policy_ids text[], due_at timestamptz, reported_metres double precision)
    on conflict (id) do update set
        grade = case when excluded.grade_rank >= defects.grade_rank or excluded.inspection_id = defects.inspection_id
                     then excluded.grade else defects.grade end,
        grade_rank = case when excluded.inspection_id = defects.inspection_id then excluded.grade_rank
                          else greatest(excluded.grade_rank, defects.grade_rank) end,
        symptom = case when excluded.grade_rank >= defects.grade_rank or excluded.inspection_id = defects.inspection_id
          then excluded.symptom else defects.symptom end,
        extent = case when excluded.grade_rank >= defects.grade_rank or excluded.inspection_id = defects.inspection_id
          then excluded.extent else defects.extent end,
        blocks = case when excluded.grade_rank >= defects.grade_rank or excluded.inspection_id = defects.inspection_id
          then excluded.blocks else defects.blocks end,
        reasons = case when excluded.grade_rank >= defects.grade_rank or excluded.inspection_id = defects.inspection_id
          then excluded.reasons else defects.reasons end,
        condition = case when excluded.grade_rank >= defects.grade_rank or excluded.inspection_id = defects.inspection_id
          then excluded.condition else defects.condition end,
        symptom_id = case when excluded.grade_rank >= defects.grade_rank or excluded.inspection_id = defects.inspection_id
          then excluded.symptom_id else defects.symptom_id end,
        system = case when excluded.grade_rank >= defects.grade_rank or excluded.inspection_id = defects.inspection_id
          then excluded.system else defects.system end,
        bars = case when excluded.grade_rank >= defects.grade_rank or excluded.inspection_id = defects.inspection_id
          then excluded.bars else defects.bars end,
        most_kmh = case when excluded.grade_rank >= defects.grade_rank or excluded.inspection_id = defects.inspection_id
          then excluded.most_kmh else defects.most_kmh end,
        policy_ids = case when excluded.grade_rank >= defects.grade_rank or excluded.inspection_id = defects.inspection_id
          then excluded.policy_ids else defects.policy_ids end,
        -- Found again, it does not get more time.
        due_at = case when excluded.inspection_id = defects.inspection_id then excluded.due_at
          else least(excluded.due_at, defects.due_at) end,
        note = coalesce(excluded.note, defects.note),
        fixed = excluded.fixed, spot = coalesce(excluded.spot, defects.spot),
        photo_ids = excluded.photo_ids || array(select unnest(defects.photo_ids) except select unnest(excluded.photo_ids)),
        status = case when defects.status in ('open', 'fixed', 'withdrawn') and excluded.inspection_id = defects.inspection_id
                      then excluded.status
                      -- Found again before the second signature: it is not mended.
                      when defects.status = 'awaiting-agent' then 'open' else defects.status end,
        confirmed_at = case when excluded.inspection_id <> defects.inspection_id
                            then excluded.reported_at else defects.confirmed_at end
      where defects.unit_id = excluded.unit_id and defects.status in ('open', 'fixed', 'deferred', 'awaiting-agent', 'withdrawn')
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
    answered = excluded.answered, total = excluded.total, headline = excluded.headline`;

/** The parameters of {@link INSERT_WALK}. */
export function walkBindings(request: Omit<ProjectRequest, 'repairs'>) {
  const { person, standing, accepted, isNew } = request;
  const defects = touchesDefects(accepted) ? defectRows(standing) : [];
  return {
    organisation: person.organisationId,
    events: JSON.stringify(accepted),
    readings: JSON.stringify(readingRows(accepted, standing)),
    defects: JSON.stringify(defects),
    steps: JSON.stringify(findingSteps(request, defects)),
    inspection: JSON.stringify(inspectionRow(standing)),
    units: JSON.stringify(isNew ? unitRows(standing) : []),
  };
}

/** A fault counts from the moment it is known, not from the signature: the walk may never be signed. */
export function touchesDefects(accepted: readonly InspectionEvent[]): boolean {
  return accepted.some(
    ({ type }) =>
      type === 'faulted' || type === 'answered' || type === 'signed' || type === 'found',
  );
}

function readingRows(accepted: readonly InspectionEvent[], { rig }: Standing) {
  const measured = accepted.flatMap((event) => (event.type === 'measured' ? [event] : []));
  if (measured.length === 0) return [];
  const instances = new Map(rig.instances.map((instance) => [instance.key, instance]));
  return measured.flatMap((event) => {
    const instance = instances.get(event.payload.key);
    if (!instance?.check.reading) return [];
    return {
      event_id: event.id,
      unit_id: instance.unit.id,
      inspection_id: event.inspectionId,
      key: instance.key,
      kind: instance.check.reading.kind satisfies NonNullable<Check['reading']>['kind'],
      value: event.payload.value,
      unit: event.payload.unit,
      typed: event.payload.typed,
      instrument: event.payload.instrument,
      at: iso(event.at),
    };
  });
}

const DAY = 86_400_000;

function inspectionRow({ inspection, units, policiesOf, assessment }: Standing) {
  const { begun, signed } = inspection;
  // Of several units and policies the longest counts: the walk is one record.
  const keepDays = Math.max(
    ...units.flatMap(({ id }) => policiesOf(id).map((policy) => policy.keepDays)),
  );
  return {
    id: inspection.id,
    depot_id: units[0].depotId,
    driver_id: begun?.actorId,
    phase: begun?.phase,
    begun_at: iso(begun?.at ?? 0),
    last_at: iso(inspection.lastAt),
    signed_at: signed && iso(signed.at),
    answered: assessment.answered,
    total: assessment.total,
    headline: signed && assessment.verdict.headline,
    job: begun?.job,
    keep_until: iso((signed?.at ?? inspection.lastAt) + keepDays * DAY),
  };
}

function unitRows({ inspection, rig, units }: Standing) {
  return units.map((unit) => ({
    inspection_id: inspection.id,
    unit_id: unit.id,
    begun_at: iso(inspection.begun?.at ?? 0),
    signed_at: inspection.signed && iso(inspection.signed.at),
    metres: odometerOf(unit.id, rig, inspection),
  }));
}
