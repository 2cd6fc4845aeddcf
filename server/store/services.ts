import type { CounterReading, ServiceDone } from '@nazar/core/trend';
import type { Knex } from 'knex';

/** The last time that each service of each unit was done, by `unit id/service id`. */
export async function lastServices(
  trx: Knex,
  unitIds: readonly string[],
): Promise<Map<string, ServiceDone & { readonly words: string; readonly by: string }>> {
  const { rows } = await trx.raw(
    `select distinct on (s.unit_id, s.service_id) s.*, p.name
       from services_done s left join people p on p.id = s.by_id
      where s.unit_id = any(?::uuid[]) order by s.unit_id, s.service_id, s.at desc`,
    [[...unitIds]],
  );
  return new Map(
    (rows as any[]).map((row) => [
      `${row.unit_id}/${row.service_id}`,
      {
        at: row.at.getTime(),
        odometer: row.metres ?? undefined,
        hours: row.hours ?? undefined,
        words: row.words,
        by: row.name ?? '',
      },
    ]),
  );
}

export interface NewServiceDone {
  readonly id: string;
  readonly organisationId: string;
  readonly unitId: string;
  readonly serviceId: string;
  readonly at: string;
  readonly metres?: number;
  readonly hours?: number;
  readonly words: string;
  readonly byId: string;
}

export async function insertServiceDone(trx: Knex, done: NewServiceDone): Promise<void> {
  await trx('services_done')
    .insert({
      id: done.id,
      organisation_id: done.organisationId,
      unit_id: done.unitId,
      service_id: done.serviceId,
      at: done.at,
      metres: done.metres ?? null,
      hours: done.hours ?? null,
      words: done.words,
      by_id: done.byId,
    })
    .onConflict('id')
    .ignore();
}

/** Odometers of units over the last four months, by unit: metres. */
export async function odometersOf(
  trx: Knex,
  unitIds: readonly string[],
): Promise<Map<string, CounterReading[]>> {
  const rows = await trx('inspection_units')
    .whereIn('unit_id', [...unitIds])
    .whereNotNull('metres')
    .whereRaw(`begun_at > now() - interval '120 days'`)
    .orderBy('begun_at')
    .select('unit_id', 'begun_at', 'metres');
  const byUnit = new Map<string, CounterReading[]>();
  for (const row of rows) {
    const list = byUnit.get(row.unit_id) ?? [];
    list.push({ at: row.begun_at.getTime(), value: row.metres });
    byUnit.set(row.unit_id, list);
  }
  return byUnit;
}
