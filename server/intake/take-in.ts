import { fold, type AnyEvent, type Inspection, type InspectionEvent } from '@nazar/core/inspection';
import { validateEvent } from '@nazar/core/validation';
import type { Knex } from 'knex';
import { project } from '../projection/project';
import { openInspection } from '../store/open-inspection';
import type { Person } from '../store/sessions';
import { findRefusal, type Refused } from './refusals';
import { sentences, type RefusalCode } from './sentences';
import { stand, type Standing } from './stand';

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
      answers.set(index, refuse(idOf(value), validated));
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

function refuse(id: string, { code, detail = sentences[code] }: Refused): EventAnswer {
  return { id, status: 'refused', code, detail };
}

/** Events of the walk itself; what comes after it is stored one by one, since each bears on the next. */
const WALKING = new Set([
  'begun',
  'answered',
  'measured',
  'faulted',
  'counted',
  'acknowledged',
  'annotated',
  'changed',
  'affirmed',
  'turned',
  'dropped',
  'joined',
  'parted',
  'asked',
  'present',
  'clock-moved',
  'signed',
]);
/** Of those, the ones whose permission depends on no more than begun and signed. */
const PLAIN = new Set([
  'answered',
  'measured',
  'faulted',
  'counted',
  'acknowledged',
  'annotated',
  'changed',
  'affirmed',
  'turned',
  'clock-moved',
]);

async function takeInOne(
  trx: Knex.Transaction,
  person: Person,
  inspectionId: string,
  events: readonly InspectionEvent[],
): Promise<EventAnswer[]> {
  const begun = events.find((event) => event.type === 'begun')?.payload;
  const asked = begun?.unitIds ?? [];
  const faulted = events.flatMap((event) => (event.type === 'faulted' ? [event.payload.key] : []));
  const opened = await openInspection(
    trx,
    person.organisationId,
    inspectionId,
    asked,
    faulted,
    begun?.houseVersion,
  );
  const { units, bearing, rules, repairs } = opened;
  const log: AnyEvent[] = [...opened.log];
  const known = new Set(log.map((event) => event.id));
  let accepted: InspectionEvent[] = [];
  const state = (...more: InspectionEvent[]) =>
    fold(inspectionId, [...log, ...accepted, ...more] as AnyEvent[]);
  const standFor = (inspection: Inspection) => stand(inspection, units, bearing, rules);
  let inspection = state();
  let stale = false;
  /** Worked out for the last accepted event; gone as soon as another is accepted. */
  let standing: Standing | undefined;
  const store = async () => {
    if (accepted.length === 0) return;
    standing ??= standFor(state());
    await project(trx, { person, standing, accepted, isNew: log.length === 0, bearing, repairs });
    log.push(...accepted);
    accepted = [];
  };
  const answers: EventAnswer[] = [];
  for (const event of events) {
    if (known.has(event.id)) {
      answers.push({ id: event.id, status: 'duplicate' });
      continue;
    }
    const walking = WALKING.has(event.type);
    if (!walking) await store();
    // What a helper may do depends on whether they help at this moment.
    const helps = inspection.begun !== undefined && event.actorId !== inspection.begun.actorId;
    if (stale && (helps || !PLAIN.has(event.type))) {
      inspection = state();
      stale = false;
    }
    const now = inspection;
    const held = { trx, person, inspection: now, units, bearing, rules };
    const found = findRefusal({ ...held, standing: () => standFor(now) }, event);
    let refused = found instanceof Promise ? await found : found;
    let signing: Standing | undefined;
    if (!refused && event.type === 'signed') {
      signing = standFor(state(event));
      if (signing.assessment.missing.length > 0) refused = { code: 'not-complete' };
    }
    if (refused) {
      answers.push(refuse(event.id, refused));
      continue;
    }
    known.add(event.id);
    accepted.push(event);
    answers.push({ id: event.id, status: 'stored' });
    standing = signing;
    stale = true;
    if (signing) inspection = signing.inspection;
    else if (event.type === 'begun') inspection = state();
    if (!walking) await store();
  }
  await store();
  return answers;
}
