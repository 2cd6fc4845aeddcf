import type { Knex } from 'knex';

/**
 * Makes the monthly partitions between two moments that do not exist yet, and moves into them what waited for them in the default one.
 * @returns how many were made
 */
export async function ensurePartitions(db: Knex, from: Date, to: Date): Promise<number> {
  const { rows } = await db.raw('select ensure_partitions(?, ?) as made', [
    from.toISOString(),
    to.toISOString(),
  ]);
  return rows[0].made as number;
}
