import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { say } from './say.mjs';

/** Debian's packages, when this process may install them; otherwise one line saying what to install. */
export function installDebian(packages, why) {
  if (!existsSync('/usr/bin/apt-get'))
    throw new Error(`${why}: install ${packages.join(' ')} with your system's package manager.`);
  const isRoot = process.getuid?.() === 0;
  const mayElevate = !isRoot && spawnSync('sudo', ['-n', 'true'], { stdio: 'ignore' }).status === 0;
  if (!isRoot && !mayElevate)
    throw new Error(
      `${why}: run "sudo apt-get install ${packages.join(' ')}" once, then start again.`,
    );
  say(`installing ${packages.join(', ')} from Debian's packages`);
  const apt = (...args) => {
    const command = ['apt-get', '-o', 'DPkg::Lock::Timeout=300', '-q', ...args];
    const [head, ...rest] = isRoot
      ? command
      : ['sudo', '-n', '--preserve-env=DEBIAN_FRONTEND', ...command];
    return spawnSync(head, rest, {
      stdio: ['ignore', 'pipe', 'pipe'],
      encoding: 'utf8',
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  };
  apt('update');
  const done = apt('install', '-y', '--no-install-recommends', ...packages);
  if (done.status !== 0)
    throw new Error(`${why}: installing ${packages.join(' ')} failed.\n${done.stderr.trim()}`);
}

/** Keeps Debian from making a cluster of its own when the server is installed. */
export function forbidSystemCluster() {
  if (process.getuid?.() !== 0 || existsSync('/etc/postgresql-common/createcluster.conf')) return;
  mkdirSync('/etc/postgresql-common', { recursive: true });
  writeFileSync('/etc/postgresql-common/createcluster.conf', 'create_main_cluster = false\n');
}

export const CHROMIUM = '/usr/bin/chromium';

export function ensureChromium() {
  if (!existsSync(CHROMIUM)) installDebian(['chromium'], 'The browser tests need Chromium');
}
