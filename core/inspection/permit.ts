import { kindOf, type EventType, type InspectionEvent } from './events';
import type { Party, PersonRefusal, Refusal, When } from './events/kind';
import type { Inspection } from './inspection';

/**
 * Whether an event may follow in this log, as far as the log itself can tell. After signing, nothing of
 * the walk changes; what follows is added to it.
 * @returns undefined when it may.
 */
export function permitEvent(inspection: Inspection, event: InspectionEvent): Refusal | undefined {
  const kind = kindOf(event.type);
  if (kind.who.includes('server')) return 'server-only';
  return tooEarlyOrLate(inspection, kind.when) ?? kind.unless?.(inspection, event as never);
}

function tooEarlyOrLate(
  { begun, signed, signedOut, returned }: Inspection,
  when: When,
): Refusal | undefined {
  if (when === 'not-begun') return begun ? 'already-begun' : undefined;
  if (!begun) return 'not-begun';
  switch (when) {
    case 'begun':
      return undefined;
    case 'walking':
      return signed ? 'already-signed' : undefined;
    case 'signed':
      return signed ? undefined : 'not-sealed';
    case 'out':
      if (!signedOut) return 'not-signed-out';
      return returned ? 'already-returned' : undefined;
  }
}

export interface Actor {
  readonly id: string;
  readonly role: 'driver' | 'mechanic' | 'supervisor';
}

/**
 * Whether this person may enter an event of this type on this walk.
 * @returns undefined when they may.
 */
export function permitPerson(
  inspection: Inspection,
  type: EventType,
  person: Actor,
): PersonRefusal | undefined {
  const { who } = kindOf(type);
  if (who.some((party) => isParty(inspection, person, party))) return undefined;
  if (who.includes('server')) return 'server-only';
  const ofTheWalk = who.includes('driver');
  if (ofTheWalk && who.includes('mechanic')) return 'driver-or-workshop-only';
  if (ofTheWalk) return 'other-walk';
  if (!who.includes('supervisor')) return 'mechanics-only';
  return who.includes('mechanic') ? 'workshop-only' : 'supervisors-only';
}

function isParty(
  { begun, course: { helper } }: Inspection,
  { id, role }: Actor,
  party: Party,
): boolean {
  switch (party) {
    case 'server':
      return false;
    case 'anyone':
      return true;
    case 'driver':
      return begun?.actorId === id;
    case 'helper':
      return helper?.phone === true && helper.actorId === id;
    default:
      return role === party;
  }
}

/** Whether no more of the log bears on it than that the walk is begun, and not signed. */
export function isPlain(type: EventType): boolean {
  const { when, unless } = kindOf(type);
  return (when === 'walking' || when === 'begun') && !unless;
}
