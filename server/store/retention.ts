import type { Knex } from 'knex';

export interface Hold {
  readonly id: string;
  readonly unitId: string;
  readonly words: string;
  readonly at: string;
  readonly by: string;
}

/** Removes walks whose time to be kept has passed; see the function for what it spares. Returns how many. */
export async function removeExpired(trx: Knex, now: Date, most: number): Promise<number> {
  const { rows } = await trx.raw('select remove_expired(?, ?) as removed', [now, most]);
  return rows[0].removed as number;
}

/** How many walks of a depot are past their time, and when the next ones are. */
export async function retentionStanding(trx: Knex, depotId: string) {
  const { rows } = await trx.raw(
    `select count(*) filter (where keep_until < now())::int as due,
            count(*) filter (where keep_until between now() and now() + interval '31 days')::int as soon,
            count(*)::int as kept, min(keep_until) as next
       from inspections where depot_id = ?`,
    [depotId],
  );
  const removed = await trx('removals as r')
    .join('units as u', 'u.id', 'r.unit_id')
    .where('u.depot_id', depotId)
    .count<{ count: number }[]>('* as count');
  const [row] = rows as { due: number; soon: number; kept: number; next: Date | null }[];
  return {
    due: row.due,
    soon: row.soon,
    kept: row.kept,
    next: row.next?.toISOString() ?? null,
    removed: Number(removed[0].count),
  };
}

export async function listHolds(trx: Knex, depotId: string): Promise<Hold[]> {
  const rows = await trx('holds as h')
    .join('units as u', 'u.id', 'h.unit_id')
    .leftJoin('people as p', 'p.id', 'h.by_id')
    .where('u.depot_id', depotId)
    .whereNull('h.lifted_at')
    .orderBy('h.at')
    .select('h.*', 'p.name');
  return rows.map((row) => ({
    id: row.id,
    unitId: row.unit_id,
    words: row.words,
    at: row.at.toISOString(),
    by: row.name ?? '',
  }));
}

export async function insertHold(
  trx: Knex,
  hold: {
    readonly id: string;
    readonly organisationId: string;
    readonly unitId: string;
    readonly words: string;
    readonly byId: string;
  },
): Promise<void> {
  await trx('holds').insert({
    id: hold.id,
    organisation_id: hold.organisationId,
    unit_id: hold.unitId,
    words: hold.words,
    by_id: hold.byId,
  });
}

/** False when no such hold lies on a unit of the depot. */
export async function liftHold(
  trx: Knex,
  depotId: string,
  id: string,
  byId: string,
): Promise<boolean> {
  const changed = await trx('holds')
    .where({ id })
    .whereNull('lifted_at')
    .whereIn('unit_id', trx('units').where({ depot_id: depotId }).select('id'))
    .update({ lifted_at: trx.fn.now(), lifted_by: byId });
  return changed > 0;
}
