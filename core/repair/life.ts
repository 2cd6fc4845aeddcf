import type { Grade, Policy } from '../grading';
import type { CertifiedOutcome } from '../inspection';

/** Where a defect stands. `fixed` on the spot by the driver needs nobody else. */
export type DefectStatus =
  'open' | 'deferred' | 'fixed' | 'repaired' | 'no-repair-needed' | 'closed';

export type CertifyRefusal = 'not-open' | 'grade-not-deferrable' | 'until-passed';

export interface CertifyRequest {
  readonly status: DefectStatus;
  readonly grade: Grade;
  readonly outcome: CertifiedOutcome;
  /** ISO date of a deferral, and today's. */
  readonly until?: string;
  readonly today: string;
  readonly policy: Policy;
}

/** Whether a mechanic may certify so; returns the status that follows, or why not. */
export function certify(
  request: CertifyRequest,
): DefectStatus | { readonly refused: CertifyRefusal } {
  const { status, outcome } = request;
  if (status !== 'open' && status !== 'deferred') return { refused: 'not-open' };
  if (outcome !== 'deferred') return outcome;
  if (!request.policy.deferrable.includes(request.grade))
    return { refused: 'grade-not-deferrable' };
  if (!request.until || request.until <= request.today) return { refused: 'until-passed' };
  return 'deferred';
}

/** A repair or a "no repair needed" waits for the next driver's eyes; then it is closed. */
export function acknowledge(status: DefectStatus): DefectStatus | undefined {
  return status === 'repaired' || status === 'no-repair-needed' ? 'closed' : undefined;
}
