import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import type { KillResult } from './kill-run';

it('what was acknowledged is there once, sealed and unaltered, through kills of server and database', () => {
  const run = spawnSync(
    process.execPath,
    [
      ...['--import', 'tsx', join('server', 'testing', 'kill-run.ts')],
      ...['--walks', '5', '--server-kills', '2', '--database-kills', '1', '--seed', '7'],
    ],
    { cwd: join(__dirname, '..', '..'), encoding: 'utf8', timeout: 240_000 },
  );
  if (run.status !== 0) throw new Error(run.stderr.slice(-2000));
  const result = JSON.parse(run.stdout.trim().split('\n').at(-1) ?? '') as KillResult;
  expect(result).toMatchObject({
    walks: 5,
    lost: 0,
    doubled: 0,
    unsealed: 0,
    alterations: [],
    serverKills: 2,
    databaseKills: 1,
  });
  expect(result.acknowledged).toBeGreaterThan(1000);
}, 250_000);
