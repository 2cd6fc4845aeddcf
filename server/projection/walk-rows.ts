import type { Check } from '@nazar/core/catalogue';
import type { InspectionEvent } from '@nazar/core/inspection';
import type { Standing } from '../intake/stand';
import type { WalkRows } from '../store/insert-walk';
import { defectRows, odometerOf } from './defect-rows';
import { findingSteps } from './finding-steps';
import type { ProjectRequest } from './project-request';
import { rowOfDefect, toReport, type DefectRow } from './row-of-defect';

const iso = (milliseconds: number) => new Date(milliseconds).toISOString();

/** The rows that a batch brings to the tables of its walk. */
export function walkRows(request: Omit<ProjectRequest, 'repairs'>): WalkRows {
  const { person, standing, accepted, isNew, arrivedAt } = request;
  const defects = touchesDefects(accepted) ? defectRows(standing) : [];
  const once = [...new Map(defects.map((row) => [row.id, row])).values()];
  return {
    organisation: person.organisationId,
    events: accepted,
    readings: readingRows(accepted, standing),
    steps: findingSteps(request, defects),
    reports: once.map((row) => ({
      defect_id: row.id,
      inspection_id: row.inspection_id,
      reported_at: row.reported_at,
      body: row,
    })),
    defects: isNew ? once.filter(({ id }) => !request.isKnownDefect(id)).map(toNewDefect) : [],
    inspection: inspectionRow(standing, arrivedAt),
    units: isNew ? unitRows(standing) : [],
  };
}

/** Nobody but this walk has said anything of it. */
function toNewDefect(said: DefectRow) {
  const { status, row } = rowOfDefect({ reports: [toReport(said, 0)], certificate: undefined });
  return { ...(row ?? said), status };
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
