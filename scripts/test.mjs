import { spawn } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureChromium } from './packages.mjs';
import { findPrograms } from './postgres.mjs';
import { say } from './say.mjs';
import { installDependencies } from './start.mjs';

const ROOT = join(import.meta.dirname, '..');
const RESULTS = join(ROOT, '.nazar', 'results');

/** Runs a command, showing what it prints; resolves with its exit code. */
function run(command, args, env = {}) {
  return new Promise((done) => {
    const child = spawn(command, args, {
      cwd: ROOT,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, ...env, npm_config_loglevel: 'error' },
    });
    child.on('close', (code) => done(code ?? 1));
  });
}

/** A check that passes or fails as a whole counts as one. */
function whole(script) {
  return async () => {
    const code = await run('npm', ['run', '--silent', script]);
    return { passed: code === 0 ? 1 : 0, failed: code === 0 ? 0 : 1 };
  };
}

function jest(folder, config) {
  return async () => {
    const out = join(RESULTS, `${folder}.json`);
    const code = await run(
      process.execPath,
      [
        'node_modules/jest/bin/jest.js',
        '-c',
        `${folder}/${config}`,
        '--json',
        `--outputFile=${out}`,
        '--reporters=default',
        '--maxWorkers=2',
        '--silent',
      ],
      { NODE_OPTIONS: '--no-deprecation' },
    );
    return count(code, () => {
      const { numPassedTests, numFailedTests, numFailedTestSuites, numPendingTests } = JSON.parse(
        readFileSync(out, 'utf8'),
      );
      // A suite that could not even start has failed; a test that was left out has not passed.
      return {
        passed: numPassedTests,
        failed: Math.max(numFailedTests + numPendingTests, numFailedTestSuites),
      };
    });
  };
}

/** The journeys find it built; it needs one core while the database has the other. */
async function build() {
  const code = await run(process.execPath, ['scripts/build.mjs']);
  return { passed: code === 0 ? 1 : 0, failed: code === 0 ? 0 : 1 };
}

async function endToEnd() {
  const out = join(RESULTS, 'e2e.json');
  const code = await run(
    'npx',
    [
      '--no-install',
      'playwright',
      'test',
      '-c',
      'e2e/playwright.config.ts',
      '--project=phone',
      '--project=wide',
    ],
    { E2E_REPORT: out },
  );
  return count(code, () => {
    const { stats } = JSON.parse(readFileSync(out, 'utf8'));
    return { passed: stats.expected, failed: stats.unexpected + stats.flaky + stats.skipped };
  });
}

/** A runner that ended badly without naming a failure counts as one. */
function count(code, read) {
  try {
    const { passed, failed } = read();
    return { passed, failed: code !== 0 && failed === 0 ? 1 : failed };
  } catch {
    return { passed: 0, failed: 1 };
  }
}

/** One after the other; within a group, chains that need one core each run side by side. */
const GROUPS = [
  [
    [
      ['format', whole('format:check')],
      ['lint', whole('lint')],
      ['house rules', whole('house')],
      ['fences', whole('fences')],
      ['unused', whole('unused')],
    ],
    [['types', whole('types')]],
  ],
  [[['core', jest('core', 'jest.config.mjs')]]],
  [[['server', jest('server', 'jest.config.mjs')]], [['app build', build]]],
  [[['app', jest('app', 'jest.config.cjs')]]],
  [[['end to end', endToEnd]]],
];

async function main() {
  installDependencies();
  findPrograms();
  ensureChromium();
  rmSync(RESULTS, { recursive: true, force: true });
  mkdirSync(RESULTS, { recursive: true });
  const only = process.argv.slice(2);
  const total = { passed: 0, failed: 0 };
  const inOrder = async (chain) => {
    for (const [name, step] of chain) {
      if (only.length > 0 && !only.includes(name)) continue;
      say(name);
      const { passed, failed } = await step();
      say(`${name}: ${passed} passed, ${failed} failed`);
      total.passed += passed;
      total.failed += failed;
    }
  };
  for (const group of GROUPS) await Promise.all(group.map(inOrder));
  process.stdout.write(`${total.passed} passed, ${total.failed} failed\n`);
  process.exitCode = total.failed === 0 && total.passed > 0 ? 0 : 1;
}

main().catch((error) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.stdout.write('0 passed, 1 failed\n');
  process.exitCode = 1;
});
