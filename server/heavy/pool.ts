import { fileURLToPath } from 'node:url';
import workerpool, { type Pool } from 'workerpool';
import type { HeavyWork } from './work';

/** Two at a time, so that a core is left for those who wait for something small. */
const THREADS = 2;
const MOST_WAITING = 30;
const LONGEST_SECONDS = 30;

/** So much heavy work waits already, or this piece took so long, that it is not done. */
export class TooBusy extends Error {
  override name = 'TooBusy';
}

let pool: Pool | undefined;

function open(): Pool {
  pool ??= workerpool.pool(fileURLToPath(new URL('./thread.mjs', import.meta.url)), {
    workerType: 'thread',
    maxWorkers: THREADS,
    maxQueueSize: MOST_WAITING,
    workerThreadOpts: { execArgv: [] },
  });
  return pool;
}

/**
 * Does heavy work in a thread beside the loop.
 * @throws {TooBusy} when too much of it waits, or it takes longer than half a minute
 */
export async function doHeavy<K extends keyof HeavyWork>(
  kind: K,
  input: Parameters<HeavyWork[K]>[0],
): Promise<Awaited<ReturnType<HeavyWork[K]>>> {
  try {
    return (await open()
      .exec(kind, [input])
      .timeout(LONGEST_SECONDS * 1000)) as Awaited<ReturnType<HeavyWork[K]>>;
  } catch (error) {
    if (error instanceof workerpool.Promise.TimeoutError || /queue/i.test((error as Error).message))
      throw new TooBusy((error as Error).message);
    throw error;
  }
}

export async function closeHeavy(): Promise<void> {
  await pool?.terminate();
  pool = undefined;
}
