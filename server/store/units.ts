import type { Card } from '@nazar/core/catalogue';
import type { Unit } from '@nazar/core/rig';
import type { Knex } from 'knex';

export interface DepotUnit extends Unit {
  readonly depotId: string;
}

interface UnitRow {
  id: string;
  depot_id: string;
  number: string;
  title: string;
  plate: string;
  module_id: string;
  fitted: string[];
  specification: Record<string, number>;
  card: Card | null;
}

function toUnit(row: UnitRow): DepotUnit {
  return {
    id: row.id,
    depotId: row.depot_id,
    number: row.number,
    title: row.title,
    plate: row.plate,
    moduleId: row.module_id,
    fitted: row.fitted,
    specification: row.specification,
    ...(row.card && { card: row.card }),
  };
}

/** Units in the order of `ids`; those of another organisation are simply not there. */
export async function findUnits(trx: Knex, ids: readonly string[]): Promise<DepotUnit[]> {
  const rows = await trx<UnitRow>('units').whereIn('id', [...ids]);
  return ids.flatMap((id) => rows.filter((row) => row.id === id).map(toUnit));
}

export async function listUnits(trx: Knex, depotId: string): Promise<DepotUnit[]> {
  const rows = await trx<UnitRow>('units').where({ depot_id: depotId }).orderBy('number');
  return rows.map(toUnit);
}
