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
import { findDefect } from '../store/defects';
import { openInspection, type Bearing } from '../store/open-inspection';
import type { Person } from '../store/sessions';
import type { DepotUnit } from '../store/units';
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
    const given = await db.transaction((trx) => takeInOne(trx, person, inspectionId, events));
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
  const asked = events.find((event) => event.type === 'begun')?.payload.unitIds ?? [];
  const opened = await openInspection(trx, person.organisationId, inspectionId, asked);
  const { log, units, bearing } = opened;
  const known = new Set(log.map((event) => event.id));
  const accepted: InspectionEvent[] = [];
  const state = (...more: InspectionEvent[]) =>
    fold(inspectionId, [...log, ...accepted, ...more] as AnyEvent[]);
  let inspection = state();
  let stale = false;
  /** Worked out for the last accepted event; gone as soon as another is accepted. */
  let standing: Standing | undefined;
  const answers: EventAnswer[] = [];
  for (const event of events) {
    if (known.has(event.id)) {
      answers.push({ id: event.id, status: 'duplicate' });
      continue;
    }
    if (stale && changesStanding(event)) {
      inspection = state();
      stale = false;
    }
    let code = await findRefusal(trx, person, inspection, event, units);
    let signing: Standing | undefined;
    if (!code && event.type === 'signed') {
      signing = stand(state(event), units, bearing);
      if (signing.assessment.missing.length > 0) code = 'not-complete';
    }
    if (code) {
      answers.push(refuse(event.id, code));
      continue;
    }
    known.add(event.id);
    accepted.push(event);
    answers.push({ id: event.id, status: 'stored' });
    standing = signing;
    stale = true;
    if (signing) inspection = signing.inspection;
    else if (event.type === 'begun') inspection = state();
  }
  if (accepted.length > 0) {
    standing ??= stand(state(), units, bearing);
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
  units: readonly DepotUnit[],
): Promise<RefusalCode | undefined> {
  if (event.actorId !== person.id) return 'other-person';
  const refusal = permitEvent(inspection, event);
  if (refusal) return refusal;
  if (event.type === 'begun') return findBegunRefusal(person, event.payload, units);
  if (units.some((unit) => unit.depotId !== person.depotId)) return 'unit-not-yours';
  if ('key' in event.payload && !units.some((unit) => keyOfUnit(event.payload, unit)))
    return 'check-of-other-unit';
  if (event.type === 'certified') {
    if (person.role !== 'mechanic') return 'mechanics-only';
    return findCertifyRefusal(trx, event.payload);
  }
  return undefined;
}

function keyOfUnit(payload: object, unit: DepotUnit): boolean {
  return (payload as { key: string }).key.startsWith(`${unit.id}/`);
}

function findBegunRefusal(
  person: Person,
  payload: BegunPayload,
  units: readonly DepotUnit[],
): RefusalCode | undefined {
  if (payload.unitIds.some((id) => !units.some((unit) => unit.id === id))) return 'unit-not-yours';
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
export function stand(
  inspection: Inspection,
  units: readonly DepotUnit[],
  bearing: Bearing,
): Standing {
  const { begun } = inspection;
  if (!begun) throw new RangeError('Nothing stands before the inspection is begun.');
  const { phase, circumstances } = begun;
  const rig = composeRig({ units, phase, circumstances, catalogue });
  const policy = policyById(begun.policyId);
  return { inspection, units, rig, assessment: assess({ inspection, rig, policy, ...bearing }) };
}
