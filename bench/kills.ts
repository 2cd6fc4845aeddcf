import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import type { KillResult } from '../server/testing/kill-run';
import { heading, print } from './figures';

/**
 * Phones send while server and database are killed again and again.
 * @param kills of each, asked for by name it is twenty
 */
export function benchKills(kills: number): void {
  heading('kills of server and database');
  const began = performance.now();
  const run = spawnSync(
    process.execPath,
    [
      ...['--import', 'tsx', join('server', 'testing', 'kill-run.ts')],
      ...['--walks', String(12 * kills), '--seed', '20261127'],
      ...['--server-kills', String(kills), '--database-kills', String(kills)],
    ],
    { cwd: join(import.meta.dirname, '..'), encoding: 'utf8', maxBuffer: 1e8 },
  );
  const seconds = (performance.now() - began) / 1000;
  if (run.status !== 0) {
    print('it could not be run to its end', run.stderr.split('\n').at(-2) ?? '');
    process.exitCode = 1;
    return;
  }
  const result = JSON.parse(run.stdout.trim().split('\n').at(-1) ?? '') as KillResult;
  print(
    `${2 * kills} kills in ${seconds.toFixed(0)} s, entries acknowledged`,
    `${result.acknowledged}`,
  );
  print('of them lost', String(result.lost), '0');
  print('stored twice', String(result.doubled), '0');
  print('signed walks that are not sealed', String(result.unsealed), '0');
  print('alterations that the audit finds', String(result.alterations.length), '0');
  if (result.lost + result.doubled + result.unsealed + result.alterations.length > 0)
    process.exitCode = 1;
}
