import type { InspectionEvent } from '@nazar/core/inspection';
import type { Knex } from 'knex';
import type { Standing } from '../intake/take-in';
import type { Person } from '../store/sessions';
import { defectRows } from './defect-rows';
import { INSERT_WALK, touchesDefects, walkBindings } from './insert-walk';

const iso = (milliseconds: number) => new Date(milliseconds).toISOString();

/** Log to tables, in the transaction that stores the events. */
export async function project(
  trx: Knex.Transaction,
  person: Person,
  standing: Standing,
  accepted: readonly InspectionEvent[],
  isNew: boolean,
): Promise<void> {
  const bindings = walkBindings(person, standing, accepted, isNew);
  await trx.raw(INSERT_WALK, bindings).options({ name: 'insert-walk' });
  if (!isNew && accepted.some((event) => event.type === 'signed'))
    await trx('inspection_units')
      .where({ inspection_id: standing.inspection.id })
      .update({ signed_at: iso(standing.inspection.signed?.at ?? 0) });
  if (!isNew && touchesDefects(accepted)) await withdrawTakenBack(trx, standing);
  for (const event of accepted) await projectLife(trx, event, standing);
}

/** A fault that the driver took back before signing is not open any more, but stays in the table. */
async function withdrawTakenBack(trx: Knex.Transaction, standing: Standing): Promise<void> {
  const { inspection } = standing;
  await trx('defects')
    .where({ inspection_id: inspection.id })
    .whereIn('status', ['open', 'fixed'])
    .whereNotIn(
      'id',
      defectRows(standing).map(({ id }) => id),
    )
    .update({ status: 'withdrawn' });
}

async function projectLife(
  trx: Knex.Transaction,
  event: InspectionEvent,
  { units }: Standing,
): Promise<void> {
  if (event.type === 'certified')
    await trx('defects')
      .where({ id: event.payload.defectId })
      .whereIn('status', ['open', 'deferred'])
      .update({
        status: event.payload.outcome,
        outcome: event.payload.outcome,
        outcome_words: event.payload.words,
        until: event.payload.until ?? null,
        certified_at: iso(event.at),
        certified_by: event.actorId,
      });
  if (event.type === 'acknowledged')
    await trx('defects')
      .where({ id: event.payload.defectId })
      // A driver reads what was mended on the rig that is walked round, on no other.
      .whereIn(
        'unit_id',
        units.map(({ id }) => id),
      )
      .whereIn('status', ['repaired', 'no-repair-needed'])
      .update({
        status: 'closed',
        acknowledged_at: iso(event.at),
        acknowledged_by: event.actorId,
        acknowledged_in: event.inspectionId,
      });
}
