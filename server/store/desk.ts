import type { DeskWalk } from '@nazar/core/wire';
import type { Knex } from 'knex';

/** Signed walks of a depot of the last day and a half, newest first, with whether the rig left on them. */
export async function deskWalks(trx: Knex, depotId: string) {
  const { rows } = await trx.raw(
    `select i.id, i.phase, i.headline, i.signed_at, p.name as driver, o.out_at, o.returned_at,
            array(select iu.unit_id from inspection_units iu join units u on u.id = iu.unit_id
                   where iu.inspection_id = i.id order by u.number) as unit_ids,
            array(select u.number from inspection_units iu join units u on u.id = iu.unit_id
                   where iu.inspection_id = i.id order by u.number) as numbers
       from inspections i
       left join people p on p.id = i.driver_id
       left join outings o on o.inspection_id = i.id
      where i.depot_id = ? and i.signed_at > now() - interval '36 hours'
      order by i.signed_at desc limit 100`,
    [depotId],
  );
  return (rows as any[]).map((row) => ({
    inspectionId: row.id as string,
    unitIds: row.unit_ids as string[],
    numbers: row.numbers as string[],
    phase: row.phase as DeskWalk['phase'],
    headline: row.headline as DeskWalk['headline'],
    signedAt: row.signed_at.toISOString() as string,
    driver: (row.driver as string | null) ?? '',
    outAt: (row.out_at as Date | null)?.toISOString() ?? null,
    returnedAt: (row.returned_at as Date | null)?.toISOString() ?? null,
  }));
}

/** How many stops of the last thirty days were answered faster than they can be walked, and where most often; of nobody in particular. */
export async function paceOfDepot(trx: Knex, depotId: string) {
  const { rows } = await trx.raw(
    `with lately as (
       select r.body->'pace' as pace from reports r join inspections i on i.id = r.inspection_id
        where i.depot_id = ? and i.signed_at > now() - interval '30 days' and r.body->'pace' is not null)
     select (select coalesce(sum((pace->>'stops')::int), 0)::int from lately) as stops,
            (select coalesce(sum(json_array_length(pace->'hasty')), 0)::int from lately) as hasty,
            (select coalesce(json_agg(t), '[]') from (
               select h->>'title' as title, count(*)::int as count
                 from lately, json_array_elements(pace->'hasty') as h
                group by 1 order by 2 desc, 1 limit 3) as t) as places`,
    [depotId],
  );
  return rows[0] as {
    readonly stops: number;
    readonly hasty: number;
    readonly places: readonly { readonly title: string; readonly count: number }[];
  };
}
