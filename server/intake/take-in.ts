import { catalogue } from '@nazar/core/catalogue';
import { policyById } from '@nazar/core/grading';
import {
  assess,
  fold,
  permitEvent,
  validateEvent,
  type AnyEvent,
  type Assessment,
  type BegunPayload,
  type Inspection,
  type InspectionEvent,
} from '@nazar/core/inspection';
import { certify } from '@nazar/core/repair';
import { composeRig, type Rig } from '@nazar/core/rig';
import type { Knex } from 'knex';
import { project } from '../projection/project';
import { inOrganisation } from '../store/connection';
import { defectsOfUnits, findDefect, toKnown, toUnread } from '../store/defects';
import { lockLog, readLog } from '../store/events';
import type { Person } from '../store/sessions';
import { findUnits, type DepotUnit } from '../store/units';
import { sentences, type RefusalCode } from './sentences';

/** The answer to one event of a batch. */
export type EventAnswer =
  | { readonly id: string; readonly status: 'stored' | 'duplicate' }
  | {
      readonly id: string;
      readonly status: 'refused';
      readonly code: RefusalCode;
      /** A sentence a driver can act on. */
      readonly detail: string;
    };

/** What one inspection is about, worked out from its log. */
export interface Standing {
  readonly inspection: Inspection;
  readonly units: readonly DepotUnit[];
  readonly rig: Rig;
  readonly assessment: Assessment;
}

/**
 * Takes a batch into the log: validate, permit, store, fold, project. Each event is
 * answered for itself; one that is refused takes none of the others with it.
 * Each inspection is one transaction.
 */
export async function takeIn(
  db: Knex,
  person: Person,
  batch: readonly unknown[],
): Promise<EventAnswer[]> {
  const answers = new Map<number, EventAnswer>();
  const byInspection = new Map<string, { index: number; event: InspectionEvent }[]>();
  batch.forEach((value, index) => {
    const validated = validateEvent(value);
    if (!validated.ok) {
      answers.set(index, refuse(idOf(value), validated.code, validated.detail));
      return;
    }
    const { event } = validated;
    const group = byInspection.get(event.inspectionId);
    if (group) group.push({ index, event });
    else byInspection.set(event.inspectionId, [{ index, event }]);
  });
  for (const [inspectionId, group] of byInspection) {
    const events = group.map(({ event }) => event);
    const given = await inOrganisation(db, person.organisationId, (trx) =>
      takeInOne(trx, person, inspectionId, events),
    );
    group.forEach(({ index }, at) => answers.set(index, given[at]));
  }
  return batch.map((_, index) => answers.get(index) as EventAnswer);
}

function idOf(value: unknown): string {
  const id = (value as { id?: unknown } | null)?.id;
  return typeof id === 'string' ? id.slice(0, 64) : '';
}

function refuse(id: string, code: RefusalCode, detail = sentences[code]): EventAnswer {
  return { id, status: 'refused', code, detail };
}

async function takeInOne(
  trx: Knex.Transaction,
  person: Person,
  inspectionId: string,
  events: readonly InspectionEvent[],
): Promise<EventAnswer[]> {
  await lockLog(trx, inspectionId);
  const log = await readLog(trx, inspectionId);
  const known = new Set(log.map((event) => event.id));
  const accepted: InspectionEvent[] = [];
  const now = () => fold(inspectionId, [...log, ...accepted] as AnyEvent[]);
  let inspection = now();
  let stale = false;
  let units = inspection.begun && (await findUnits(trx, inspection.begun.unitIds));
  const answers: EventAnswer[] = [];
  for (const event of events) {
    if (known.has(event.id)) {
      answers.push({ id: event.id, status: 'duplicate' });
      continue;
    }
    if (stale && changesStanding(event)) {
      inspection = now();
      stale = false;
    }
    const code = await findRefusal(trx, person, inspection, event, units);
    if (code) {
      answers.push(refuse(event.id, code));
      continue;
    }
    known.add(event.id);
    accepted.push(event);
    answers.push({ id: event.id, status: 'stored' });
    stale = true;
    if (event.type === 'begun') {
      units = await findUnits(trx, event.payload.unitIds);
      inspection = now();
    } else if (event.type === 'signed') inspection = now();
  }
  if (accepted.length > 0) {
    const standing = await stand(trx, now(), units ?? []);
    await project(trx, person, standing, accepted, log.length === 0);
  }
  return answers;
}

/** Events whose permission depends on more than whether the walk is begun and not signed. */
function changesStanding(event: InspectionEvent): boolean {
  return event.type === 'signed' || event.type === 'certified' || event.type === 'begun';
}

async function findRefusal(
  trx: Knex.Transaction,
  person: Person,
  inspection: Inspection,
  event: InspectionEvent,
  units: readonly DepotUnit[] | undefined,
): Promise<RefusalCode | undefined> {
  if (event.actorId !== person.id) return 'other-person';
  const refusal = permitEvent(inspection, event);
  if (refusal) return refusal;
  if (event.type === 'begun') return findBegunRefusal(trx, person, event.payload);
  if (units?.some((unit) => unit.depotId !== person.depotId) ?? true) return 'unit-not-yours';
  if ('key' in event.payload && !units?.some((unit) => keyOfUnit(event.payload, unit)))
    return 'check-of-other-unit';
  if (event.type === 'signed') return findSignRefusal(trx, inspection, units ?? []);
  if (event.type === 'certified') {
    if (person.role !== 'mechanic') return 'mechanics-only';
    return findCertifyRefusal(trx, event.payload);
  }
  return undefined;
}

function keyOfUnit(payload: object, unit: DepotUnit): boolean {
  return (payload as { key: string }).key.startsWith(`${unit.id}/`);
}

async function findBegunRefusal(
  trx: Knex.Transaction,
  person: Person,
  payload: BegunPayload,
): Promise<RefusalCode | undefined> {
  const units = await findUnits(trx, payload.unitIds);
  if (units.length !== payload.unitIds.length) return 'unit-not-yours';
  if (units.some((unit) => unit.depotId !== person.depotId)) return 'unit-not-yours';
  if (payload.catalogueVersion !== catalogue.version) return 'catalogue-unknown';
  try {
    policyById(payload.policyId);
    composeRig({ units, phase: payload.phase, circumstances: payload.circumstances, catalogue });
  } catch (error) {
    if (error instanceof RangeError) return 'no-rig';
    throw error;
  }
  return undefined;
}

async function findSignRefusal(
  trx: Knex.Transaction,
  inspection: Inspection,
  units: readonly DepotUnit[],
): Promise<RefusalCode | undefined> {
  const { assessment } = await stand(trx, inspection, units);
  return assessment.missing.length > 0 ? 'not-complete' : undefined;
}

async function findCertifyRefusal(
  trx: Knex.Transaction,
  payload: Extract<InspectionEvent, { type: 'certified' }>['payload'],
): Promise<RefusalCode | undefined> {
  const defect = await findDefect(trx, payload.defectId);
  if (!defect) return 'no-such-defect';
  const result = certify({
    status: defect.status as Parameters<typeof certify>[0]['status'],
    grade: defect.grade,
    outcome: payload.outcome,
    until: payload.until,
    today: new Date().toISOString().slice(0, 10),
    policy: policyById('two-step'),
  });
  return typeof result === 'string' ? undefined : result.refused;
}

/** Rig and assessment as they follow from the log and from what is open on the units. */
export async function stand(
  trx: Knex.Transaction,
  inspection: Inspection,
  units: readonly DepotUnit[],
): Promise<Standing> {
  const { begun } = inspection;
  if (!begun) throw new RangeError('Nothing stands before the inspection is begun.');
  const rig = composeRig({
    units,
    phase: begun.phase,
    circumstances: begun.circumstances,
    catalogue,
  });
  const open = (await defectsOfUnits(trx, begun.unitIds)).filter(
    (defect) => defect.inspectionId !== inspection.id,
  );
  const assessment = assess({
    inspection,
    rig,
    policy: policyById(begun.policyId),
    known: open.filter(({ status }) => status === 'open' || status === 'deferred').map(toKnown),
    unread: open
      .filter(({ status }) => status === 'repaired' || status === 'no-repair-needed')
      .map(toUnread),
  });
  return { inspection, units, rig, assessment };
}
