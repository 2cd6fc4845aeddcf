import type { AnyEvent } from '@nazar/core/inspection';
import type { Knex } from 'knex';

/** The whole log of one inspection. */
export async function readLog(trx: Knex, inspectionId: string): Promise<AnyEvent[]> {
  const rows = await trx('events').where({ inspection_id: inspectionId }).orderBy('sequence');
  return rows.map((row) => ({
    id: row.id,
    inspectionId: row.inspection_id,
    deviceId: row.device_id,
    actorId: row.actor_id,
    at: (row.at as Date).getTime(),
    sequence: row.sequence,
    version: 1,
    type: row.type,
    payload: row.payload,
  }));
}

/** One writer at a time on one inspection, until the transaction ends. */
export async function lockLog(trx: Knex, inspectionId: string): Promise<void> {
  await trx.raw(`select pg_advisory_xact_lock(hashtextextended(?, 0))`, [inspectionId]);
}
