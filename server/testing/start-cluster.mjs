import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { startCluster } from '../../scripts/postgres.mjs';

const ROOT = join(import.meta.dirname, '..', '..');

/** A cluster for tests alone; what is lost in a crash of it does not matter, so it may be fast. */
export default async function start() {
  const cluster = await startCluster({
    folder: join(ROOT, '.nazar', 'test-postgres'),
    settings: { fsync: 'off', synchronous_commit: 'off', full_page_writes: 'off' },
  });
  process.env.TEST_CLUSTER_URL = cluster.url;
  globalThis.stopTestCluster = cluster.stop;
  const made = spawnSync(process.execPath, ['--import', 'tsx', 'server/testing/make-template.ts'], {
    cwd: ROOT,
    encoding: 'utf8',
    env: process.env,
  });
  if (made.status !== 0) throw new Error(`The template database could not be made: ${made.stderr}`);
}
