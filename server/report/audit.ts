import { createHash } from 'node:crypto';
import {
  digestOfLog,
  findChainFaults,
  isHeadGood,
  toFileText,
  verifyReport,
  type SealedHead,
} from '@nazar/core/seal';
import type { Knex } from 'knex';
import { inOrganisation } from '../store/connection';
import { readArrivals } from '../store/read-log';
import { chainOfUnit, findReport, listSealKeys, type StoredReport } from '../store/reports';

/** Something in the database that is not as it was sealed. */
export interface AuditFault {
  /** `report 0192…`, `unit 214` … */
  readonly where: string;
  readonly words: string;
}

export interface AuditResult {
  readonly reports: number;
  readonly units: number;
  /** Reports of before their log had a digest: only their seal could be checked. */
  readonly withoutLog: number;
  readonly faults: readonly AuditFault[];
  /** How far each unit's reports go now; kept elsewhere, the next audit holds it against the database. */
  readonly heads: readonly KeptHead[];
}

/** How far the reports of a unit went at an earlier audit. */
export interface KeptHead {
  readonly unit: string;
  readonly sequence: number;
  readonly hash: string;
}

const AT_ONCE = 100;

/**
 * Goes through everything that was sealed: each report and addition, the log that it was made from, its pictures, the row of each unit's
 * reports and how far it goes, and what the tables say of each walk beside it.
 * @param kept of an earlier audit; what was there then must still be there
 * @param onProgress called with the number of reports gone through
 */
export async function auditDatabase(
  db: Knex,
  kept: readonly KeptHead[] = [],
  onProgress: (reports: number) => void = () => undefined,
): Promise<AuditResult> {
  const keys = await listSealKeys(db);
  const faults: AuditFault[] = [];
  const heads: KeptHead[] = [];
  let reports = 0;
  let units = 0;
  let withoutLog = 0;
  for (const { id: organisation } of await db('organisations').select('id')) {
    let last = '00000000-0000-0000-0000-000000000000';
    for (;;) {
      const found = await inOrganisation(db, organisation as string, async (trx) => {
        const rows = await trx('reports')
          .where('id', '>', last)
          .orderBy('id')
          .limit(AT_ONCE)
          .select('id');
        for (const { id } of rows) {
          const file = await findReport(trx, id as string);
          if (!file) continue;
          faults.push(...(await auditReport(trx, file, keys)));
          if (file.report.log === undefined) withoutLog += 1;
        }
        return rows;
      });
      reports += found.length;
      onProgress(reports);
      if (found.length < AT_ONCE) break;
      last = found[found.length - 1].id as string;
    }
    await inOrganisation(db, organisation as string, async (trx) => {
      for (const unit of await trx('units').orderBy('number').select('id', 'number')) {
        units += 1;
        const { head, found } = await auditChain(trx, unit, keys, kept);
        faults.push(...found);
        if (head) heads.push(head);
      }
    });
  }
  return { reports, units, withoutLog, faults, heads };
}

async function auditReport(
  trx: Knex,
  file: StoredReport,
  keys: readonly string[],
): Promise<AuditFault[]> {
  const { inspectionId, ...sealed } = file;
  const { report, seal } = file;
  const faults: AuditFault[] = [];
  const where = `report ${report.id}`;
  const add = (words: string) => faults.push({ where, words });
  const result = verifyReport(toFileText(sealed), keys);
  if (result.outcome === 'changed')
    for (const { path, words } of result.changes) add(`${path}${words && ` (${words})`}`);
  else if (result.outcome !== 'intact') add(result.outcome);

  const { events } = await readArrivals(trx, inspectionId);
  if (report.log !== undefined && digestOfLog(events) !== report.log)
    add('the log of the walk is not the one that was signed');
  const told = events.find(({ type }) => type === 'sealed')?.payload as
    { readonly reportId: string; readonly hash: string } | undefined;
  if (!told || (told.reportId === report.id && told.hash !== seal.hash))
    add('the log does not name this seal');

  const walk = await trx('inspections').where({ id: inspectionId }).first();
  const signedAt = Date.parse(report.signedAt);
  const headline = report.rig?.headline ?? report.verdict.headline;
  // What came after the signature may have changed how the walk stands; the report stays as it was.
  const isUnchanged = events.every(({ type, at }) => type === 'sealed' || at <= signedAt);
  if (
    walk?.signed_at?.toISOString() !== report.signedAt ||
    (isUnchanged && walk.headline !== headline)
  )
    add('the table of walks says something else of it');

  for (const { id, sha256 } of report.defects.flatMap(({ photos }) => photos)) {
    if (sha256 === undefined) continue;
    const photo = await trx('photos').where({ id }).first('bytes');
    if (!photo) add(`photo ${id} is gone`);
    else if (createHash('sha256').update(photo.bytes).digest('hex') !== sha256)
      add(`photo ${id} is another picture`);
  }
  faults.push(...(await auditDefects(trx, file)));
  return faults;
}

/** A defect that a sealed report names is in the workshop's table, and is mended there only where somebody has certified it. */
async function auditDefects(trx: Knex, { report }: StoredReport): Promise<AuditFault[]> {
  const faults: AuditFault[] = [];
  for (const { id, title } of report.defects) {
    const row = await trx('defects').where({ id }).first('status');
    const where = `defect ${id}`;
    if (!row) {
      faults.push({ where, words: `${title}: it is gone from the table of defects` });
      continue;
    }
    if (!MENDED.has(row.status)) continue;
    const certificate = await trx('events')
      .where({ type: 'certified' })
      .whereRaw(`payload->>'defectId' = ?`, [id])
      .whereIn(
        'inspection_id',
        trx('defect_reports').where({ defect_id: id }).select('inspection_id'),
      )
      .first('id');
    if (!certificate)
      faults.push({ where, words: `${title}: it is ${row.status}, and nobody has certified it` });
  }
  return faults;
}

const MENDED: ReadonlySet<string> = new Set([
  'repaired',
  'no-repair-needed',
  'deferred',
  'awaiting-agent',
  'closed',
]);

async function auditChain(
  trx: Knex,
  unit: { readonly id: string; readonly number: string },
  keys: readonly string[],
  kept: readonly KeptHead[],
): Promise<{ readonly head: KeptHead | undefined; readonly found: readonly AuditFault[] }> {
  const { entries, head, signed } = await chainOfUnit(trx, unit.id);
  const where = `unit ${unit.number}`;
  const found: AuditFault[] = [];
  for (const { code, sequence } of findChainFaults(entries, head))
    found.push({ where, words: `report ${sequence} of its row: ${code}` });
  if (head && signed && !isHeadOf(signed, unit.id, head, keys))
    found.push({ where, words: 'how far its row goes is not as it was signed' });
  const before = kept.find((each) => each.unit === unit.id);
  if (
    before &&
    !entries.some(({ sequence, hash }) => sequence === before.sequence && hash === before.hash)
  )
    found.push({ where, words: `report ${before.sequence}, there at the last audit, is gone` });
  return { head: head && { unit: unit.id, ...head }, found };
}

function isHeadOf(
  signed: SealedHead,
  unitId: string,
  head: { readonly sequence: number; readonly hash: string },
  keys: readonly string[],
): boolean {
  return (
    isHeadGood(signed) &&
    keys.includes(signed.key) &&
    signed.of === unitId &&
    signed.count === head.sequence &&
    signed.last === head.hash
  );
}
