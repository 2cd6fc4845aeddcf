import type { Circumstance } from '../catalogue';
import type { Stamp } from './answers';
import { isEventType, kindOf, type AnyEvent, type InspectionEvent } from './events';
import { emptyDraft, type Course, type Draft, type Inspection } from './inspection';

/**
 * The state of one inspection from its log. Pure; the same events in any order, or
 * twice, give the same state. A later answer to a check wins and the former stays visible.
 */
export function fold(inspectionId: string, events: readonly AnyEvent[]): Inspection {
  const once = new Map(events.map((event) => [event.id, event]));
  const draft = emptyDraft(inspectionId);
  mergeDevices([...once.values()]).forEach((event, order) => {
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

function apply(draft: Draft, event: InspectionEvent, order: number): void {
  const stamp: Stamp = { eventId: event.id, actorId: event.actorId, at: event.at, order };
  kindOf(event.type).effect(draft, event.payload as never, stamp, event);
}

/** Everything that came up during the walk, beside what it was begun with. */
export function turnedTo({ turned }: Pick<Course, 'turned'>): Circumstance[] {
  return [...new Set(turned.flatMap(({ circumstances }) => circumstances))];
}

/** A device's own order. */
function compareInDevice(a: AnyEvent, b: AnyEvent): number {
  return a.sequence - b.sequence || compareText(a.id, b.id);
}

function compareText(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
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
