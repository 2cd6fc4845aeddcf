import { spawn, spawnSync } from 'node:child_process';
import { join } from 'node:path';

const ROOT = join(import.meta.dirname, '..');

interface Scripts {
  startCluster: (options: object) => Promise<{ url: string; stop: () => void }>;
  freePort: (wanted: number) => Promise<number>;
}

/** A fresh demo world on the test cluster, the built app, and a server of its own for the journeys. */
export default async function start(): Promise<() => void> {
  const { startCluster, freePort } = (await import(
    join(ROOT, 'scripts', 'postgres.mjs')
  )) as Scripts;
  const { buildApp } = (await import(join(ROOT, 'scripts', 'build.mjs'))) as {
    buildApp: () => Promise<string>;
  };
  const appFolder = await buildApp();
  const cluster = await startCluster({
    folder: join(ROOT, '.nazar', 'test-postgres'),
    settings: { fsync: 'off', synchronous_commit: 'off', full_page_writes: 'off' },
  });
  const env = {
    ...process.env,
    DATABASE_URL: cluster.url,
    SEAL_KEY_FILE: join(ROOT, '.nazar', 'test-seal-key.pem'),
    LOG_LEVEL: 'error',
    NODE_ENV: 'production',
    APP_FOLDER: appFolder,
    PORT: String(await freePort(0)),
    // Journeys wind the clock of their phone on, so that nobody waits for oil to settle.
    CLOCK_AHEAD_MINUTES: '1440',
  };
  const prepared = spawnSync(
    process.execPath,
    ['--import', 'tsx', 'server/prepare.ts', '--reset'],
    { cwd: ROOT, env, encoding: 'utf8' },
  );
  if (prepared.status !== 0) throw new Error(`The demo could not be made: ${prepared.stderr}`);
  const server = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
    cwd: ROOT,
    env,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise<void>((done, fail) => {
    server.stdout.on('data', (chunk) => String(chunk).includes('listening') && done());
    server.on('exit', () => fail(new Error('The server did not start.')));
  });
  process.env.E2E_URL = `http://127.0.0.1:${env.PORT}`;
  process.env.E2E_DATABASE_URL = cluster.url;
  return () => {
    server.kill('SIGTERM');
    cluster.stop();
  };
}
