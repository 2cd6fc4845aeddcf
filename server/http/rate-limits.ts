import { ipKeyGenerator, rateLimit, type Store } from 'express-rate-limit';
import type { Knex } from 'knex';
import { countTry, forgetCounter, takeBackTry } from '../store/rate-counters';
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
      const { hits, resetAt } = await countTry(db, `${prefix}:${key}`, windowMs);
      return { totalHits: hits, resetTime: resetAt };
    },
    decrement: (key) => takeBackTry(db, `${prefix}:${key}`),
    resetKey: (key) => forgetCounter(db, `${prefix}:${key}`),
  };
}

/**
 * Answers 429 beyond so many requests a minute, of a person or, before anybody is signed in, of an address.
 * @param options.onlyFailures what succeeded is not counted: many people may stand behind one address
 */
export function limitRate(
  db: Knex,
  prefix: string,
  perMinute: number,
  { onlyFailures = false }: { readonly onlyFailures?: boolean } = {},
) {
  return rateLimit({
    windowMs: 60_000,
    limit: perMinute,
    skipSuccessfulRequests: onlyFailures,
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
