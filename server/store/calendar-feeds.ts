import { createHash, randomBytes } from 'node:crypto';
import type { Knex } from 'knex';

const hashOf = (secret: string) => createHash('sha256').update(secret).digest('hex');

/** A new secret address for a depot's calendar; the former one stops working. Only its hash is kept. */
export async function renewFeed(
  trx: Knex,
  of: { readonly organisationId: string; readonly depotId: string; readonly personId: string },
): Promise<string> {
  const secret = randomBytes(24).toString('base64url');
  await trx('calendar_feeds').where({ depot_id: of.depotId }).delete();
  await trx('calendar_feeds').insert({
    secret_hash: hashOf(secret),
    organisation_id: of.organisationId,
    depot_id: of.depotId,
    made_by: of.personId,
  });
  return secret;
}

/** Whose calendar a secret opens; undefined when it is none. */
export async function findFeedOwner(
  db: Knex,
  secret: string,
): Promise<{ organisationId: string; depotId: string } | undefined> {
  const { rows } = await db.raw('select * from feed_owner(?)', [hashOf(secret)]);
  const [row] = rows as { organisation_id: string; depot_id: string }[];
  return row && { organisationId: row.organisation_id, depotId: row.depot_id };
}
