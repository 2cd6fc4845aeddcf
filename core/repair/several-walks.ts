import { GRADES, worseGrade, type Grade } from '../grading';
import type { DefectStatus } from '../catalogue';

/** That one walk says a defect is there; what its driver has taken back is no report any more. */
export interface DefectReport {
  readonly inspectionId: string;
  /** When it was found, milliseconds since 1970 by the phone's clock as the server corrected it. */
  readonly at: number;
  /** When the server heard of it first, milliseconds since 1970. */
  readonly receivedAt: number;
  readonly grade: Grade;
  /** Put right on the spot, so that nothing is left for the workshop. */
  readonly mended: boolean;
}

/** Two clocks may differ by this much: what is nearer than that cannot be put in order, milliseconds. */
export const CLOCKS_DIFFER = 10 * 60_000;

/** The last word of the workshop on a defect. */
export interface Certificate {
  /** Milliseconds since 1970. */
  readonly at: number;
  /** When the server heard of it, milliseconds since 1970. */
  readonly receivedAt: number;
  /** What followed from it, second signature and reading included. */
  readonly status: Exclude<DefectStatus, 'open' | 'fixed' | 'withdrawn'>;
  /** The worst that had been found until then. */
  readonly grade: Grade;
}

export interface StandingDefect<R extends DefectReport> {
  readonly status: DefectStatus;
  /** The report whose words and grade count: the worst, of equals the latest; undefined where nobody says it any more. */
  readonly leading: R | undefined;
  /** The earliest that still stands. */
  readonly first: R | undefined;
}

/**
 * How a defect stands that several walks may have found, whatever the order in which their entries arrive: it is a function of what
 * they say and of the workshop's last word, of nothing else.
 *
 * Found again after a repair it is open again, though the phone had not heard of the repair. Found before it, it is what the repair
 * was for; heard of only after the repair, it must have been found clearly before it, since the clocks of two people differ. Who takes back takes back only their own walk's word. What was put off stays put off unless it is found worse.
 */
export function standOfDefect<R extends DefectReport>(
  reports: readonly R[],
  certificate: Certificate | undefined,
): StandingDefect<R> {
  const inOrder = [...reports].sort(
    (a, b) => a.at - b.at || (a.inspectionId < b.inspectionId ? -1 : 1),
  );
  const [first] = inOrder;
  const since = certificate ? inOrder.filter((each) => isAfter(each, certificate)) : inOrder;
  if (certificate && since.length === 0)
    return { status: certificate.status, leading: worstOf(inOrder), first };
  if (since.length === 0) return { status: 'withdrawn', leading: undefined, first: undefined };
  if (
    certificate?.status === 'deferred' &&
    !since.some(({ grade }) => isWorse(grade, certificate.grade))
  )
    return { status: 'deferred', leading: worstOf(inOrder), first };
  const leading = worstOf(since);
  return { status: since.every(({ mended }) => mended) ? 'fixed' : 'open', leading, first };
}

/** Whether a report may be of something that the repair has not mended; where that cannot be told, it may. */
function isAfter({ at, receivedAt }: DefectReport, certificate: Certificate): boolean {
  const doubt = receivedAt > certificate.receivedAt ? CLOCKS_DIFFER : 0;
  return at > certificate.at - doubt;
}

function isWorse(grade: Grade, than: Grade): boolean {
  return GRADES.indexOf(grade) > GRADES.indexOf(than);
}

/** The worst; of equals the one that comes last. */
function worstOf<R extends DefectReport>(reports: readonly R[]): R | undefined {
  return reports.reduce<R | undefined>(
    (worst, each) =>
      worst && worseGrade(worst.grade, each.grade) !== each.grade && worst.grade !== each.grade
        ? worst
        : each,
    undefined,
  );
}
