import type { InspectionEvent } from './events';
import type { Inspection } from './fold';

export type Refusal =
  | 'not-begun'
  | 'already-begun'
  | 'already-signed'
  | 'not-sealed'
  | 'no-such-defect'
  | 'already-certified'
  | 'server-only';

/**
 * Whether an event may follow in this log. After signing, nothing of the walk changes;
 * only `sealed` (the server's), `certified`, `acknowledged` and `annotated` may follow.
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
    case 'signed':
      return inspection.signed ? 'already-signed' : undefined;
    case 'certified':
      return permitCertified(inspection, event.payload.defectId);
    case 'acknowledged':
    case 'annotated':
      return undefined;
  }
}

function permitCertified(inspection: Inspection, defectId: string): Refusal | undefined {
  if (!inspection.signed) return 'not-sealed';
  const reported = [...inspection.answers.values()].some(
    (answer) => answer.outcome === 'fault' && answer.fault.defectId === defectId,
  );
  if (!reported) return 'no-such-defect';
  const closed = inspection.certifications.some(
    (each) => each.defectId === defectId && each.outcome !== 'deferred',
  );
  return closed ? 'already-certified' : undefined;
}
