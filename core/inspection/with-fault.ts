import type { FaultedPayload } from './payloads';
import type { Inspection } from './inspection';

/**
 * The inspection as it would stand with this fault, so that its grade can be seen before it is kept:
 * with all that is counted with it, combinations and whatever adds up.
 * @param at milliseconds since 1970
 */
export function withFault(inspection: Inspection, fault: FaultedPayload, at: number): Inspection {
  const before = inspection.answers.get(fault.key);
  const readings =
    before?.outcome === 'measured' || before?.outcome === 'fault' ? before.readings : [];
  const answers = new Map(inspection.answers).set(fault.key, {
    outcome: 'fault',
    fault,
    readings,
    eventId: '',
    actorId: inspection.begun?.actorId ?? '',
    at,
  });
  return { ...inspection, answers };
}

/** The inspection with what showed on the road: what the rig may still do follows from both. */
export function withFound(inspection: Inspection): Inspection {
  return inspection.found.reduce(
    (known, { eventId: _, actorId: __, at, ...fault }) => withFault(known, fault, at),
    inspection,
  );
}
