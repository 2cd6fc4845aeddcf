import { findWeakSpots, type PartCount, type WalkCount, type WeakSpot } from '@nazar/core/repair';
import type { Knex } from 'knex';

const WINDOW = '120 days';

/**
 * Weak spots of units, from the findings of the last four months. Counted over all units of their models in the
 * depot, so that a model's weakness shows; each part is a check and its place.
 */
export async function weakSpotsOf(trx: Knex, depotId: string): Promise<WeakSpot[]> {
  const walks = await trx.raw(
    `select u.id as unit_id, u.module_id, count(iu.inspection_id)::int as walks
       from units u left join inspection_units iu
         on iu.unit_id = u.id and iu.begun_at > now() - interval '${WINDOW}'
      where u.depot_id = ? group by u.id, u.module_id`,
    [depotId],
  );
  const parts = await trx.raw(
    `select d.unit_id, u.module_id, substr(d.key, 38) as part, count(*)::int as findings
       from units u join defects d
         on d.unit_id = u.id and d.reported_at > now() - interval '${WINDOW}' and d.status <> 'withdrawn'
      where u.depot_id = ? group by d.unit_id, u.module_id, substr(d.key, 38)`,
    [depotId],
  );
  const toWalks = (row: any): WalkCount => ({
    unitId: row.unit_id,
    moduleId: row.module_id,
    walks: row.walks,
  });
  const toPart = (row: any): PartCount => ({
    unitId: row.unit_id,
    moduleId: row.module_id,
    part: row.part,
    findings: row.findings,
  });
  return findWeakSpots(parts.rows.map(toPart), walks.rows.map(toWalks));
}
