import type { Knex } from 'knex';

/**
 * Whether anything of this person came in from this device between two moments of the server's clock.
 * @param after milliseconds since 1970
 * @param before milliseconds since 1970
 */
export async function wasHeardFrom(
  trx: Knex,
  { actorId, deviceId }: { readonly actorId: string; readonly deviceId: string },
  after: number,
  before: number,
): Promise<boolean> {
  const row = await trx('events')
    .where({ actor_id: actorId, device_id: deviceId })
    .where('received_at', '>', new Date(after))
    .where('received_at', '<', new Date(before))
    .first('id');
  return row !== undefined;
}
