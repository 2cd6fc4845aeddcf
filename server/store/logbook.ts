import type { UnitName } from '@nazar/core/quantity';
import type { LogbookWalk, ReadingCourse } from '@nazar/core/wire';
import type { Knex } from 'knex';

/** Walks of a unit, newest first. */
export async function walksOfUnit(
  trx: Knex,
  unitId: string,
  limit: number,
  before?: string,
): Promise<LogbookWalk[]> {
  const page = trx('inspection_units as iu')
    .join('inspections as i', 'i.id', 'iu.inspection_id')
    .leftJoin('people as p', 'p.id', 'i.driver_id')
    .where('iu.unit_id', unitId)
    .orderBy('iu.begun_at', 'desc')
    .limit(limit)
    .select('iu.*', 'i.phase', 'i.headline', 'p.name');
  if (before) void page.where('iu.begun_at', '<', before);
  return (await page).map((row) => ({
    inspectionId: row.inspection_id,
    reportId: row.report_id,
    phase: row.phase,
    headline: row.headline,
    begunAt: row.begun_at.toISOString(),
    signedAt: row.signed_at?.toISOString() ?? null,
    driver: row.name ?? '',
    metres: row.metres,
  }));
}

/** The course of every reading of a unit over the last four months, oldest first, by check instance key; SI. */
export async function readingCourses(trx: Knex, unitId: string): Promise<ReadingCourse[]> {
  const { rows } = await trx.raw(
    `select key, max(unit) as unit, array_agg(value order by at) as values,
            array_agg(round(extract(epoch from at) * 1000)::bigint order by at) as times
       from readings
      where unit_id = ? and at > now() - interval '120 days'
      group by key order by key`,
    [unitId],
  );
  return (rows as { key: string; unit: UnitName; values: number[]; times: unknown[] }[]).map(
    (row) => ({
      key: row.key,
      unit: row.unit,
      points: row.values.map((value, index) => ({ at: Number(row.times[index]), value })),
    }),
  );
}

/** When a unit was out, newest first. */
export async function outingsOfUnit(trx: Knex, unitId: string, limit: number) {
  const rows = await trx('outings as o')
    .leftJoin('people as p', 'p.id', 'o.out_by')
    .whereRaw('o.unit_ids @> array[?]::uuid[]', [unitId])
    .orderBy('o.out_at', 'desc')
    .limit(limit)
    .select('o.*', 'p.name');
  return rows.map((row) => ({
    inspectionId: row.inspection_id as string,
    purpose: row.purpose as 'job' | 'workshop',
    title: row.title as string | null,
    needs: row.needs as string[],
    outAt: row.out_at.toISOString() as string,
    returnedAt: (row.returned_at as Date | null)?.toISOString() ?? null,
    by: (row.name as string | null) ?? '',
  }));
}

/** When a unit was joined into a usual rig and taken out of it, newest first. */
export async function rigChangesOfUnit(trx: Knex, unitId: string, limit: number) {
  const rows = await trx('rig_changes as c')
    .leftJoin('people as p', 'p.id', 'c.by_id')
    .where('c.unit_id', unitId)
    .orderBy('c.at', 'desc')
    .limit(limit)
    .select('c.id', 'c.at', 'c.what', 'c.title', 'p.name');
  return rows.map((row) => ({
    id: row.id as string,
    at: row.at.toISOString() as string,
    what: row.what as 'joined' | 'taken-apart',
    title: row.title as string,
    by: (row.name as string | null) ?? '',
  }));
}
