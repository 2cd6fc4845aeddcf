import type { DefectRecord } from '@nazar/core/repair';
import type { Knex } from 'knex';

function select(trx: Knex) {
  return trx('defects')
    .join('units', 'units.id', 'defects.unit_id')
    .leftJoin('people as reporter', 'reporter.id', 'defects.reported_by')
    .leftJoin('people as certifier', 'certifier.id', 'defects.certified_by')
    .leftJoin('inspections', 'inspections.id', 'defects.inspection_id')
    .select(
      'defects.*',
      'units.number as unit_number',
      'units.title as unit_title',
      'reporter.name as reporter_name',
      'certifier.name as certifier_name',
      'inspections.report_id',
    );
}

function toRecord(row: any): DefectRecord {
  const time = (value: Date | null) => value && value.toISOString();
  return {
    id: row.id,
    unitId: row.unit_id,
    unitNumber: row.unit_number,
    unitTitle: row.unit_title,
    inspectionId: row.inspection_id,
    reportId: row.report_id,
    key: row.key,
    title: row.title,
    place: row.place,
    symptom: row.symptom,
    extent: row.extent,
    grade: row.grade,
    blocks: row.blocks,
    reasons: row.reasons,
    condition: row.condition,
    note: row.note,
    spot: row.spot,
    photoIds: row.photo_ids,
    status: row.status,
    reportedAt: row.reported_at.toISOString(),
    reportedBy: row.reporter_name ?? '',
    confirmedAt: time(row.confirmed_at),
    certifiedAt: time(row.certified_at),
    certifiedBy: row.certifier_name,
    outcome: row.outcome,
    outcomeWords: row.outcome_words,
    until: row.until,
  };
}

export interface DefectCursor {
  readonly gradeRank: number;
  readonly reportedAt: string;
  readonly id: string;
}

/** Open defects of a depot, worst grade first, then oldest; served by the index `defects_open`. */
export async function listOpenDefects(
  trx: Knex,
  depotId: string,
  limit: number,
  after?: DefectCursor,
): Promise<DefectRecord[]> {
  const page = trx('defects')
    .where({ depot_id: depotId })
    .whereIn('status', ['open', 'deferred'])
    .orderBy([{ column: 'grade_rank', order: 'desc' }, { column: 'reported_at' }, { column: 'id' }])
    .limit(limit)
    .select('id');
  if (after)
    void page.where((either) =>
      either
        .where('grade_rank', '<', after.gradeRank)
        .orWhere((same) =>
          same
            .where('grade_rank', after.gradeRank)
            .whereRaw('(reported_at, id) > (?, ?)', [after.reportedAt, after.id]),
        ),
    );
  const rows = await select(trx)
    .whereIn('defects.id', page)
    .orderBy([
      { column: 'defects.grade_rank', order: 'desc' },
      { column: 'defects.reported_at' },
      { column: 'defects.id' },
    ]);
  return rows.map(toRecord);
}

/** Counts by grade of what is open in a depot. */
export async function countOpenDefects(
  trx: Knex,
  depotId: string,
): Promise<Record<string, number>> {
  const rows = await trx('defects')
    .where({ depot_id: depotId })
    .whereIn('status', ['open', 'deferred'])
    .groupBy('grade_rank')
    .select('grade_rank')
    .count<{ grade_rank: number; count: number }[]>('* as count');
  const names: Record<number, string> = { 1: 'note', 2: 'minor', 3: 'major' };
  return Object.fromEntries(rows.map((row) => [names[row.grade_rank], Number(row.count)]));
}

/** What the next driver of these units must know: open defects, and repairs not read yet. */
export async function defectsOfUnits(
  trx: Knex,
  unitIds: readonly string[],
): Promise<DefectRecord[]> {
  const rows = await select(trx)
    .whereIn('defects.unit_id', [...unitIds])
    .whereIn('defects.status', ['open', 'deferred', 'repaired', 'no-repair-needed'])
    .orderBy([{ column: 'defects.grade_rank', order: 'desc' }, { column: 'defects.reported_at' }]);
  return rows.map(toRecord);
}

export async function findDefect(trx: Knex, id: string): Promise<DefectRecord | undefined> {
  const row = await select(trx).where('defects.id', id).first();
  return row && toRecord(row);
}
