import {
  fold,
  isPlain,
  kindOf,
  type AnyEvent,
  type EventType,
  type Inspection,
  type InspectionEvent,
} from '@nazar/core/inspection';
import { validateEvent } from '@nazar/core/validation';
import { sayRefusal, type EventAnswer } from '@nazar/core/wire';
import type { Knex } from 'knex';
import { isDeepStrictEqual } from 'node:util';
import { IdTaken, project } from '../projection/project';
import { isOfTheEntry, isPassing } from '../store/connection';
import { openInspection } from '../store/open-inspection';
import type { Person } from '../store/sessions';
import type { Held, Refused } from './held';
import { findRefusal } from './refusals';
import { stand, type Standing } from './stand';

export interface Arrival {
  /** Server time, milliseconds since 1970; what a device claims is bounded by it. */
  readonly arrivedAt?: number;
  /** How far the clock of a device may be ahead of the server's, minutes. */
  readonly aheadMinutes?: number;
  /** Called for an event that cannot be stored whatever is tried, for the log of whoever runs the server. */
  readonly onSetAside?: (error: unknown, event: InspectionEvent) => void;
}

/**
 * Takes a batch into the log: validate, permit, store, fold, project. Each event is
 * answered for itself; one that is refused, or that cannot be stored, takes none of the others with it.
 * Each inspection is one transaction; where that fails, each of its events is one.
 * @throws {Error} when the database is away or busy, or when nothing at all could be stored, which is a fault of the server and of no
 *   entry: then nothing is answered, and everything is sent again
 */
export async function takeIn(
  db: Knex,
  person: Person,
  batch: readonly unknown[],
  { arrivedAt = Date.now(), aheadMinutes = 10, onSetAside = () => undefined }: Arrival = {},
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
    if (event.at > arrivedAt + aheadMinutes * 60_000) {
      answers.set(index, refuse(event.id, { code: 'clock-ahead' }));
      return;
    }
    const group = byInspection.get(event.inspectionId);
    if (group) group.push({ index, event });
    else byInspection.set(event.inspectionId, [{ index, event }]);
  });
  let fault: unknown;
  for (const [inspectionId, group] of byInspection) {
    const take = (events: readonly InspectionEvent[]) =>
      db.transaction((trx) => takeInOne(trx, person, inspectionId, events, arrivedAt));
    const events = group.map(({ event }) => event);
    try {
      const given = await take(events).catch((error: unknown) => {
        if (isPassing(error)) throw error;
        return oneByOne(events, take, onSetAside);
      });
      group.forEach(({ index }, at) => answers.set(index, given[at]));
    } catch (error) {
      // The other walks of the batch are stored all the same; sent again they are duplicates.
      fault ??= error;
    }
  }
  if (fault !== undefined) throw fault;
  return batch.map((_, index) => answers.get(index) as EventAnswer);
}

/**
 * Something in a batch cannot be stored: found by storing each for itself; only that one is set aside.
 * @throws {Error} where a walk cannot even begin, or not one entry be stored, for a reason that lies in no entry: nobody's entries are
 *   refused for a fault of the server
 */
async function oneByOne(
  events: readonly InspectionEvent[],
  take: (events: readonly InspectionEvent[]) => Promise<EventAnswer[]>,
  onSetAside: (error: unknown, event: InspectionEvent) => void,
): Promise<EventAnswer[]> {
  const answers: EventAnswer[] = [];
  const aside: { readonly error: unknown; readonly event: InspectionEvent }[] = [];
  for (const event of events)
    try {
      const [answer] = await take([event]);
      answers.push(answer);
    } catch (error) {
      if (isPassing(error)) throw error;
      if (error instanceof IdTaken) {
        answers.push(refuse(event.id, { code: 'id-taken' }));
        continue;
      }
      if (event.type === 'begun' && !isOfTheEntry(error)) throw error;
      aside.push({ error, event });
      answers.push(refuse(event.id, { code: 'not-storable' }));
    }
  const servers = aside.find(({ error }) => !isOfTheEntry(error));
  if (servers && aside.length === events.length) throw servers.error;
  for (const { error, event } of aside) onSetAside(error, event);
  return answers;
}

function idOf(value: unknown): string {
  const id = (value as { id?: unknown } | null)?.id;
  return typeof id === 'string' ? id.slice(0, 64) : '';
}

function refuse(id: string, { code, detail = sayRefusal(code) }: Refused): EventAnswer {
  return { id, status: 'refused', code, detail };
}

/** What comes after the walk is stored one by one, since each bears on the next. */
function isOfTheWalk(type: EventType): boolean {
  const { when } = kindOf(type);
  return when === 'not-begun' || when === 'walking' || isPlain(type);
}

async function takeInOne(
  trx: Knex.Transaction,
  person: Person,
  inspectionId: string,
  events: readonly InspectionEvent[],
  arrivedAt: number,
): Promise<EventAnswer[]> {
  const begun = events.find((event) => event.type === 'begun')?.payload;
  const faulted = events.flatMap((event) => (event.type === 'faulted' ? [event.payload.key] : []));
  const opened = await openInspection(
    trx,
    person.organisationId,
    inspectionId,
    begun,
    faulted,
    defectsNamedIn(events),
  );
  const { units, defects, rules, repairs, unitOfDefect } = opened;
  const isKnownDefect = (id: string) => unitOfDefect.has(id);
  const log: AnyEvent[] = [...opened.log];
  const known = new Map(log.map((event) => [event.id, event]));
  let accepted: InspectionEvent[] = [];
  const state = (...more: InspectionEvent[]) =>
    fold(inspectionId, [...log, ...accepted, ...more] as AnyEvent[]);
  const standFor = (inspection: Inspection) => stand(inspection, opened);
  let inspection = state();
  let stale = false;
  /** Worked out for the last accepted event; gone as soon as another is accepted. */
  let standing: Standing | undefined;
  const store = async () => {
    if (accepted.length === 0) return;
    standing ??= standFor(state());
    await project(trx, {
      person,
      standing,
      accepted,
      isNew: log.length === 0,
      repairs,
      arrivedAt,
      isKnownDefect,
    });
    log.push(...accepted);
    accepted = [];
  };
  const answers: EventAnswer[] = [];
  for (const event of events) {
    const before = known.get(event.id);
    if (before) {
      // Sent again it is the same; another one under its id is not stored, and nobody is told that it were.
      answers.push(
        isSame(before, event)
          ? { id: event.id, status: 'duplicate' }
          : refuse(event.id, { code: 'id-taken' }),
      );
      continue;
    }
    const walking = isOfTheWalk(event.type);
    if (!walking) await store();
    // What a helper may do depends on whether they help at this moment.
    const helps = inspection.begun !== undefined && event.actorId !== inspection.begun.actorId;
    if (stale && (helps || !isPlain(event.type))) {
      inspection = state();
      stale = false;
    }
    const now = inspection;
    let signing: Standing | undefined;
    const held: Held = {
      trx,
      person,
      inspection: now,
      units,
      defects,
      unitOfDefect,
      rules,
      arrivedAt,
      standing: () => standFor(now),
      standingWith: (each) => (signing = standFor(state(each))),
    };
    const found = findRefusal(held, event);
    const refused = found instanceof Promise ? await found : found;
    if (refused) {
      answers.push(refuse(event.id, refused));
      continue;
    }
    known.set(event.id, event as AnyEvent);
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

function defectsNamedIn(events: readonly InspectionEvent[]): string[] {
  return events.flatMap(({ payload }) =>
    'defectId' in payload && payload.defectId !== undefined ? [payload.defectId] : [],
  );
}

function isSame(stored: AnyEvent, sent: InspectionEvent): boolean {
  return (
    stored.type === sent.type &&
    stored.actorId === sent.actorId &&
    stored.at === sent.at &&
    // As the database keeps it: without what is undefined.
    isDeepStrictEqual(stored.payload, JSON.parse(JSON.stringify(sent.payload)))
  );
}
