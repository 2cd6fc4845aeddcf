import type { Knex } from 'knex';

const MONTHLY = ['events', 'readings'];

/** Makes the monthly partitions between two moments that do not exist yet. Run as the owner. */
export async function ensurePartitions(db: Knex, from: Date, to: Date): Promise<void> {
  const month = new Date(Date.UTC(from.getUTCFullYear(), from.getUTCMonth(), 1));
  while (month <= to) {
    const next = new Date(Date.UTC(month.getUTCFullYear(), month.getUTCMonth() + 1, 1));
    const name = month.toISOString().slice(0, 7).replace('-', '_');
    for (const table of MONTHLY)
      await db.raw(
        `create table if not exists ${table}_${name} partition of ${table}
           for values from ('${month.toISOString()}') to ('${next.toISOString()}')`,
      );
    month.setTime(next.getTime());
  }
}
