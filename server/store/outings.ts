import type { Capability } from '@nazar/core/catalogue';
import type { Knex } from 'knex';

/** A rig that was signed out and has not come back. */
export interface Outing {
  readonly inspectionId: string;
  readonly unitIds: readonly string[];
  readonly purpose: 'job' | 'workshop';
  readonly needs: readonly Capability[];
  readonly title: string | null;
  readonly outAt: string;
  readonly by: string;
  readonly byId: string;
}

export async function listOutings(trx: Knex, unitIds: readonly string[]): Promise<Outing[]> {
  const rows = await trx('outings as o')
    .leftJoin('people as p', 'p.id', 'o.out_by')
    .whereNull('o.returned_at')
    .whereRaw('o.unit_ids && ?::uuid[]', [[...unitIds]])
    .orderBy('o.out_at')
    .select('o.*', 'p.name');
  return rows.map((row) => ({
    inspectionId: row.inspection_id,
    unitIds: row.unit_ids,
    purpose: row.purpose,
    needs: row.needs,
    title: row.title,
    outAt: row.out_at.toISOString(),
    by: row.name ?? '',
    byId: row.out_by,
  }));
}

export interface NewOuting {
  readonly inspectionId: string;
  readonly organisationId: string;
  readonly depotId: string;
  readonly unitIds: readonly string[];
  readonly purpose: 'job' | 'workshop';
  readonly needs: readonly string[];
  readonly title?: string;
  readonly outAt: string;
  readonly byId: string;
}

export async function insertOuting(trx: Knex, outing: NewOuting): Promise<void> {
  await trx('outings')
    .insert({
      inspection_id: outing.inspectionId,
      organisation_id: outing.organisationId,
      depot_id: outing.depotId,
      unit_ids: [...outing.unitIds],
      purpose: outing.purpose,
      needs: [...outing.needs],
      title: outing.title ?? null,
      out_at: outing.outAt,
      out_by: outing.byId,
    })
    .onConflict('inspection_id')
    .ignore();
}

export async function closeOuting(
  trx: Knex,
  inspectionId: string,
  at: string,
  byId: string,
): Promise<void> {
  await trx('outings')
    .where({ inspection_id: inspectionId })
    .whereNull('returned_at')
    .update({ returned_at: at, returned_by: byId });
}

/** Makes signing out of the same units wait for each other until the transaction ends. */
export async function lockUnits(trx: Knex, unitIds: readonly string[]): Promise<void> {
  for (const unitId of [...unitIds].sort())
    await trx.raw(`select pg_advisory_xact_lock(hashtextextended(?, 2))`, [unitId]);
}
