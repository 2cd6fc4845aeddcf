import type { Knex } from 'knex';

/** An entry that could not be taken in, for a supervisor to read. */
export interface SetAside {
  readonly id: string;
  readonly person: string;
  readonly code: string;
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
const MOST_OF_A_PERSON = 200;

/** Keeps entries that could not be taken in; one that is kept already stays as it is. */
export async function keepSetAside(
  trx: Knex,
  person: { readonly id: string; readonly organisationId: string; readonly depotId: string },
  entries: readonly NewSetAside[],
): Promise<void> {
  const kept = await trx('entries_set_aside')
    .where({ person_id: person.id })
    .count<{ count: string }[]>('* as count');
  const room = MOST_OF_A_PERSON - Number(kept[0].count);
  if (room <= 0) return;
  await trx('entries_set_aside')
    .insert(
      entries.slice(0, room).map(({ eventId, code, detail, entry }) => ({
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

/** Of a depot, the newest first. */
export async function listSetAside(trx: Knex, depotId: string): Promise<SetAside[]> {
  const rows = await trx('entries_set_aside as s')
    .join('people as p', 'p.id', 's.person_id')
    .where('s.depot_id', depotId)
    .orderBy('s.received_at', 'desc')
    .limit(50)
    .select('s.id', 'p.name as person', 's.code', 's.detail', 's.received_at');
  return rows.map(({ received_at: receivedAt, ...row }) => ({
    ...row,
    receivedAt: (receivedAt as Date).toISOString(),
  }));
}

/** @returns whether there was one */
export async function forgetSetAside(trx: Knex, depotId: string, id: string): Promise<boolean> {
  return (await trx('entries_set_aside').where({ id, depot_id: depotId }).delete()) > 0;
}
