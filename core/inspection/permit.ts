import { faultsOf } from './answers';
import type { InspectionEvent } from './events';
import type { Inspection } from './fold';

export type Refusal =
  | 'not-begun'
  | 'already-begun'
  | 'already-signed'
  | 'not-sealed'
  | 'no-such-defect'
  | 'already-signed-out'
  | 'not-signed-out'
  | 'already-returned'
  | 'already-overridden'
  | 'not-a-pre-trip'
  | 'helper-there'
  | 'server-only';

/** A walk that nobody has touched for this long is not signed any more: the workshop need not wait for it. */
const ABANDONED_AFTER = 12 * 3_600_000;

/**
 * Whether an event may follow in this log, as far as the log itself can tell. After signing, nothing of
 * the walk changes; what follows is added to it.
 * @returns undefined when it may.
 */
export function permitEvent(inspection: Inspection, event: InspectionEvent): Refusal | undefined {
  if (event.type === 'sealed') return 'server-only';
  if (event.type === 'begun') return inspection.begun ? 'already-begun' : undefined;
  if (!inspection.begun) return 'not-begun';
  switch (event.type) {
    case 'answered':
    case 'measured':
    case 'faulted':
    case 'counted':
    case 'signed':
    case 'changed':
    case 'affirmed':
    case 'turned':
    case 'dropped':
    case 'present':
    case 'clock-moved':
      return inspection.signed ? 'already-signed' : undefined;
    case 'joined':
      if (inspection.signed) return 'already-signed';
      return inspection.course.helper ? 'helper-there' : undefined;
    case 'parted':
    case 'asked':
      // A helper may have left while this was on its way: then it means nothing, and is no fault.
      return inspection.signed ? 'already-signed' : undefined;
    case 'assigned':
    case 'worked':
    case 'countersigned':
    // Whether it is certified already is a matter of the defect, which other walks may have found again since (core/repair).
    case 'certified':
      return permitWorkshop(inspection, event.payload.defectId, event.at);
    case 'overridden':
      if (!inspection.signed) return 'not-sealed';
      return inspection.overrides.has(event.payload.about) ? 'already-overridden' : undefined;
    case 'looked-again':
      if (!inspection.signed) return 'not-sealed';
      return inspection.signedOut ? 'already-signed-out' : undefined;
    case 'released':
      return inspection.signed ? undefined : 'not-sealed';
    case 'signed-out':
      if (!inspection.signed) return 'not-sealed';
      // A weekly check or a look at a stop is no walk round before work.
      if (inspection.begun.phase !== 'pre-trip') return 'not-a-pre-trip';
      return inspection.signedOut ? 'already-signed-out' : undefined;
    case 'returned':
    case 'found':
      if (!inspection.signedOut) return 'not-signed-out';
      return inspection.returned ? 'already-returned' : undefined;
    case 'acknowledged':
    case 'annotated':
      return undefined;
  }
}

function permitWorkshop(inspection: Inspection, defectId: string, at: number): Refusal | undefined {
  if (!inspection.signed && at - inspection.lastAt < ABANDONED_AFTER) return 'not-sealed';
  const reported =
    inspection.found.some((found) => found.defectId === defectId) ||
    [...inspection.answers.values()].some((answer) =>
      faultsOf(answer).some((fault) => fault.defectId === defectId),
    );
  return reported ? undefined : 'no-such-defect';
}
