import { type DefectRecord } from '@nazar/core/repair';
import { OPEN_STATUSES, UNREAD_STATUSES } from '@nazar/core/catalogue';
import type { Knex } from 'knex';

const OPEN = [...OPEN_STATUSES];
const BEARING = [...OPEN_STATUSES, ...UNREAD_STATUSES];
/** A job that starts within a day makes its units' defects "needed". */
const NEEDED_WITHIN = '24 hours';

function select(trx: Knex) {
  return trx('defects')
    .join('units', 'units.id', 'defects.unit_id')
    .leftJoin('people as reporter', 'reporter.id', 'defects.reported_by')
    .leftJoin('people as certifier', 'certifier.id', 'defects.certified_by')
    .leftJoin('people as assignee', 'assignee.id', 'defects.assigned_to')
    .leftJoin('inspection_units as walked', (join) =>
      join
        .on('walked.inspection_id', 'defects.inspection_id')
        .andOn('walked.unit_id', 'defects.unit_id'),
    )
    .select(
      'defects.*',
      'units.number as unit_number',
      'units.title as unit_title',
      'units.module_id',
      'reporter.name as reporter_name',
      'certifier.name as certifier_name',
      'assignee.name as assignee_name',
      'walked.report_id',
      trx.raw(
        `(select min(j.starts_at) from planned_jobs j
           where j.depot_id = defects.depot_id and j.cancelled_at is null
             and j.starts_at between now() - interval '12 hours' and now() + interval '${NEEDED_WITHIN}'
             and defects.unit_id = any(j.unit_ids)) as needed_at`,
      ),
    );
}

function toRecord(row: any): DefectRecord {
  const time = (value: Date | null) => value && value.toISOString();
  return {
    id: row.id,
    unitId: row.unit_id,
    unitNumber: row.unit_number,
    unitTitle: row.unit_title,
    moduleId: row.module_id,
    inspectionId: row.inspection_id,
    reportId: row.report_id,
    key: row.key,
    title: row.title,
    place: row.place,
    symptomId: row.symptom_id,
    system: row.system,
    symptom: row.symptom,
    extent: row.extent,
    grade: row.grade,
    blocks: row.blocks,
    reasons: row.reasons,
    condition: row.condition,
    bars: row.bars,
    mostKmh: row.most_kmh,
    further: row.further,
    note: row.note,
    spot: row.spot,
    photoIds: row.photo_ids,
    status: row.status,
    revision: row.revision,
    policyIds: row.policy_ids,
    reportedAt: row.reported_at.toISOString(),
    reportedBy: row.reporter_name ?? '',
    reportedById: row.reported_by,
    dueAt: time(row.due_at),
    neededAt: time(row.needed_at),
    assignedTo: row.assignee_name,
    assignedToId: row.assigned_to,
    confirmedAt: time(row.confirmed_at),
    confirmations: row.confirmations,
    certifiedAt: time(row.certified_at),
    certifiedBy: row.certifier_name,
    certifiedById: row.certified_by,
    outcome: row.outcome,
    outcomeWords: row.outcome_words,
    until: row.until,
    returnOf: row.return_of,
    held: row.held,
  };
}

/** Where a page of the queue ended. */
export interface DefectCursor {
  readonly gradeRank: number;
  readonly needed: boolean;
  readonly reportedAt: string;
  readonly id: string;
}

const BUCKETS = [3, 2, 1].flatMap((gradeRank) =>
  [true, false].map((needed) => ({ gradeRank, needed })),
);

/**
 * What to mend first: worst grade, then what a job of the next day needs, then oldest. Read bucket by bucket, so
 * that each is served by the index `defects_open`.
 */
export async function listOpenDefects(
  trx: Knex,
  depotId: string,
  limit: number,
  after?: DefectCursor,
): Promise<DefectRecord[]> {
  const needed = await unitsNeeded(trx, depotId);
  const ids: string[] = [];
  const start = after
    ? BUCKETS.findIndex(
        (each) => each.gradeRank === after.gradeRank && each.needed === after.needed,
      )
    : 0;
  for (const bucket of BUCKETS.slice(Math.max(0, start))) {
    if (ids.length >= limit) break;
    if (bucket.needed && needed.length === 0) continue;
    const page = trx('defects')
      .where({ depot_id: depotId, grade_rank: bucket.gradeRank })
      .whereIn('status', OPEN)
      .orderBy([{ column: 'reported_at' }, { column: 'id' }])
      .limit(limit - ids.length)
      .select('id');
    if (bucket.needed) void page.whereIn('unit_id', needed);
    else if (needed.length > 0) void page.whereNotIn('unit_id', needed);
    if (after && bucket.gradeRank === after.gradeRank && bucket.needed === after.needed)
      void page.whereRaw('(reported_at, id) > (?, ?)', [after.reportedAt, after.id]);
    ids.push(...(await page).map((row) => row.id as string));
  }
  return inOrder(trx, ids);
}

async function inOrder(trx: Knex, ids: readonly string[]): Promise<DefectRecord[]> {
  const rows = await select(trx).whereIn('defects.id', [...ids]);
  const records = new Map(rows.map((row) => [row.id as string, toRecord(row)]));
  return ids.flatMap((id) => records.get(id) ?? []);
}

/** Units that a job of the next day needs. */
async function unitsNeeded(trx: Knex, depotId: string): Promise<string[]> {
  const { rows } = await trx.raw(
    `select distinct unnest(unit_ids) as id from planned_jobs
      where depot_id = ? and cancelled_at is null
        and starts_at between now() - interval '12 hours' and now() + interval '${NEEDED_WITHIN}'`,
    [depotId],
  );
  return (rows as { id: string }[]).map(({ id }) => id);
}

/** Counts by grade of what is open in a depot. */
export async function countOpenDefects(
  trx: Knex,
  depotId: string,
): Promise<Record<string, number>> {
  const rows = await trx('defects')
    .where({ depot_id: depotId })
    .whereIn('status', OPEN)
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
    .whereIn('defects.status', BEARING)
    .orderBy([{ column: 'defects.grade_rank', order: 'desc' }, { column: 'defects.reported_at' }]);
  return rows.map(toRecord);
}

export async function findDefect(trx: Knex, id: string): Promise<DefectRecord | undefined> {
  const row = await select(trx).where('defects.id', id).first();
  return row && toRecord(row);
}

/** Every defect of a unit, newest first; `before` is the reporting time of the last one seen. */
export async function defectsOfUnit(
  trx: Knex,
  unitId: string,
  limit: number,
  before?: string,
): Promise<DefectRecord[]> {
  const page = select(trx)
    .where('defects.unit_id', unitId)
    .whereNot('defects.status', 'withdrawn')
    .orderBy('defects.reported_at', 'desc')
    .limit(limit);
  if (before) void page.where('defects.reported_at', '<', before);
  return (await page).map(toRecord);
}
