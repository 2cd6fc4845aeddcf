import type { AnyEvent, EventType } from '@nazar/core/inspection';
import type { Knex } from 'knex';

interface EventRow {
  readonly id: string;
  readonly inspection_id: string;
  readonly device_id: string;
  readonly actor_id: string;
  readonly at: Date;
  readonly sequence: number;
  readonly version: 1;
  readonly type: string;
  readonly payload: unknown;
  readonly arrival: string | null;
}

export interface Arrivals {
  readonly events: readonly AnyEvent[];
  /** Ask with it the next time; entries that come later are behind it. */
  readonly cursor: number;
}

/**
 * What came into the log of a walk behind a cursor, in the order in which it came. Nobody waits for it: no lock is taken.
 * @param cursor 0 for everything
 * @param types only these, where they are named
 */
export async function readArrivals(
  trx: Knex,
  inspectionId: string,
  cursor = 0,
  types?: readonly EventType[],
): Promise<Arrivals> {
  const rows: EventRow[] = await trx('events')
    .where({ inspection_id: inspectionId })
    .modify((query) => {
      if (types) void query.whereIn('type', types);
    })
    .whereRaw('coalesce(arrival, 0) >= ?', [cursor === 0 ? 0 : cursor + 1])
    .orderByRaw('coalesce(arrival, 0), sequence')
    .select('*');
  return {
    events: rows.map((row) => ({
      id: row.id,
      inspectionId: row.inspection_id,
      deviceId: row.device_id,
      actorId: row.actor_id,
      at: row.at.getTime(),
      sequence: row.sequence,
      version: row.version,
      type: row.type,
      payload: row.payload,
    })),
    cursor: Number(rows.at(-1)?.arrival ?? cursor),
  };
}
