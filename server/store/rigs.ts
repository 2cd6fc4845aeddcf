import type { Knex } from 'knex';

export interface UsualRig {
  readonly id: string;
  readonly title: string;
  /** Front to rear, what is mounted after what carries it. */
  readonly unitIds: readonly string[];
}

export async function listRigs(trx: Knex, depotId: string): Promise<UsualRig[]> {
  const rows = await trx('rigs').where({ depot_id: depotId }).orderBy('title');
  return rows.map((row) => ({
    id: row.id as string,
    title: row.title as string,
    unitIds: row.unit_ids as string[],
  }));
}

export async function insertRig(
  trx: Knex,
  place: { readonly organisationId: string; readonly depotId: string },
  rig: UsualRig,
): Promise<void> {
  await trx('rigs').insert({
    id: rig.id,
    organisation_id: place.organisationId,
    depot_id: place.depotId,
    title: rig.title,
    unit_ids: [...rig.unitIds],
  });
}

/** Whether there was such a rig in the depot. Walks that were made round it stay what they are. */
export async function deleteRig(trx: Knex, depotId: string, id: string): Promise<boolean> {
  return (await trx('rigs').where({ id, depot_id: depotId }).delete()) > 0;
}
