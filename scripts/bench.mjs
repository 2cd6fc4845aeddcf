import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureChromium } from './packages.mjs';
import { startCluster } from './postgres.mjs';
import { installDependencies } from './start.mjs';

const ROOT = join(import.meta.dirname, '..');

installDependencies();
ensureChromium();
const cluster = await startCluster({
  folder: join(ROOT, '.nazar', 'bench-postgres'),
  settings: { synchronous_commit: 'off' },
});
const env = { ...process.env, TEST_CLUSTER_URL: cluster.url, NODE_ENV: 'production' };
const tsx = (file, ...args) =>
  spawnSync(process.execPath, ['--import', 'tsx', file, ...args], {
    cwd: ROOT,
    env,
    stdio: 'inherit',
  }).status ?? 1;
let status = tsx('server/testing/make-template.ts');
if (status === 0) status = tsx('bench/run.ts', ...process.argv.slice(2));
cluster.stop();
process.exit(status);
