import type { Knex } from 'knex';
import { v4 as newId } from 'uuid';

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

/** The rig that was taken apart, if there was one. Walks that were made round it stay what they are. */
export async function deleteRig(
  trx: Knex,
  depotId: string,
  id: string,
): Promise<UsualRig | undefined> {
  const [row] = await trx('rigs')
    .where({ id, depot_id: depotId })
    .delete()
    .returning(['id', 'title', 'unit_ids']);
  return row && { id: row.id, title: row.title, unitIds: row.unit_ids };
}

/** Writes into the history of every unit of a rig that it was joined or taken apart. */
export async function insertRigChange(
  trx: Knex,
  by: { readonly organisationId: string; readonly personId: string },
  what: 'joined' | 'taken-apart',
  { title, unitIds }: UsualRig,
): Promise<void> {
  await trx('rig_changes').insert(
    unitIds.map((unitId) => ({
      id: newId(),
      organisation_id: by.organisationId,
      unit_id: unitId,
      by_id: by.personId,
      what,
      title,
      unit_ids: [...unitIds],
    })),
  );
}
