import type { InspectionEvent } from '@nazar/core/inspection';
import type { Knex } from 'knex';
import type { Standing } from '../intake/stand';
import { insertWalk } from '../store/insert-walk';
import { odometerOf } from './defect-rows';
import { projectDefects } from './project-defects';
import { projectAfterwards } from './project-afterwards';
import { projectFindings } from './project-findings';
import type { ProjectRequest } from './project-request';
import { touchesDefects, walkRows } from './walk-rows';

const iso = (milliseconds: number) => new Date(milliseconds).toISOString();

/** An event of another walk has the id of one of these; so they are not all stored, and nobody may be told that they are. */
export class IdTaken extends Error {
  override name = 'IdTaken';
}

/** Whole in the rows of the walk. */
const OF_THE_WALK = new Set<InspectionEvent['type']>([
  'begun',
  'answered',
  'measured',
  'faulted',
  'counted',
  'signed',
]);

/** Log to tables, in the transaction that stores the events. */
export async function project(trx: Knex.Transaction, request: ProjectRequest): Promise<void> {
  const { person, standing, accepted, isNew } = request;
  const rows = walkRows(request);
  const { stored, written } = await insertWalk(trx, rows);
  if (stored < accepted.length) throw new IdTaken();
  if (!isNew) await updateUnits(trx, standing, accepted);
  if (touchesDefects(accepted))
    await projectDefects(
      trx,
      person.organisationId,
      standing.inspection.id,
      rows.reports,
      (id) => written.has(id),
      isNew,
    );
  await projectFindings(trx, request);
  for (const event of accepted)
    if (!OF_THE_WALK.has(event.type)) await projectAfterwards(trx, person, event, standing);
}

/** Signature and odometer that arrived after the walk was begun. */
async function updateUnits(
  trx: Knex.Transaction,
  { inspection, rig, units }: Standing,
  accepted: readonly InspectionEvent[],
): Promise<void> {
  if (accepted.some((event) => event.type === 'signed'))
    await trx('inspection_units')
      .where({ inspection_id: inspection.id })
      .update({ signed_at: iso(inspection.signed?.at ?? 0) });
  if (!accepted.some((event) => event.type === 'measured')) return;
  for (const { id } of units) {
    const metres = odometerOf(id, rig, inspection);
    if (metres !== undefined)
      await trx('inspection_units')
        .where({ inspection_id: inspection.id, unit_id: id })
        .update({ metres });
  }
}
