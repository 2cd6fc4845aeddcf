import type { Certificate } from '@nazar/core/repair';
import type { Knex } from 'knex';
import { rowOfDefect, toReport, type DefectRow, type Told } from './row-of-defect';
import type { WalkRows } from '../store/insert-walk';

/**
 * Writes how the defects of this walk stand by all walks and the workshop's last word: worked out by core, written as it is. What this
 * walk says of them is written already, and so are those that nobody has named before.
 * @param reports what this walk says of its defects
 * @param isWritten whether a defect was written with the walk, because nobody had named it before
 * @param isNew the walk has said nothing before
 */
export async function projectDefects(
  trx: Knex.Transaction,
  organisationId: string,
  inspectionId: string,
  reports: WalkRows['reports'],
  isWritten: (defectId: string) => boolean,
  isNew: boolean,
): Promise<void> {
  const ids = reports.map((report) => report.defect_id);
  const takenBack = isNew ? [] : await takeBack(trx, inspectionId, ids);
  const others = [...ids.filter((id) => !isWritten(id)), ...takenBack];
  if (others.length === 0) return;
  const told = await readTold(trx, others);
  await writeStanding(
    trx,
    organisationId,
    others.flatMap((id) => {
      const each = told.get(id);
      return each ? [{ id, ...each }] : [];
    }),
  );
}

/**
 * Writes how a defect stands after the workshop, its agent or a driver who has read it has had a word; the word itself is written already.
 */
export async function projectWord(
  trx: Knex.Transaction,
  organisationId: string,
  defectId: string,
): Promise<void> {
  const told = await readTold(trx, [defectId]);
  const one = told.get(defectId);
  if (one) await writeStanding(trx, organisationId, [{ id: defectId, ...one }]);
}

/** What the driver of this walk does not say any more. */
async function takeBack(
  trx: Knex.Transaction,
  inspectionId: string,
  said: readonly string[],
): Promise<string[]> {
  const gone = await trx('defect_reports')
    .where({ inspection_id: inspectionId })
    .whereNotIn('defect_id', [...said])
    .delete()
    .returning('defect_id');
  return gone.map((row) => row.defect_id as string);
}

/** What all walks say of these defects, this one included, and the workshop's last word; they are locked until it is written. */
async function readTold(
  trx: Knex.Transaction,
  ids: readonly string[],
): Promise<ReadonlyMap<string, Told>> {
  const kept = await trx('defects')
    .whereIn('id', [...ids])
    .forUpdate()
    .select(
      'id',
      'certified_at',
      'certificate_status',
      'certified_grade',
      'certificate_received_at',
    );
  const certificates = new Map(kept.map((row) => [row.id as string, toCertificate(row)]));
  const rows = await trx('defect_reports')
    .whereIn('defect_id', [...ids])
    .select('defect_id', 'body', 'received_at');
  return new Map(
    ids.map((id) => [
      id,
      {
        reports: rows.flatMap(({ defect_id, body, received_at }) =>
          defect_id === id ? [toReport(body as DefectRow, (received_at as Date).getTime())] : [],
        ),
        certificate: certificates.get(id),
      },
    ]),
  );
}

async function writeStanding(
  trx: Knex.Transaction,
  organisationId: string,
  defects: readonly (Told & { readonly id: string })[],
): Promise<void> {
  const insert: object[] = [];
  for (const { id, ...told } of defects) {
    const { status, row } = rowOfDefect(told);
    if (row) insert.push({ ...toColumns(row), organisation_id: organisationId, status });
    else await trx('defects').where({ id }).update({ status });
  }
  if (insert.length > 0) await trx('defects').insert(insert).onConflict('id').merge();
}

/** Lists and objects as the columns take them. */
function toColumns(row: object): object {
  return Object.fromEntries(
    Object.entries(row).map(([column, value]) => [
      column,
      ['reasons', 'further', 'spot'].includes(column) && value !== undefined && value !== null
        ? JSON.stringify(value)
        : (value ?? null),
    ]),
  );
}

function toCertificate(row: {
  readonly certified_at: Date | null;
  readonly certificate_status: string | null;
  readonly certified_grade: string | null;
  readonly certificate_received_at: Date | null;
}): Certificate | undefined {
  if (!row.certified_at || !row.certificate_status) return undefined;
  return {
    at: row.certified_at.getTime(),
    receivedAt: (row.certificate_received_at ?? row.certified_at).getTime(),
    status: row.certificate_status as Certificate['status'],
    grade: (row.certified_grade ?? 'major') as Certificate['grade'],
  };
}
