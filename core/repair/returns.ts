import type { Policy } from '../grading';

/** A repair that was certified on a part. */
export interface FormerRepair {
  readonly defectId: string;
  /** Check instance key: unit, check and place make the part. */
  readonly key: string;
  /** Milliseconds since 1970. */
  readonly certifiedAt: number;
  /** Metres on the odometer then; undefined where nobody read it. */
  readonly odometer?: number;
}

export interface FoundAgain {
  readonly key: string;
  readonly reportedAt: number;
  readonly odometer?: number;
}

export interface Return {
  readonly defectId: string;
  readonly daysAfter: number;
  /** Undefined where one of the odometers is not known. */
  readonly kmAfter?: number;
}

const DAY = 86_400_000;

/**
 * The repair that did not hold: the latest on the same part within the policy's days or kilometres. Either
 * is enough; of several policies the widest counts, since a missed return is the worse error.
 */
export function findReturn(
  repairs: readonly FormerRepair[],
  found: FoundAgain,
  policies: readonly Policy[],
): Return | undefined {
  const days = Math.max(...policies.map(({ returnWithin }) => returnWithin.days));
  const km = Math.max(...policies.map(({ returnWithin }) => returnWithin.km));
  const on = repairs
    .filter(({ key, certifiedAt }) => key === found.key && certifiedAt <= found.reportedAt)
    .sort((a, b) => b.certifiedAt - a.certifiedAt)[0] as FormerRepair | undefined;
  if (!on) return undefined;
  const daysAfter = (found.reportedAt - on.certifiedAt) / DAY;
  const kmAfter =
    on.odometer !== undefined && found.odometer !== undefined && found.odometer >= on.odometer
      ? (found.odometer - on.odometer) / 1000
      : undefined;
  if (daysAfter > days && (kmAfter === undefined || kmAfter > km)) return undefined;
  return { defectId: on.defectId, daysAfter, kmAfter };
}
