import knex, { type Knex } from 'knex';
import pg from 'pg';

// Counts and sizes come as numbers, dates as the text they are.
pg.types.setTypeParser(pg.types.builtins.INT8, Number);
pg.types.setTypeParser(pg.types.builtins.NUMERIC, Number);
pg.types.setTypeParser(pg.types.builtins.DATE, (text) => text);

/** The role that serves requests: owns nothing, and row-level security binds it. */
export const SERVING_ROLE = 'nazar_serving';

/** A pool for migrations and demo data, as the owner of the tables. */
export function connectAsOwner(databaseUrl: string): Knex {
  return connect(databaseUrl);
}

/** A pool that serves requests: every connection steps down to the serving role first. */
export function connectServing(databaseUrl: string, most = 10): Knex {
  return connect(databaseUrl, {
    max: most,
    afterCreate(connection: pg.Client, done: (error: unknown, connection: pg.Client) => void) {
      connection.query(`set role ${SERVING_ROLE}`, (error) => done(error, connection));
    },
  });
}

function connect(databaseUrl: string, pool: Knex.PoolConfig = {}): Knex {
  return knex({
    client: 'pg',
    connection: databaseUrl,
    acquireConnectionTimeout: 10_000,
    pool: {
      min: 0,
      max: 10,
      acquireTimeoutMillis: 10_000,
      propagateCreateError: false,
      ...pool,
    } as Knex.PoolConfig,
  });
}

/** A transaction in which only one organisation's rows can be seen or written. */
export function inOrganisation<T>(
  db: Knex,
  organisationId: string,
  work: (trx: Knex.Transaction) => Promise<T>,
): Promise<T> {
  return db.transaction(async (trx) => {
    await trx.raw(`select set_config('app.organisation', ?, true)`, [organisationId]);
    return work(trx);
  });
}

const GONE_CODES = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  '57P01',
  '57P02',
  '57P03',
  '08006',
  '53300',
]);

/** Whether an error says that the database cannot be reached, so that asking again later makes sense. */
export function isDatabaseGone(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  const { code, errors } = error as { code?: string; errors?: unknown[] };
  if (code && GONE_CODES.has(code)) return true;
  if (errors?.some(isDatabaseGone)) return true;
  return /Connection terminated|not queryable|Timeout acquiring a connection|the database system is/.test(
    error.message,
  );
}

/** What passes by itself: two transactions in each other's way, a wait that was cut short. */
const PASSING_CODES = new Set(['40001', '40P01', '55P03', '57014']);

/** Whether the same would go well when it is sent again, so that nothing is wrong with what was sent. */
export function isPassing(error: unknown): boolean {
  return (
    isDatabaseGone(error) || PASSING_CODES.has((error as { code?: string } | null)?.code ?? '')
  );
}

/** Whether what was sent is itself what cannot be stored: its values, a row that exists, or the row of another organisation. */
export function isOfTheEntry(error: unknown): boolean {
  if (error instanceof RangeError) return true;
  const { code = '', message = '' } = (error ?? {}) as { code?: string; message?: string };
  return /^2[23]/.test(code) || (code === '42501' && message.includes('row-level security'));
}
