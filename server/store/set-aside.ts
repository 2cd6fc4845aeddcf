import type { Knex } from 'knex';

const KEPT_DAYS = 90;

/** What nobody has looked after for a season is forgotten. */
export async function removeOldSetAside(trx: Knex, now: Date): Promise<void> {
  const before = new Date(now.getTime() - KEPT_DAYS * 86_400_000);
  await trx('entries_set_aside').where('received_at', '<', before).delete();
}

/** Entries that could not be taken in for one reason, for a supervisor to read. */
export interface SetAside {
  /** Of one of them. */
  readonly id: string;
  readonly person: string;
  readonly code: string;
  readonly count: number;
  /** The sentence that the driver was told. */
  readonly detail: string;
  readonly receivedAt: string;
}

export interface NewSetAside {
  /** As the device named it. */
  readonly eventId: string;
  readonly code: string;
  readonly detail: string;
  /** Whatever came, as JSON. */
  readonly entry: string;
}

/** A device that sends rubbish for ever does not fill the table. */
const MOST_OF_A_REASON = 100;

/** Keeps entries that could not be taken in; one that is kept already stays as it is. */
export async function keepSetAside(
  trx: Knex,
  person: { readonly id: string; readonly organisationId: string; readonly depotId: string },
  entries: readonly NewSetAside[],
): Promise<void> {
  const kept: { readonly code: string; readonly count: string }[] = await trx('entries_set_aside')
    .where({ person_id: person.id })
    .groupBy('code')
    .select('code')
    .count('* as count');
  const counts = new Map(kept.map(({ code, count }) => [code, Number(count)]));
  const fitting = entries.filter(({ code }) => {
    const count = (counts.get(code) ?? 0) + 1;
    counts.set(code, count);
    return count <= MOST_OF_A_REASON;
  });
  if (fitting.length === 0) return;
  await trx('entries_set_aside')
    .insert(
      fitting.map(({ eventId, code, detail, entry }) => ({
        organisation_id: person.organisationId,
        depot_id: person.depotId,
        person_id: person.id,
        event_id: eventId,
        code,
        detail,
        entry,
      })),
    )
    .onConflict()
    .ignore();
}

/** Of a depot, the newest first: what one person's device sent for one reason is one matter. */
export async function listSetAside(trx: Knex, depotId: string): Promise<SetAside[]> {
  const rows: (Omit<SetAside, 'receivedAt'> & { readonly received_at: Date })[] = await trx(
    'entries_set_aside as s',
  )
    .join('people as p', 'p.id', 's.person_id')
    .where('s.depot_id', depotId)
    .groupBy('p.id', 's.code')
    .orderBy('received_at', 'desc')
    .limit(50)
    .select(
      'p.name as person',
      's.code',
      trx.raw('min(s.id::text) as id'),
      trx.raw('(array_agg(s.detail order by s.received_at desc))[1] as detail'),
      trx.raw('count(*)::int as count'),
      trx.raw('max(s.received_at) as received_at'),
    );
  return rows.map(({ received_at: receivedAt, ...row }) => ({
    ...row,
    receivedAt: receivedAt.toISOString(),
  }));
}

/**
 * Ends a matter with all of its entries.
 * @param id of one of them
 * @returns whether there was one
 */
export async function forgetSetAside(trx: Knex, depotId: string, id: string): Promise<boolean> {
  const removed = await trx('entries_set_aside')
    .where({ depot_id: depotId })
    .whereIn(
      ['person_id', 'code'],
      trx('entries_set_aside').where({ id }).select('person_id', 'code'),
    )
    .delete();
  return removed > 0;
}
