import { fold } from '@nazar/core/inspection';
import { buildReport } from '@nazar/core/report';
import { digestOfLog, endOf, FIRST_LINK, makeHead, makeSeal } from '@nazar/core/seal';
import type { Knex } from 'knex';
import { stand } from '../intake/stand';
import { openInspection } from '../store/open-inspection';
import { photoHashes } from '../store/photos';
import { insertReport, lockChainHeads } from '../store/reports';
import { ownId, reportIdsOf } from './own-ids';
import type { SealKey } from './seal-key';

/**
 * Seals the reports of a signed inspection, one a unit, all in one transaction; does nothing when they are
 * sealed or the walk is not signed. Returns the id of the first unit's report.
 */
export async function sealInspection(
  db: Knex,
  key: SealKey,
  organisationId: string,
  inspectionId: string,
  now: Date,
): Promise<string | undefined> {
  return db.transaction(async (trx) => {
    const opened = await openInspection(trx, organisationId, inspectionId);
    const { log } = opened;
    const row = await trx('inspections').where({ id: inspectionId }).first();
    if (!row?.signed_at || row.report_id) return row?.report_id ?? undefined;
    // What showed on the road since is an addition, and no part of what was signed.
    const inspection = { ...fold(inspectionId, log), found: [] };
    const { begun, signed } = inspection;
    if (!begun || !signed) return undefined;
    const { rig, assessment, policiesOf } = stand(inspection, opened);
    const names = await findNames(trx, organisationId, row.depot_id, begun.actorId);
    const reportIds = reportIdsOf(inspectionId, begun.unitIds);
    const hashes = await photoHashes(trx, inspectionId);
    const heads = await lockChainHeads(trx, begun.unitIds);
    const logDigest = digestOfLog(log);
    let first: { readonly reportId: string; readonly hash: string } | undefined;
    for (const unitId of begun.unitIds) {
      const report = buildReport({
        reportIds,
        unitId,
        inspection,
        rig,
        assessment,
        policies: policiesOf(unitId),
        ...names,
        photoHashes: hashes,
        log: logDigest,
      });
      const head = heads.find((each) => each.unitId === unitId);
      const sequence = (head?.sequence ?? 0) + 1;
      const sealer = {
        sealedAt: now.toISOString(),
        publicKey: key.publicKey,
        sign: key.sign,
      };
      const seal = makeSeal(report, {
        chain: [{ unit: unitId, sequence, previous: head?.hash ?? FIRST_LINK }],
        ...sealer,
      });
      await insertReport(trx, {
        organisationId,
        inspectionId,
        unitId,
        report,
        seal,
        head: makeHead(endOf({ report, seal, additions: [] }), sealer),
        chainHead: makeHead({ of: unitId, count: sequence, last: seal.hash }, sealer),
      });
      first ??= { reportId: report.id, hash: seal.hash };
    }
    if (!first) return undefined;
    await trx('events').insert({
      id: ownId(`sealed ${inspectionId}`),
      organisation_id: organisationId,
      inspection_id: inspectionId,
      device_id: ownId('server'),
      actor_id: signed.actorId,
      at: now,
      sequence: 0,
      type: 'sealed',
      version: 1,
      payload: first,
    });
    // Another walk may have found something between signing and sealing: the table says what the report says.
    await trx('inspections')
      .where({ id: inspectionId })
      .update({ report_id: first.reportId, headline: assessment.verdict.headline });
    return first.reportId;
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
