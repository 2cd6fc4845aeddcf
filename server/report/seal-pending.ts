import { ADDITION_TYPES, fold } from '@nazar/core/inspection';
import type { Addition } from '@nazar/core/report';
import { endOf, makeHead, makeSeal, nextAdditionLink, type ReportFile } from '@nazar/core/seal';
import type { Knex } from 'knex';
import { inOrganisation } from '../store/connection';
import { openInspection } from '../store/open-inspection';
import { insertAddition, reportsOfInspection } from '../store/reports';
import { listAdditions } from './list-additions';
import { ownId } from './own-ids';
import type { SealKey } from './seal-key';
import { sealInspection } from './seal-reports';

export { sealInspection };

/** Seals what was added to the sealed reports of a walk since. */
export async function sealAdditions(
  db: Knex,
  key: SealKey,
  organisationId: string,
  inspectionId: string,
  now: Date,
): Promise<void> {
  await db.transaction(async (trx) => {
    const { log } = await openInspection(trx, organisationId, inspectionId);
    const files = await reportsOfInspection(trx, inspectionId);
    if (files.length === 0) return;
    const inspection = fold(inspectionId, log);
    // A report of before each unit had its own stands for every unit of its rig.
    const reportOf = new Map(
      files.flatMap(({ report }) => report.units.map((unit) => [unit.id, report.id] as const)),
    );
    const rows = new Map(files.map((file) => [file.report.id, file]));
    const have = new Set(
      files.flatMap(({ additions }) => additions.map(({ addition }) => addition.id)),
    );
    const sealer = { sealedAt: now.toISOString(), publicKey: key.publicKey, sign: key.sign };
    for (const listed of await listAdditions(trx, inspection, reportOf)) {
      const file = rows.get(listed.report);
      const addition = file && asNew(listed, file);
      if (!addition || have.has(addition.id)) continue;
      const seal = makeSeal(addition, {
        // An addition hangs on its report and on the addition before it, not on the unit's next report.
        chain: [nextAdditionLink(file)],
        ...sealer,
      });
      const longer = { ...file, additions: [...file.additions, { addition, seal }] };
      const head = makeHead(endOf(longer), sealer);
      await insertAddition(trx, organisationId, inspectionId, { addition, seal }, head);
      rows.set(addition.report, { ...longer, head });
    }
  });
}

/**
 * A repair that is read once more, after the defect was found again and mended again, is another addition. Its id follows from the defect
 * and, the second time, from the time of reading.
 */
function asNew(addition: Addition, { additions }: ReportFile): Addition {
  const before = additions.find((each) => each.addition.id === addition.id)?.addition;
  if (addition.kind !== 'acknowledged' || !before || before.at === addition.at) return addition;
  return { ...addition, id: ownId(`${addition.id} ${addition.at}`) };
}

/** Sealed inspections with an entry of the last five weeks that has no sealed addition yet. */
async function findUnsealedAdditions(trx: Knex): Promise<string[]> {
  const { rows } = await trx.raw(
    `select e.inspection_id as id from events e join inspections i on i.id = e.inspection_id
      where e.type = any(?) and e.at > now() - interval '35 days'
        and (e.type <> 'annotated' or e.at >= i.signed_at) and i.report_id is not null
        and not exists (select from additions a where a.id = e.id)
        -- The second sign-out or override of the same thing counts for nothing and is no addition.
        and not exists (select from events f where f.inspection_id = e.inspection_id and f.type = e.type
              and e.type in ('signed-out', 'returned', 'released') and f.id <> e.id and f.at <= e.at)
     union
     select d.inspection_id from defects d join inspections i on i.id = d.inspection_id
      where d.acknowledged_at > now() - interval '35 days' and i.report_id is not null
        and not exists (select from additions a where a.inspection_id = d.inspection_id
          and a.body->>'kind' = 'acknowledged' and a.body->>'defect' = d.id::text
          and (a.body->>'at')::timestamptz = d.acknowledged_at)`,
    [[...ADDITION_TYPES]],
  );
  return (rows as { id: string }[]).map(({ id }) => id);
}

/** What could not be sealed, and why; it keeps nothing else from being sealed. */
export interface SealFailure {
  readonly inspectionId: string;
  readonly error: unknown;
}

/** Seals whatever a crash left signed or added and unsealed, each for itself. Returns how many inspections, and which could not be. */
export async function sealAllPending(
  db: Knex,
  key: SealKey,
  now: Date,
): Promise<{ readonly sealed: number; readonly failed: readonly SealFailure[] }> {
  let sealed = 0;
  const failed: SealFailure[] = [];
  const each = async (inspectionId: string, seal: () => Promise<unknown>) => {
    try {
      if ((await seal()) !== undefined) sealed += 1;
    } catch (error) {
      failed.push({ inspectionId, error });
    }
  };
  for (const { id } of await db('organisations').select('id')) {
    const pending = await inOrganisation(db, id, (trx) =>
      trx('inspections')
        .whereNotNull('signed_at')
        .whereNull('report_id')
        .orderBy('signed_at')
        .select('id'),
    );
    for (const row of pending) await each(row.id, () => sealInspection(db, key, id, row.id, now));
    for (const inspectionId of await inOrganisation(db, id, findUnsealedAdditions))
      await each(inspectionId, async () => {
        await sealAdditions(db, key, id, inspectionId, now);
        return inspectionId;
      });
  }
  return { sealed, failed };
}
