import { UNREAD_STATUSES, type DefectStatus } from '../catalogue';
import type { Grade, Policy } from '../grading';
import type { CertifiedOutcome } from '../inspection';

/** The workshop has had its last word, until somebody finds it again. */
const CERTIFIED: readonly DefectStatus[] = [
  'awaiting-agent',
  'repaired',
  'no-repair-needed',
  'closed',
];

export type LifeRefusal =
  | 'not-open'
  | 'already-certified'
  | 'grade-not-deferrable'
  | 'until-passed'
  | 'own-report'
  | 'no-repair-not-allowed'
  | 'changed-meanwhile'
  | 'not-awaiting'
  | 'own-repair';

export interface CertifyRequest {
  readonly status: DefectStatus;
  readonly grade: Grade;
  readonly outcome: CertifiedOutcome;
  /** ISO date of a deferral, and today's. */
  readonly until?: string;
  readonly today: string;
  /** Of the unit; where several apply, each must allow it. */
  readonly policies: readonly Policy[];
  /** Ids of who reported it and of who certifies. */
  readonly reportedBy: string;
  readonly by: string;
  /** Steps of the defect's life so far, and those that the signer had read; undefined is not held against anybody. */
  readonly revision: number;
  readonly seen?: number;
}

type Refused = { readonly refused: LifeRefusal };

/** Whether a mechanic may certify so; returns the status that follows, or why not. */
export function certify(request: CertifyRequest): DefectStatus | Refused {
  const { status, outcome, policies } = request;
  if (CERTIFIED.includes(status)) return { refused: 'already-certified' };
  if (status !== 'open' && status !== 'deferred') return { refused: 'not-open' };
  if (isStale(request)) return { refused: 'changed-meanwhile' };
  if (request.by === request.reportedBy && policies.some((each) => !each.signatures.ownReport))
    return { refused: 'own-report' };
  if (outcome === 'deferred') return defer(request);
  if (outcome === 'no-repair-needed' && policies.some((each) => !each.signatures.noRepairNeeded))
    return { refused: 'no-repair-not-allowed' };
  return policies.some((each) => each.signatures.repair === 'mechanic-and-agent')
    ? 'awaiting-agent'
    : outcome;
}

function defer({ grade, until, today, policies }: CertifyRequest): DefectStatus | Refused {
  if (policies.some((each) => !each.deferrable.includes(grade)))
    return { refused: 'grade-not-deferrable' };
  if (!until || until <= today) return { refused: 'until-passed' };
  return 'deferred';
}

/** Somebody else changed the defect after the signer had read it. */
export function isStale({ revision, seen }: Pick<CertifyRequest, 'revision' | 'seen'>): boolean {
  return seen !== undefined && seen < revision;
}

export interface CountersignRequest {
  readonly status: DefectStatus;
  /** What the mechanic certified. */
  readonly outcome: CertifiedOutcome;
  readonly certifiedBy: string;
  readonly by: string;
}

/** Whether the carrier's agent may sign beside the mechanic; it takes two people. */
export function countersign(request: CountersignRequest): DefectStatus | Refused {
  if (request.status !== 'awaiting-agent') return { refused: 'not-awaiting' };
  if (request.by === request.certifiedBy) return { refused: 'own-repair' };
  return request.outcome === 'deferred' ? 'deferred' : request.outcome;
}

/** A repair or a "no repair needed" waits for the next driver's eyes; then it is closed. */
export function acknowledge(status: DefectStatus): DefectStatus | undefined {
  return UNREAD_STATUSES.includes(status) ? 'closed' : undefined;
}
