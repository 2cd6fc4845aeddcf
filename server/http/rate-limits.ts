import { ipKeyGenerator, rateLimit, type Store } from 'express-rate-limit';
import type { Request } from 'express';
import type { Knex } from 'knex';
import pLimit from 'p-limit';
import { countTry, forgetCounter, readCounter, takeBackTry } from '../store/rate-counters';
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

const tooMany = () =>
  new Problem(429, 'too-many', 'Too many tries in one minute. Wait a minute and try again.');

/** Answers 429 beyond so many requests a minute, of a person or, before anybody is signed in, of an address. */
export function limitRate(db: Knex, prefix: string, perMinute: number) {
  return rateLimit({
    windowMs: 60_000,
    limit: perMinute,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    store: countersIn(db, prefix),
    keyGenerator: (request) => request.person?.id ?? ipKeyGenerator(request.ip ?? ''),
    handler: () => {
      throw tooMany();
    },
  });
}

/**
 * Lets an address fail so often a minute and no more; what succeeds is not counted, neither while it is tried nor afterwards: a whole
 * yard may sign in at six behind one address. Tries stand in line, a few at a time, and whether there were too many is looked at when
 * it is one's turn, so that nobody gets past by trying side by side.
 */
export function limitFailures(db: Knex, prefix: string, perMinute: number, atOnce: number) {
  const line = pLimit(atOnce);
  /** @throws {Problem} too-many */
  return <T>(request: Request, work: () => Promise<T>): Promise<T> =>
    line(async () => {
      const key = `${prefix}:${ipKeyGenerator(request.ip ?? '')}`;
      if ((await readCounter(db, key)) >= perMinute) throw tooMany();
      try {
        return await work();
      } catch (error) {
        await countTry(db, key, 60_000);
        throw error;
      }
    });
}
