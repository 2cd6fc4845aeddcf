import { ValidationError } from 'yup';
import { envelopeSchema, payloadSchemas } from './event-schema';
import type { EventType, InspectionEvent } from './events';

export type Validated =
  | { readonly ok: true; readonly event: InspectionEvent }
  | { readonly ok: false; readonly code: 'malformed' | 'unknown-type'; readonly detail: string };

/** Whether an untrusted value is an event of version 1; says in words what is wrong with it. */
export function validateEvent(value: unknown): Validated {
  try {
    const envelope = envelopeSchema.validateSync(value, { strict: true, abortEarly: true });
    if (!isEventType(envelope.type))
      return {
        ok: false,
        code: 'unknown-type',
        detail: `The type of entry "${envelope.type}" is not known here.`,
      };
    payloadSchemas[envelope.type].validateSync(envelope.payload, {
      strict: true,
      abortEarly: true,
    });
    return { ok: true, event: value as InspectionEvent };
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return { ok: false, code: 'malformed', detail: error.errors.join('; ') };
  }
}

export function isEventType(type: string): type is EventType {
  return Object.hasOwn(payloadSchemas, type);
}
