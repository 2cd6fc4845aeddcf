import { fold, type Inspection } from '@nazar/core/inspection';
import { buildReport, FIRST_LINK, makeSeal, type Addition } from '@nazar/core/report';
import { policyById } from '@nazar/core/grading';
import type { Knex } from 'knex';
import { v5 as uuidFromName } from 'uuid';
import { stand } from '../intake/take-in';
import { inOrganisation } from '../store/connection';
import { openInspection } from '../store/open-inspection';
import { photoHashes } from '../store/photos';
import { findReport, insertAddition, insertReport, lockChainHeads } from '../store/reports';
import type { SealKey } from './seal-key';

/** Makes ids of what the server adds by itself the same at every try. */
const OWN_NAMESPACE = '6f1f6f0e-7f0a-5d3b-9b52-3d2e9d1c8a11';

/** Seals the report of a signed inspection; does nothing when it is sealed or not signed. Returns the report's id. */
export async function sealInspection(
  db: Knex,
  key: SealKey,
  organisationId: string,
  inspectionId: string,
  now: Date,
): Promise<string | undefined> {
  return db.transaction(async (trx) => {
    const { log, units, bearing } = await openInspection(trx, organisationId, inspectionId, []);
    const row = await trx('inspections').where({ id: inspectionId }).first();
    if (!row?.signed_at || row.report_id) return row?.report_id ?? undefined;
    const inspection = fold(inspectionId, log);
    const { begun, signed } = inspection;
    if (!begun || !signed) return undefined;
    const { rig, assessment } = stand(inspection, units, bearing);
    const names = await findNames(trx, organisationId, row.depot_id, begun.actorId);
    const report = buildReport({
      // One inspection, one report: it carries the same id.
      id: inspectionId,
      inspection,
      rig,
      assessment,
      policy: policyById(begun.policyId),
      ...names,
      photoHashes: await photoHashes(trx, inspectionId),
    });
    const heads = await lockChainHeads(trx, begun.unitIds);
    const seal = makeSeal(report, {
      chain: begun.unitIds.map((unit) => {
        const head = heads.find((each) => each.unitId === unit);
        return { unit, sequence: (head?.sequence ?? 0) + 1, previous: head?.hash ?? FIRST_LINK };
      }),
      sealedAt: now.toISOString(),
      publicKey: key.publicKey,
      sign: key.sign,
    });
    await insertReport(trx, { organisationId, inspectionId, report, seal });
    await trx('events').insert({
      id: uuidFromName(`sealed ${inspectionId}`, OWN_NAMESPACE),
      organisation_id: organisationId,
      inspection_id: inspectionId,
      device_id: uuidFromName('server', OWN_NAMESPACE),
      actor_id: signed.actorId,
      at: now,
      sequence: 0,
      type: 'sealed',
      version: 1,
      payload: { reportId: report.id, hash: seal.hash },
    });
    await trx('inspections').where({ id: inspectionId }).update({ report_id: report.id });
    return report.id;
  });
}

async function findNames(trx: Knex, organisationId: string, depotId: string, personId: string) {
  const organisation = await trx('organisations').where({ id: organisationId }).first('name');
  const depot = await trx('depots').where({ id: depotId }).first('name');
  const driver = await trx('people').where({ id: personId }).first('id', 'name');
  return {
    organisation: organisation.name as string,
    depot: depot.name as string,
    driver: { id: driver.id as string, name: driver.name as string },
  };
}

/** Seals what was added to a sealed report since: certifications, acknowledgements, notes. */
export async function sealAdditions(
  db: Knex,
  key: SealKey,
  organisationId: string,
  inspectionId: string,
  now: Date,
): Promise<void> {
  await db.transaction(async (trx) => {
    const { log } = await openInspection(trx, organisationId, inspectionId, []);
    const row = await trx('inspections').where({ id: inspectionId }).first('report_id');
    if (!row?.report_id) return;
    const file = await findReport(trx, row.report_id);
    if (!file) return;
    const inspection = fold(inspectionId, log);
    const have = new Set(file.additions.map(({ addition }) => addition.id));
    const missing = (await listAdditions(trx, inspection, row.report_id)).filter(
      ({ id }) => !have.has(id),
    );
    for (const addition of missing) {
      const seal = makeSeal(addition, {
        // An addition hangs on its report, not on the unit's next one.
        chain: [{ unit: file.report.id, sequence: 1, previous: file.seal.hash }],
        sealedAt: now.toISOString(),
        publicKey: key.publicKey,
        sign: key.sign,
      });
      await insertAddition(trx, organisationId, inspectionId, { addition, seal });
    }
  });
}

async function listAdditions(
  trx: Knex,
  inspection: Inspection,
  report: string,
): Promise<Addition[]> {
  const signedAt = inspection.signed?.at ?? Infinity;
  const notes = inspection.annotations.filter((note) => note.at >= signedAt);
  const read = await trx('defects')
    .where({ inspection_id: inspection.id })
    .whereNotNull('acknowledged_at')
    .select('id', 'acknowledged_at', 'acknowledged_by');
  const actors = [
    ...[...inspection.certifications, ...notes].map((each) => each.actorId),
    ...read.map((each) => each.acknowledged_by as string),
  ];
  const people = await trx('people').whereIn('id', actors).select('id', 'name');
  const by = (id: string) => ({ id, name: people.find((each) => each.id === id)?.name ?? '' });
  const at = (milliseconds: number) => new Date(milliseconds).toISOString();
  return [
    ...inspection.certifications.map((each): Addition => ({
      id: each.eventId,
      kind: 'certified',
      report,
      at: at(each.at),
      by: by(each.actorId),
      defect: each.defectId,
      outcome: each.outcome,
      words: each.words,
      ...(each.until && { until: each.until }),
      signature: each.signature,
    })),
    ...read.map((each): Addition => ({
      id: uuidFromName(`acknowledged ${each.id}`, OWN_NAMESPACE),
      kind: 'acknowledged',
      report,
      at: (each.acknowledged_at as Date).toISOString(),
      by: by(each.acknowledged_by),
      defect: each.id,
    })),
    ...notes.map((each): Addition => ({
      id: each.eventId,
      kind: 'annotated',
      report,
      at: at(each.at),
      by: by(each.actorId),
      words: each.words,
    })),
  ];
}

/** Sealed inspections with an entry of the last five weeks that has no sealed addition yet. */
async function findUnsealedAdditions(trx: Knex): Promise<string[]> {
  const { rows } = await trx.raw(
    `select e.inspection_id as id from events e join inspections i on i.id = e.inspection_id
      where e.type in ('certified', 'annotated') and e.at > now() - interval '35 days'
        and (e.type = 'certified' or e.at >= i.signed_at) and i.report_id is not null
        and not exists (select from additions a where a.id = e.id)
     union
     select d.inspection_id from defects d join inspections i on i.id = d.inspection_id
      where d.acknowledged_at > now() - interval '35 days' and i.report_id is not null
        and not exists (select from additions a where a.inspection_id = d.inspection_id
          and a.body->>'kind' = 'acknowledged' and a.body->>'defect' = d.id::text)`,
  );
  return (rows as { id: string }[]).map(({ id }) => id);
}

/** Seals whatever a crash left signed or added and unsealed. Returns how many inspections. */
export async function sealAllPending(db: Knex, key: SealKey, now: Date): Promise<number> {
  let count = 0;
  for (const { id } of await db('organisations').select('id')) {
    const pending = await inOrganisation(db, id, (trx) =>
      trx('inspections')
        .whereNotNull('signed_at')
        .whereNull('report_id')
        .orderBy('signed_at')
        .select('id'),
    );
    for (const row of pending) if (await sealInspection(db, key, id, row.id, now)) count += 1;
    const additions = await inOrganisation(db, id, findUnsealedAdditions);
    for (const inspectionId of additions) await sealAdditions(db, key, id, inspectionId, now);
    count += additions.length;
  }
  return count;
}
