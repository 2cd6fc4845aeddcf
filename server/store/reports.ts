import type { Report, ReportFile, Seal, SealedAddition } from '@nazar/core/report';
import type { Knex } from 'knex';

export async function findReport(
  trx: Knex,
  id: string,
): Promise<(ReportFile & { inspectionId: string }) | undefined> {
  const row = await trx('reports').where({ id }).first();
  if (!row) return undefined;
  const additions = await trx('additions')
    .where({ inspection_id: row.inspection_id })
    .orderBy('at')
    .select('body', 'seal');
  return {
    inspectionId: row.inspection_id,
    report: row.body as Report,
    seal: row.seal as Seal,
    additions: additions.map((each): SealedAddition => ({ addition: each.body, seal: each.seal })),
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
  readonly report: Report;
  readonly seal: Seal;
}

export async function insertReport(trx: Knex, entry: NewReport): Promise<void> {
  await trx('reports').insert({
    id: entry.report.id,
    organisation_id: entry.organisationId,
    inspection_id: entry.inspectionId,
    body: JSON.stringify(entry.report),
    seal: JSON.stringify(entry.seal),
    sealed_at: entry.seal.sealedAt,
  });
  for (const link of entry.seal.chain)
    await trx('chain_heads')
      .insert({
        unit_id: link.unit,
        organisation_id: entry.organisationId,
        sequence: link.sequence,
        hash: entry.seal.hash,
      })
      .onConflict('unit_id')
      .merge(['sequence', 'hash']);
}

export async function insertAddition(
  trx: Knex,
  organisationId: string,
  inspectionId: string,
  { addition, seal }: SealedAddition,
): Promise<void> {
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
