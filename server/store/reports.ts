import type { Report } from '@nazar/core/report';
import type { ChainEntry, ReportFile, Seal, SealedAddition, SealedHead } from '@nazar/core/seal';
import type { Knex } from 'knex';

export interface StoredReport extends ReportFile {
  readonly inspectionId: string;
}

export async function findReport(trx: Knex, id: string): Promise<StoredReport | undefined> {
  const row = await trx('reports').where({ id }).first();
  return row && withAdditions(trx, row);
}

/** The reports of a walk, one a unit (one in all where it was sealed before each unit had its own). */
export async function reportsOfInspection(
  trx: Knex,
  inspectionId: string,
): Promise<StoredReport[]> {
  const rows = await trx('reports').where({ inspection_id: inspectionId });
  const found: StoredReport[] = [];
  // One connection answers one question at a time.
  for (const row of rows) found.push(await withAdditions(trx, row));
  return found;
}

async function withAdditions(trx: Knex, row: any): Promise<StoredReport> {
  const additions = await trx('additions')
    .where({ inspection_id: row.inspection_id })
    .whereRaw(`body->>'report' = ?`, [row.id])
    // As they were sealed, one upon the other.
    .orderByRaw(`(seal->'chain'->0->>'sequence')::integer, at, id`)
    .select('body', 'seal');
  return {
    inspectionId: row.inspection_id,
    report: row.body as Report,
    seal: row.seal as Seal,
    ...(row.head && { head: row.head as SealedHead }),
    additions: additions.map((each): SealedAddition => ({ addition: each.body, seal: each.seal })),
  };
}

/** The chain of a unit: its reports, what is left of removed ones, and its head. */
export async function chainOfUnit(trx: Knex, unitId: string) {
  const { rows } = await trx.raw(
    `select r.id as report, (link->>'sequence')::int as sequence, link->>'previous' as previous,
            r.seal->>'hash' as hash, false as removed
       from inspection_units iu
       join reports r on r.inspection_id = iu.inspection_id and coalesce(r.unit_id, iu.unit_id) = iu.unit_id,
            json_array_elements(r.seal->'chain') link
      where iu.unit_id = ? and link->>'unit' = ?
     union all
     select report_id, sequence, previous, hash, true from removals where unit_id = ?`,
    [unitId, unitId, unitId],
  );
  const row = await trx('chain_heads')
    .where({ unit_id: unitId })
    .first('sequence', 'hash', 'signed');
  return {
    entries: rows as ChainEntry[],
    head: row && { sequence: row.sequence as number, hash: row.hash as string },
    /** Missing where the last report was sealed before heads were signed. */
    signed: (row?.signed ?? undefined) as SealedHead | undefined,
  };
}

export interface ChainHead {
  readonly unitId: string;
  readonly sequence: number;
  readonly hash: string;
}

/** The chain heads of the units, locked until the transaction ends so that no two reports follow the same one. */
export async function lockChainHeads(trx: Knex, unitIds: readonly string[]): Promise<ChainHead[]> {
  // Locked in one order everywhere, so that two rigs that share units cannot block each other.
  for (const unitId of [...unitIds].sort())
    await trx.raw(`select pg_advisory_xact_lock(hashtextextended(?, 1))`, [unitId]);
  const rows = await trx('chain_heads').whereIn('unit_id', [...unitIds]);
  return rows.map((row) => ({ unitId: row.unit_id, sequence: row.sequence, hash: row.hash }));
}

export interface NewReport {
  readonly organisationId: string;
  readonly inspectionId: string;
  readonly unitId: string;
  readonly report: Report;
  readonly seal: Seal;
  /** Of the report, to which nothing is added yet. */
  readonly head: SealedHead;
  /** Of the row of its unit's reports. */
  readonly chainHead: SealedHead;
}

export async function insertReport(trx: Knex, entry: NewReport): Promise<void> {
  await trx('reports').insert({
    id: entry.report.id,
    organisation_id: entry.organisationId,
    inspection_id: entry.inspectionId,
    unit_id: entry.unitId,
    body: JSON.stringify(entry.report),
    seal: JSON.stringify(entry.seal),
    head: JSON.stringify(entry.head),
    sealed_at: entry.seal.sealedAt,
  });
  await trx('inspection_units')
    .where({ inspection_id: entry.inspectionId, unit_id: entry.unitId })
    .update({ report_id: entry.report.id });
  for (const link of entry.seal.chain)
    await trx('chain_heads')
      .insert({
        unit_id: link.unit,
        organisation_id: entry.organisationId,
        sequence: link.sequence,
        hash: entry.seal.hash,
        signed: JSON.stringify(entry.chainHead),
      })
      .onConflict('unit_id')
      .merge(['sequence', 'hash', 'signed']);
}

export async function insertAddition(
  trx: Knex,
  organisationId: string,
  inspectionId: string,
  { addition, seal }: SealedAddition,
  head: SealedHead,
): Promise<void> {
  await trx('reports')
    .where({ id: addition.report })
    .update({ head: JSON.stringify(head) });
  await trx('additions')
    .insert({
      id: addition.id,
      organisation_id: organisationId,
      inspection_id: inspectionId,
      at: addition.at,
      body: JSON.stringify(addition),
      seal: JSON.stringify(seal),
    })
    .onConflict('id')
    .ignore();
}

export async function listSealKeys(db: Knex): Promise<string[]> {
  return (await db('seal_keys').orderBy('since').select('public_key')).map((row) => row.public_key);
}

export async function rememberSealKey(db: Knex, publicKey: string): Promise<void> {
  await db.raw(`insert into seal_keys (public_key) values (?) on conflict do nothing`, [publicKey]);
}
