import type { Knex } from 'knex';

/**
 * Counts one more try under a key in its window, in one statement; a window that has run out starts anew.
 * @param windowMs length of the window in milliseconds
 */
export async function countTry(
  db: Knex,
  key: string,
  windowMs: number,
): Promise<{ hits: number; resetAt: Date }> {
  const { rows } = await db.raw(
    `insert into rate_counters (key, hits, reset_at)
       values (?, 1, now() + make_interval(secs => ?))
     on conflict (key) do update set
       hits = case when rate_counters.reset_at < now() then 1 else rate_counters.hits + 1 end,
       reset_at = case when rate_counters.reset_at < now() then excluded.reset_at else rate_counters.reset_at end
     returning hits, reset_at`,
    [key, windowMs / 1000],
  );
  return { hits: rows[0].hits, resetAt: rows[0].reset_at };
}

/** How often it was counted in the window that runs now. */
export async function readCounter(db: Knex, key: string): Promise<number> {
  const row = await db('rate_counters')
    .where({ key })
    .where('reset_at', '>', db.fn.now())
    .first('hits');
  return (row?.hits as number | undefined) ?? 0;
}

export async function takeBackTry(db: Knex, key: string): Promise<void> {
  await db('rate_counters').where({ key }).decrement('hits', 1);
}

export async function forgetCounter(db: Knex, key: string): Promise<void> {
  await db('rate_counters').where({ key }).delete();
}

/** Counters whose window has run out; the table stays as small as the last minute was busy. */
export async function forgetOldCounters(db: Knex): Promise<number> {
  return db('rate_counters').where('reset_at', '<', db.fn.now()).delete();
}
