import type { Capability } from '@nazar/core/catalogue';
import type { Knex } from 'knex';

/** Work that a supervisor planned: which units, when, and what they must be able to do. */
export interface PlannedJob {
  readonly id: string;
  readonly title: string;
  readonly needs: readonly Capability[];
  readonly unitIds: readonly string[];
  readonly startsAt: string;
}

/** Jobs from twelve hours ago on, soonest first. */
export async function listJobs(trx: Knex, depotId: string): Promise<PlannedJob[]> {
  const rows = await trx('planned_jobs')
    .where({ depot_id: depotId })
    .whereNull('cancelled_at')
    .whereRaw(`starts_at > now() - interval '12 hours'`)
    .orderBy('starts_at')
    .limit(200);
  return rows.map((row) => ({
    id: row.id,
    title: row.title,
    needs: row.needs,
    unitIds: row.unit_ids,
    startsAt: row.starts_at.toISOString(),
  }));
}

export async function insertJob(
  trx: Knex,
  of: { readonly organisationId: string; readonly depotId: string; readonly personId: string },
  job: PlannedJob,
): Promise<void> {
  await trx('planned_jobs').insert({
    id: job.id,
    organisation_id: of.organisationId,
    depot_id: of.depotId,
    title: job.title,
    needs: [...job.needs],
    unit_ids: [...job.unitIds],
    starts_at: job.startsAt,
    planned_by: of.personId,
  });
}

/** False when there is no such job in the depot. */
export async function cancelJob(trx: Knex, depotId: string, id: string): Promise<boolean> {
  const changed = await trx('planned_jobs')
    .where({ id, depot_id: depotId })
    .whereNull('cancelled_at')
    .update({ cancelled_at: trx.fn.now() });
  return changed > 0;
}
