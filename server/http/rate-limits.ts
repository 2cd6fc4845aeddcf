import { ipKeyGenerator, rateLimit, type Store } from 'express-rate-limit';
import type { Knex } from 'knex';
import { Problem } from './problems';

/** Counters in PostgreSQL, so that every process behind a load balancer counts the same. */
function countersIn(db: Knex, prefix: string): Store {
  let windowMs = 60_000;
  return {
    localKeys: false,
    init: (options) => {
      windowMs = options.windowMs;
    },
    increment: async (key) => {
      const { rows } = await db.raw(
        `insert into rate_counters (key, hits, reset_at)
           values (?, 1, now() + make_interval(secs => ?))
         on conflict (key) do update set
           hits = case when rate_counters.reset_at < now() then 1 else rate_counters.hits + 1 end,
           reset_at = case when rate_counters.reset_at < now() then excluded.reset_at else rate_counters.reset_at end
         returning hits, reset_at`,
        [`${prefix}:${key}`, windowMs / 1000],
      );
      return { totalHits: rows[0].hits, resetTime: rows[0].reset_at };
    },
    decrement: async (key) => {
      await db('rate_counters')
        .where({ key: `${prefix}:${key}` })
        .decrement('hits', 1);
    },
    resetKey: async (key) => {
      await db('rate_counters')
        .where({ key: `${prefix}:${key}` })
        .delete();
    },
  };
}

export function limitRate(db: Knex, prefix: string, perMinute: number) {
  return rateLimit({
    windowMs: 60_000,
    limit: perMinute,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    store: countersIn(db, prefix),
    keyGenerator: (request) => request.person?.id ?? ipKeyGenerator(request.ip ?? ''),
    handler: () => {
      throw new Problem(
        429,
        'too-many',
        'Too many tries in one minute. Wait a minute and try again.',
      );
    },
  });
}
