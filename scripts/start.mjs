import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { freePort, startCluster } from './postgres.mjs';
import { say } from './say.mjs';
import { supervise } from './supervise.mjs';

const ROOT = join(import.meta.dirname, '..');
const OWN = join(ROOT, '.nazar');

/** `npm ci` when the lock file is another than the one that was installed. */
export function installDependencies() {
  const digest = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex');
  const mark = join(ROOT, 'node_modules', '.installed-from');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === digest) return;
  say('installing packages (some minutes the first time)');
  const done = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1' },
  });
  if (done.status !== 0) throw new Error('npm ci failed; see above.');
  writeFileSync(mark, digest);
}

export const TSX = ['--import', 'tsx'];

/** Migrations and, in an empty database, the demo world. Returns the demo sign-ins. */
export function prepareDatabase(env, reset) {
  return new Promise((done, fail) => {
    const child = spawn(
      process.execPath,
      [...TSX, 'server/prepare.ts', ...(reset ? ['--reset'] : [])],
      {
        cwd: ROOT,
        env: { ...process.env, ...env },
        stdio: ['ignore', 'pipe', 'inherit'],
      },
    );
    let last = '';
    let rest = '';
    child.stdout.on('data', (chunk) => {
      const lines = (rest + chunk).split('\n');
      rest = lines.pop();
      for (const line of lines) {
        if (line.startsWith('demo')) say(line);
        else last = line;
      }
    });
    child.on('close', (code) =>
      code === 0 ? done(JSON.parse(last)) : fail(new Error('The database could not be prepared.')),
    );
  });
}

async function main() {
  const reset = process.argv.includes('--reset');
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    throw new Error('Nazar needs Node 20.19 or newer.');
  mkdirSync(OWN, { recursive: true });
  installDependencies();

  let cluster;
  const stop = [];
  const stopAll = () => {
    for (const each of stop.splice(0).reverse()) each();
  };
  process.on('exit', stopAll);
  // Until the server runs, an interrupt stops the database and ends.
  let onSignal = () => process.exit(130);
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => onSignal());

  if (!process.env.DATABASE_URL) {
    say('starting the private database');
    cluster = await startCluster({ folder: join(OWN, 'postgres') });
    stop.push(cluster.stop);
  }
  const env = {
    DATABASE_URL: process.env.DATABASE_URL ?? cluster.url,
    SEAL_KEY_FILE: process.env.SEAL_KEY_FILE ?? join(OWN, 'seal-key.pem'),
  };
  say('preparing the database');
  const people = await prepareDatabase(env, reset);
  const { buildApp } = await import('./build.mjs');
  const appFolder = await buildApp();
  const port = await freePort(Number(process.env.PORT ?? 4600));
  let told = false;
  const startServer = () => {
    const server = spawn(process.execPath, [...TSX, 'server/main.ts'], {
      cwd: ROOT,
      env: {
        LOG_LEVEL: 'warn',
        NODE_ENV: 'production',
        ...process.env,
        ...env,
        PORT: String(port),
        APP_FOLDER: appFolder,
      },
      stdio: ['ignore', 'pipe', 'inherit'],
      // Ctrl-C reaches the whole group; the server is told by this process alone.
      detached: true,
    });
    server.stdout.on('data', (chunk) => {
      const text = String(chunk);
      if (!text.includes('listening')) {
        process.stdout.write(text);
        return;
      }
      writeFileSync(join(OWN, 'address'), `http://127.0.0.1:${port}`);
      // Started again it is where it was.
      if (told) return;
      told = true;
      say(`Nazar runs at http://127.0.0.1:${port}`);
      process.stdout.write('\n  Demo sign-ins\n');
      for (const { name, role, pin } of people)
        process.stdout.write(`    ${name.padEnd(14)} ${role.padEnd(11)} PIN ${pin}\n`);
      process.stdout.write('\n  Ctrl-C stops it.  npm start -- --reset builds the demo anew.\n');
    });
    return server;
  };
  const { ended, stop: stopServer } = supervise(startServer, say);
  onSignal = () => {
    say('stopping');
    onSignal = () => stopServer('SIGKILL');
    stopServer('SIGTERM');
  };
  const code = await ended;
  stopAll();
  process.exit(code);
}

if (process.argv[1] === import.meta.filename)
  main().catch((error) => {
    process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
    process.exit(1);
  });
