import { findReturn } from '@nazar/core/repair';
import type { Knex } from 'knex';
import { linkReturn } from '../store/defect-steps';
import { defectRows, odometerOf } from './defect-rows';
import { findingSteps } from './finding-steps';
import type { ProjectRequest } from './project-request';

/** What faults of this batch mean for defects that are known: found again, or come back after a repair. */
export async function projectFindings(
  trx: Knex.Transaction,
  request: ProjectRequest,
): Promise<void> {
  const { standing, accepted, repairs } = request;
  if (!accepted.some(({ type }) => type === 'faulted')) return;
  const rows = defectRows(standing);
  const again = findingSteps(request, rows)
    .filter(({ kind }) => kind !== 'reported')
    .map(({ defectId }) => defectId);
  if (again.length > 0)
    await trx('defects')
      .whereIn('id', again)
      .update({
        revision: trx.raw('revision + 1'),
        confirmations: trx.raw('confirmations + 1'),
      });
  if (repairs.length === 0) return;
  const { inspection, rig } = standing;
  const known = new Set(standing.known.map(({ id }) => id));
  for (const row of rows) {
    if (known.has(row.id)) continue;
    const found = findReturn(
      repairs.filter(({ defectId }) => defectId !== row.id),
      {
        key: row.key,
        reportedAt: Date.parse(row.reported_at),
        odometer: odometerOf(row.unit_id, rig, inspection),
      },
      standing.policiesOf(row.unit_id),
    );
    if (found) await linkReturn(trx, row.id, found.defectId);
  }
}
