import type { Knex } from 'knex';
import { SERVING_ROLE } from '../connection';

/**
 * Months ahead are made by the serving role too, though tables are not its own; rows that came before their month had a partition are
 * moved out of the default one, which would otherwise forbid it.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    create function ensure_partitions(first timestamptz, last timestamptz) returns integer
    language plpgsql security definer set search_path = public as $$
    declare
      month timestamp := date_trunc('month', first at time zone 'UTC');
      starts timestamptz;
      ends timestamptz;
      parent text;
      name text;
      made integer := 0;
    begin
      -- Two processes make none twice.
      perform pg_advisory_xact_lock(hashtextextended('ensure_partitions', 0));
      while month at time zone 'UTC' <= last loop
        starts := month at time zone 'UTC';
        ends := (month + interval '1 month') at time zone 'UTC';
        foreach parent in array array['events', 'readings'] loop
          name := parent || '_' || to_char(month, 'YYYY_MM');
          if to_regclass(name) is null then
            execute format('create table %I (like %I including all)', name, parent);
            execute format('with moved as (delete from %I where at >= %L and at < %L returning *) insert into %I select * from moved',
              parent || '_other', starts, ends, name);
            execute format('alter table %I attach partition %I for values from (%L) to (%L)', parent, name, starts, ends);
            made := made + 1;
          end if;
        end loop;
        month := month + interval '1 month';
      end loop;
      return made;
    end $$;
    revoke all on function ensure_partitions from public;
    grant execute on function ensure_partitions to ${SERVING_ROLE};
  `);
}
