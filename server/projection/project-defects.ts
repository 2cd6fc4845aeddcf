import { standOfDefect, type Certificate, type DefectReport } from '@nazar/core/repair';
import type { Knex } from 'knex';
import type { Standing } from '../intake/stand';
import { defectRows } from './defect-rows';

type DefectRow = ReturnType<typeof defectRows>[number];
type Report = DefectReport & { readonly row: DefectRow };

/**
 * Writes what this walk says of its defects, and how each of them stands by all walks and the workshop's last word: worked out by
 * core, written as it is.
 * @param isNew the walk has said nothing before
 * @param isKnown whether somebody has named this defect before; what nobody has is not looked for
 */
export async function projectDefects(
  trx: Knex.Transaction,
  organisationId: string,
  standing: Standing,
  isNew: boolean,
  isKnown: (defectId: string) => boolean,
): Promise<void> {
  const rows = [...new Map(defectRows(standing).map((row) => [row.id, row])).values()];
  const inspectionId = standing.inspection.id;
  const takenBack = isNew ? [] : await takeBack(trx, inspectionId, rows);
  const ids = [...rows.map(({ id }) => id), ...takenBack];
  if (ids.length === 0) return;
  if (rows.length > 0)
    await trx('defect_reports')
      .insert(
        rows.map((row) => ({
          organisation_id: organisationId,
          defect_id: row.id,
          inspection_id: inspectionId,
          reported_at: row.reported_at,
          body: JSON.stringify(row),
        })),
      )
      .onConflict(['defect_id', 'inspection_id'])
      .merge(['reported_at', 'body']);
  const before = ids.filter((id) => !isNew || isKnown(id));
  const told = before.length > 0 ? await readTold(trx, before) : new Map<string, Told>();
  await writeStanding(
    trx,
    organisationId,
    ids.map((id) => {
      const own = rows.filter((row) => row.id === id).map((row) => toReport(row, 0));
      return { id, ...(told.get(id) ?? { reports: own, certificate: undefined }) };
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
  rows: readonly DefectRow[],
): Promise<string[]> {
  const gone = await trx('defect_reports')
    .where({ inspection_id: inspectionId })
    .whereNotIn(
      'defect_id',
      rows.map(({ id }) => id),
    )
    .delete()
    .returning('defect_id');
  return gone.map((row) => row.defect_id as string);
}

interface Told {
  readonly reports: readonly Report[];
  readonly certificate: Certificate | undefined;
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
  for (const { id, reports, certificate } of defects) {
    const { status, leading, first } = standOfDefect(reports, certificate);
    if (!leading || !first) {
      await trx('defects').where({ id }).update({ status });
      continue;
    }
    insert.push({
      ...toColumns(merged(leading.row, first.row, reports)),
      organisation_id: organisationId,
      status,
    });
  }
  if (insert.length > 0) await trx('defects').insert(insert).onConflict('id').merge();
}

/** The words of the report that leads, with what all of them have in common. */
function merged(leading: DefectRow, first: DefectRow, reports: readonly Report[]): object {
  const rows = reports.map(({ row }) => row);
  const dues = rows.flatMap(({ due_at: due }) => due ?? []).sort();
  return {
    ...leading,
    inspection_id: first.inspection_id,
    reported_at: first.reported_at,
    reported_by: first.reported_by,
    reported_metres: first.reported_metres,
    // Found again, it does not get more time.
    due_at: dues.at(0),
    note: leading.note ?? rows.findLast(({ note }) => note !== undefined)?.note,
    spot: leading.spot ?? rows.find(({ spot }) => spot !== undefined)?.spot,
    photo_ids: [...new Set([leading, ...rows].flatMap((row) => row.photo_ids))],
    confirmed_at:
      rows.length > 1
        ? rows
            .map((row) => row.reported_at)
            .sort()
            .at(-1)
        : null,
  };
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

/** @param receivedAt of what nobody had named before it is of no matter: there is no certificate to hold it against */
function toReport(row: DefectRow, receivedAt: number): Report {
  return {
    inspectionId: row.inspection_id,
    at: Date.parse(row.reported_at),
    receivedAt,
    grade: row.grade,
    mended: row.status === 'fixed',
    row,
  };
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
