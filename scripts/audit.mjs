import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { startCluster } from './postgres.mjs';
import { installDependencies, TSX } from './start.mjs';

// Beside a server that runs, or alone: then the database is started for it and stopped again.
installDependencies();
const ROOT = join(import.meta.dirname, '..');
const cluster = process.env.DATABASE_URL
  ? undefined
  : await startCluster({ folder: join(ROOT, '.nazar', 'postgres') });
const { status } = spawnSync(
  process.execPath,
  [...TSX, 'server/audit.ts', ...process.argv.slice(2)],
  {
    cwd: ROOT,
    stdio: 'inherit',
    env: {
      SEAL_KEY_FILE: join(ROOT, '.nazar', 'seal-key.pem'),
      ...process.env,
      ...(cluster && { DATABASE_URL: cluster.url }),
    },
  },
);
if (cluster && !cluster.wasRunning) cluster.stop();
process.exit(status ?? 2);
