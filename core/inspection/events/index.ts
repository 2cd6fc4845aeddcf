import { acknowledged } from './acknowledged';
import { affirmed } from './affirmed';
import { annotated } from './annotated';
import { answered } from './answered';
import { asked } from './asked';
import { assigned } from './assigned';
import { begun } from './begun';
import { certified } from './certified';
import { changed } from './changed';
import { clockMoved } from './clock-moved';
import { counted } from './counted';
import { countersigned } from './countersigned';
import { dropped } from './dropped';
import { faulted } from './faulted';
import { found } from './found';
import { joined } from './joined';
import { lookedAgain } from './looked-again';
import { measured } from './measured';
import { overridden } from './overridden';
import { parted } from './parted';
import { present } from './present';
import { released } from './released';
import { returned } from './returned';
import { sealed } from './sealed';
import { signed } from './signed';
import { signedOut } from './signed-out';
import { turned } from './turned';
import { worked } from './worked';
import type { Entry, EventKind, Envelope } from './kind';

/** Every type of event that a log may hold. */
export const EVENT_KINDS = {
  begun,
  answered,
  measured,
  faulted,
  counted,
  acknowledged,
  signed,
  sealed,
  overridden,
  'looked-again': lookedAgain,
  released,
  'signed-out': signedOut,
  returned,
  found,
  assigned,
  worked,
  certified,
  countersigned,
  annotated,
  changed,
  affirmed,
  turned,
  dropped,
  joined,
  parted,
  asked,
  present,
  'clock-moved': clockMoved,
} as const;

export type EventType = keyof typeof EVENT_KINDS;

/** What each type of event says. */
export type Payloads = {
  [T in EventType]: (typeof EVENT_KINDS)[T] extends EventKind<infer P> ? P : never;
};

export type InspectionEvent = {
  [T in EventType]: Entry<Payloads[T]> & { readonly type: T };
}[EventType];

/** As it comes over the wire: perhaps of a newer type. */
export type AnyEvent = Envelope & { readonly type: string; readonly payload: unknown };

export function isEventType(type: string): type is EventType {
  return Object.hasOwn(EVENT_KINDS, type);
}

/** What is to be known of the type of an event. */
export function kindOf<T extends EventType>(type: T): EventKind<Payloads[T]> {
  return EVENT_KINDS[type] as unknown as EventKind<Payloads[T]>;
}

export const EVENT_TYPES = Object.keys(EVENT_KINDS) as EventType[];

/** Those that a sealed report gets as an addition. */
export const ADDITION_TYPES = EVENT_TYPES.filter((type) => kindOf(type).addition);
