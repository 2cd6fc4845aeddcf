import { faultsOf, Said, type Answer, type Speaker, type Stamp } from './answers';
import { follow, NO_COURSE, turnedTo, type Course } from './course';
import { isEventType } from './event-types';
import type {
  AnnotatedPayload,
  AnyEvent,
  AssignedPayload,
  BegunPayload,
  CertifiedPayload,
  CountedPayload,
  CountersignedPayload,
  FoundPayload,
  InspectionEvent,
  LookedAgainPayload,
  OverriddenPayload,
  ReleasedPayload,
  ReturnedPayload,
  SealedPayload,
  SignedOutPayload,
  SignedPayload,
  WorkedPayload,
} from './events';

export interface Inspection {
  readonly id: string;
  readonly begun?: BegunPayload & Stamp;
  /** Present answer by check instance key. */
  readonly answers: ReadonlyMap<string, Answer>;
  /** Answers that a later one has replaced, oldest first. */
  readonly replaced: ReadonlyMap<string, readonly Answer[]>;
  /** The last count of a list, by check instance key. */
  readonly counts: ReadonlyMap<string, CountedPayload & Stamp>;
  readonly acknowledged: ReadonlyMap<string, Stamp>;
  /** What happened beside the answers. */
  readonly course: Course;
  readonly signed?: SignedPayload & Stamp;
  readonly sealed?: SealedPayload & Stamp;
  readonly certifications: readonly (CertifiedPayload & Stamp)[];
  readonly countersignatures: readonly (CountersignedPayload & Stamp)[];
  readonly assignments: readonly (AssignedPayload & Stamp)[];
  readonly work: readonly (WorkedPayload & Stamp)[];
  /** The first override of a finding stands, by check instance key or defect id. */
  readonly overrides: ReadonlyMap<string, OverriddenPayload & Stamp>;
  /** What was looked at again before leaving, the last time, by check instance key or defect id. */
  readonly lookedAgain: ReadonlyMap<string, LookedAgainPayload & Stamp>;
  readonly released?: ReleasedPayload & Stamp;
  readonly signedOut?: SignedOutPayload & Stamp;
  readonly returned?: ReturnedPayload & Stamp;
  /** Faults that showed on the road, oldest first; the walk that was signed does not have them. */
  readonly found: readonly (FoundPayload & Stamp)[];
  readonly annotations: readonly (AnnotatedPayload & Stamp)[];
  /** Entries of a newer kind that this version keeps but cannot read. */
  readonly unread: number;
  readonly lastAt: number;
}

type Draft = {
  -readonly [K in keyof Inspection]: Inspection[K] extends ReadonlyMap<infer A, infer B>
    ? Map<A, B>
    : Inspection[K];
} & {
  /** What everybody has said, by check instance key. */
  said: Map<string, Said>;
};

/** A device's own order. */
function compareInDevice(a: AnyEvent, b: AnyEvent): number {
  return a.sequence - b.sequence || compareText(a.id, b.id);
}

function compareText(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
}

/**
 * The state of one inspection from its log. Pure; the same events in any order, or
 * twice, give the same state. A later answer to a check wins and the former stays visible.
 */
export function fold(inspectionId: string, events: readonly AnyEvent[]): Inspection {
  const once = new Map(events.map((event) => [event.id, event]));
  const ordered = mergeDevices([...once.values()]);
  const draft: Draft = {
    said: new Map(),
    id: inspectionId,
    answers: new Map(),
    replaced: new Map(),
    counts: new Map(),
    acknowledged: new Map(),
    course: NO_COURSE,
    certifications: [],
    countersignatures: [],
    assignments: [],
    work: [],
    overrides: new Map(),
    lookedAgain: new Map(),
    found: [],
    annotations: [],
    unread: 0,
    lastAt: 0,
  };
  ordered.forEach((event, order) => {
    draft.lastAt = Math.max(draft.lastAt, event.at);
    if (isEventType(event.type)) apply(draft, event as InspectionEvent, order);
    else draft.unread += 1;
  });
  const { begun, course } = draft;
  // What came up on the way holds for the whole of the walk: it is asked and weighed as if it had been so at its beginning.
  if (begun && course.turned.length > 0)
    draft.begun = {
      ...begun,
      circumstances: [...new Set([...begun.circumstances, ...turnedTo(course)])],
    };
  const { said: _, ...inspection } = draft;
  return inspection;
}

/**
 * Each device's own order is kept by its sequence, even when its clock jumped; the
 * devices are woven together by time. A clock set back counts as standing still.
 */
function mergeDevices(events: readonly AnyEvent[]): AnyEvent[] {
  const devices = new Map<string, AnyEvent[]>();
  for (const event of events) {
    const list = devices.get(event.deviceId);
    if (list) list.push(event);
    else devices.set(event.deviceId, [event]);
  }
  const timed: { readonly event: AnyEvent; readonly at: number }[] = [];
  for (const list of devices.values()) {
    let clock = 0;
    for (const event of list.sort(compareInDevice)) {
      clock = Math.max(clock, event.at);
      timed.push({ event, at: clock });
    }
  }
  return timed
    .sort(
      (a, b) =>
        a.at - b.at ||
        compareText(a.event.deviceId, b.event.deviceId) ||
        compareInDevice(a.event, b.event),
    )
    .map(({ event }) => event);
}

function apply(draft: Draft, event: InspectionEvent, order: number): void {
  const stamp: Stamp = { eventId: event.id, actorId: event.actorId, at: event.at, order };
  switch (event.type) {
    case 'begun':
      draft.begun ??= { ...event.payload, ...stamp };
      return;
    case 'answered':
      say(draft, event, event.payload.key, (said) => {
        said.answered(event.payload, stamp, event);
      });
      return;
    case 'measured':
      say(draft, event, event.payload.key, (said) => {
        said.measured(event.payload, stamp, event);
      });
      return;
    case 'faulted':
      say(draft, event, event.payload.key, (said) => {
        said.faulted(event.payload, stamp, event);
      });
      return;
    case 'counted':
      draft.counts.set(event.payload.key, { ...event.payload, ...stamp });
      return;
    case 'acknowledged':
      if (!draft.acknowledged.has(event.payload.defectId))
        draft.acknowledged.set(event.payload.defectId, stamp);
      return;
    case 'signed':
      draft.signed ??= { ...event.payload, ...stamp };
      return;
    case 'sealed':
      draft.sealed ??= { ...event.payload, ...stamp };
      return;
    case 'overridden':
      if (!draft.overrides.has(event.payload.about))
        draft.overrides.set(event.payload.about, { ...event.payload, ...stamp });
      return;
    case 'looked-again':
      draft.lookedAgain.set(event.payload.about, { ...event.payload, ...stamp });
      return;
    case 'released':
      draft.released ??= { ...event.payload, ...stamp };
      return;
    case 'signed-out':
      draft.signedOut ??= { ...event.payload, ...stamp };
      return;
    case 'returned':
      draft.returned ??= { ...event.payload, ...stamp };
      return;
    case 'found':
      draft.found = [...draft.found, { ...event.payload, ...stamp }];
      return;
    case 'assigned':
      draft.assignments = [...draft.assignments, { ...event.payload, ...stamp }];
      return;
    case 'worked':
      draft.work = [...draft.work, { ...event.payload, ...stamp }];
      return;
    case 'certified':
      draft.certifications = [...draft.certifications, { ...event.payload, ...stamp }];
      return;
    case 'countersigned':
      draft.countersignatures = [...draft.countersignatures, { ...event.payload, ...stamp }];
      return;
    case 'annotated':
      draft.annotations = [...draft.annotations, { ...event.payload, ...stamp }];
      return;
    default:
      draft.course = follow(draft.course, event, stamp);
  }
}

/** Somebody says something of a check; what it took the place of, or what counts less than another's word, stays visible. */
function say(
  { said, answers, replaced }: Draft,
  speaker: Speaker,
  key: string,
  what: (said: Said) => void,
): void {
  const all = said.get(key) ?? new Said();
  said.set(key, all);
  const before = answers.get(key);
  what(all);
  const now = all.together();
  if (now) answers.set(key, now);
  else answers.delete(key);
  const own = all.of(speaker);
  const lost = [before, own === before ? undefined : own].filter(
    (each): each is Answer => each !== undefined && !holds(now, each),
  );
  if (lost.length > 0) replaced.set(key, [...(replaced.get(key) ?? []), ...lost]);
}

/** Whether all of what was said before still counts in what is said now: every fault of it and every number. */
function holds(now: Answer | undefined, before: Answer): boolean {
  if (!now) return false;
  const numbers = new Set(('readings' in now ? now.readings : []).map(({ eventId }) => eventId));
  const faults = faultsOf(now);
  const isWhole =
    ('readings' in before ? before.readings : []).every(({ eventId }) => numbers.has(eventId)) &&
    faultsOf(before).every((fault) => faults.includes(fault));
  if (!isWhole) return false;
  if (now.eventId === before.eventId || before.outcome === 'fault') return true;
  return before.outcome === 'measured' && now.outcome === 'measured';
}
