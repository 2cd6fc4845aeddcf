import type { EventType } from './events';

/** Every type of event that a log may hold; an object, so that none can be forgotten. */
const KNOWN: Readonly<Record<EventType, true>> = {
  begun: true,
  answered: true,
  measured: true,
  faulted: true,
  counted: true,
  acknowledged: true,
  signed: true,
  sealed: true,
  overridden: true,
  'looked-again': true,
  released: true,
  'signed-out': true,
  returned: true,
  found: true,
  assigned: true,
  worked: true,
  certified: true,
  countersigned: true,
  annotated: true,
  changed: true,
  affirmed: true,
  turned: true,
  dropped: true,
  joined: true,
  parted: true,
  asked: true,
  present: true,
  'clock-moved': true,
};

/** Vehicles and attachments in one rig, at most: for a walk, a usual rig and a planned job alike. */
export const MOST_UNITS = 8;

export function isEventType(type: string): type is EventType {
  return Object.hasOwn(KNOWN, type);
}
