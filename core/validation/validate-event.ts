import { ValidationError, type AnyObjectSchema } from 'yup';
import { findEnvelopeFault } from './envelope';
import { fields } from '../fields';
import { UNITS } from '../quantity';
import {
  EVENT_TYPES,
  isEventType,
  kindOf,
  type AnyEvent,
  type EventType,
  type InspectionEvent,
} from '../inspection';

export type Validated =
  | { readonly ok: true; readonly event: InspectionEvent }
  | { readonly ok: false; readonly code: 'malformed' | 'unknown-type'; readonly detail: string };

/** The payload of each type of event, version 1. */
export const payloadSchemas = Object.fromEntries(
  EVENT_TYPES.map((type) => [type, kindOf(type).schema(fields)]),
) as Readonly<Record<EventType, AnyObjectSchema>>;

/** Whether an untrusted value is an event of version 1; says in words what is wrong with it. */
export function validateEvent(value: unknown): Validated {
  const fault = findEnvelopeFault(value);
  if (fault) return { ok: false, code: 'malformed', detail: fault };
  const event = value as AnyEvent;
  if (!isEventType(event.type))
    return {
      ok: false,
      code: 'unknown-type',
      detail: `The type of entry "${event.type}" is not known here.`,
    };
  // Nearly all of a walk is "sound" or a reading: a few short fields, seen at a glance. What is not as plain goes through the schema.
  if (isPlain(event)) return { ok: true, event: event as InspectionEvent };
  try {
    payloadSchemas[event.type].validateSync(event.payload, { strict: true, abortEarly: true });
    return { ok: true, event: event as InspectionEvent };
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return { ok: false, code: 'malformed', detail: error.errors.join('; ') };
  }
}

const PLAIN_KEY = /^[\w./-]{1,200}$/;

const PLAIN_TYPED = /^[\w.,+-]{1,24}$/;
const INSTRUMENTS: ReadonlySet<unknown> = new Set(['eye', 'gauge', 'sensor', 'simulated-sensor']);

function isPlain({ type, payload }: AnyEvent): boolean {
  if (type === 'answered') return isPlainSound(payload);
  return type === 'measured' && isPlainReading(payload);
}

function isPlainReading(payload: unknown): boolean {
  const { key, value, unit, typed, instrument } = payload as Readonly<Record<string, unknown>>;
  return (
    typeof key === 'string' &&
    PLAIN_KEY.test(key) &&
    Number.isFinite(value) &&
    typeof unit === 'string' &&
    Object.hasOwn(UNITS, unit) &&
    typeof typed === 'string' &&
    PLAIN_TYPED.test(typed) &&
    INSTRUMENTS.has(instrument) &&
    Object.keys(payload as object).length === 5
  );
}

function isPlainSound(payload: unknown): boolean {
  const { key, outcome } = payload as { key?: unknown; outcome?: unknown };
  return (
    outcome === 'sound' &&
    typeof key === 'string' &&
    PLAIN_KEY.test(key) &&
    Object.keys(payload as object).length === 2
  );
}
