import { faultsOf } from '../answers';
import type { Inspection } from '../inspection';
import type { Entry, Refusal } from './kind';

/** A walk that nobody has touched for this long is not signed any more: the workshop need not wait for it. */
const ABANDONED_AFTER = 12 * 3_600_000;

/**
 * What stands against the workshop’s entry about a defect of this walk. Whether the defect is certified already is a matter of the
 * defect, which other walks may have found again since (core/repair).
 */
export function noMatterOfTheWorkshop(
  inspection: Inspection,
  { payload: { defectId }, at }: Entry<{ readonly defectId: string }>,
): Refusal | undefined {
  if (!inspection.signed && at - inspection.lastAt < ABANDONED_AFTER) return 'not-sealed';
  const reported =
    inspection.found.some((found) => found.defectId === defectId) ||
    [...inspection.answers.values()].some((answer) =>
      faultsOf(answer).some((fault) => fault.defectId === defectId),
    );
  return reported ? undefined : 'no-such-defect';
}
