import type { Check } from '@nazar/core/catalogue';
import type { InspectionEvent } from '@nazar/core/inspection';
import type { Standing } from '../intake/stand';
import { defectRows, odometerOf } from './defect-rows';
import { findingSteps } from './finding-steps';
import type { ProjectRequest } from './project-request';

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
export function walkBindings(request: Omit<ProjectRequest, 'repairs'>) {
  const { person, standing, accepted, isNew, arrivedAt } = request;
  const defects = touchesDefects(accepted) ? defectRows(standing) : [];
  return {
    organisation: person.organisationId,
    events: JSON.stringify(accepted),
    readings: JSON.stringify(readingRows(accepted, standing)),
    steps: JSON.stringify(findingSteps(request, defects)),
    inspection: JSON.stringify(inspectionRow(standing, arrivedAt)),
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

function inspectionRow({ inspection, units, policiesOf, assessment }: Standing, arrivedAt: number) {
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
    // Dated long ago it is kept as long as any other: from the day on which it came.
    keep_until: iso(Math.max(signed?.at ?? inspection.lastAt, arrivedAt) + keepDays * DAY),
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
